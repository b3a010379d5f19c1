import { randomBytes, scrypt, timingSafeEqual, type ScryptOptions } from 'node:crypto';
import { done, refused, type Outcome } from '@/core/base/outcome';
import { Line } from '../base/line';
import { oneInProcess } from '../base/one';

/**
 * What a passcode costs to try: scrypt with N = 2^15, r = 8, p = 3, one of the parameter sets of the OWASP Password
 * Storage Cheat Sheet (32 MB). They stand in the hash, so that they can be raised later.
 */
const cost = { N: 2 ** 15, r: 8, p: 3 };
const [saltBytes, keyBytes] = [16, 32];
const spare = 2;

/** One is worked out at a time: many who try at once cost no more memory than one does. */
const line = oneInProcess('passcode-line', () => new Line(20));

async function derive(passcode: string, salt: Buffer, { N, r, p }: typeof cost): Promise<Buffer> {
  const leave = await line.enter(new AbortController().signal);
  if (!leave) throw new Busy();
  try {
    const options: ScryptOptions = { N, r, p, maxmem: spare * 128 * N * r };
    return await new Promise((resolve, reject) =>
      scrypt(passcode.normalize('NFKC'), salt, keyBytes, options, (error, key) =>
        error ? reject(error) : resolve(key),
      ),
    );
  } finally {
    leave();
  }
}

/** So many passcodes are being tried that no more can wait. */
export class Busy extends Error {}

/** The hash of a passcode, with all that is needed to check it later. */
export async function hashPasscode(passcode: string): Promise<string> {
  const salt = randomBytes(saltBytes);
  const key = await derive(passcode, salt, cost);
  return ['scrypt', cost.N, cost.r, cost.p, salt.toString('base64url'), key.toString('base64url')].join('$');
}

const pattern = /^scrypt\$(\d{1,7})\$(\d{1,2})\$(\d{1,2})\$([\w-]{22})\$([\w-]{43})$/;

/** Is this the passcode? A hash that cannot be read is nobody's. */
export async function isPasscode(passcode: string, hash: string): Promise<boolean> {
  const read = pattern.exec(hash);
  if (!read) return false;
  const [N, r, p] = read.slice(1, 4).map(Number) as [number, number, number];
  const wanted = Buffer.from(read[5]!, 'base64url');
  return timingSafeEqual(await derive(passcode, Buffer.from(read[4]!, 'base64url'), { N, r, p }), wanted);
}

/** A hash nobody has the passcode of: who names a coach there is not waits as long as who names one there is. */
export const nobodys = `scrypt$${cost.N}$${cost.r}$${cost.p}$${'A'.repeat(22)}$${'A'.repeat(43)}`;

/** Letters a passcode has. Eight: NIST SP 800-63B, 5.1.1.2. The most is ours: long phrases, and no work for nothing. */
export const passcodeLength = { min: 8, max: 128 } as const;
/** Guesses it must withstand, as a power of ten, with tries slowed down: the estimator's third step of four. */
const leastScore = 3;

/**
 * Is a new passcode good enough? A kept estimator says how many guesses it would take, with its lists of common
 * passcodes and words, and no network.
 * @param about what it must not be made of: the coach's name
 */
export async function goodPasscode(passcode: string, about: readonly string[]): Promise<Outcome<string>> {
  const { min, max } = passcodeLength;
  const letters = [...passcode].length;
  if (letters < min)
    return refused('passcode', `The passcode needs at least ${min} letters: it has ${letters}.`);
  if (letters > max)
    return refused('passcode', `The passcode has at most ${max} letters: it has ${letters}.`);
  const { score, feedback } = (await estimator()).check(passcode, ['vow step', 'vowstep', ...about]);
  if (score >= leastScore) return done(passcode);
  const why = [feedback.warning, ...feedback.suggestions].filter(Boolean).join(' ');
  return refused(
    'passcode',
    `This passcode is too easy to guess: take three or four words that do not belong together. ${why}`.trim(),
  );
}

let made: Promise<{ check: (text: string, about: string[]) => Judged }> | null = null;
interface Judged {
  readonly score: number;
  readonly feedback: { readonly warning: string | null; readonly suggestions: readonly string[] };
}

/** Its lists take megabytes: they are only read when somebody chooses a passcode. */
const estimator = () =>
  (made ??= (async () => {
    const [{ ZxcvbnFactory }, common, english] = await Promise.all([
      import('@zxcvbn-ts/core'),
      import('@zxcvbn-ts/language-common'),
      import('@zxcvbn-ts/language-en'),
    ]);
    return new ZxcvbnFactory({
      dictionary: { ...common.dictionary, ...english.dictionary },
      graphs: common.adjacencyGraphs,
      translations: english.translations,
    });
  })());
