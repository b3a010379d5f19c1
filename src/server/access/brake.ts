import { createHash, createHmac, randomBytes, timingSafeEqual } from 'node:crypto';
import { countTries, forgetTries, giveBackTry, nameKeyOf, triesOf, type CoachRow } from '@/data/coaches';
import type { Executor } from '@/data/database';
import { factOf, giveFact } from '@/data/facts';
import { write } from '@/data/write';
import type { Context } from '../base/context';
import { Busy, isPasscode, nobodys } from './passcode';

/*
 * What slows down who guesses. A try is counted before its passcode is looked at, so that many at once are no more than
 * one after the other; one that was right is taken off again.
 */

/** A wait doubles with each wrong try, from the first to the longest, milliseconds. Ours. */
const [firstWaitMs, longestWaitMs] = [5000, 15 * 60_000];
/** Wrong tries are forgotten after this, milliseconds. Ours. */
const forgetMs = 86_400_000;

/** Who tries. */
export interface Guesser {
  /** Where the request came from. */
  readonly address: string;
  /** What a browser says that somebody signed in with before (see {@link knownBy}). */
  readonly known?: string;
}

/** What tries are counted under, and how many of them cost nothing. Ours. */
interface Brake {
  readonly key: string;
  readonly free: number;
  /** Whether the right passcode clears it. */
  readonly clears: boolean;
}

const hash = (text: string): string => createHash('sha256').update(text).digest('hex');

/**
 * A browser that was signed in before has a brake of its own: nobody else's tries keep its coach out. Everybody else is
 * slowed down for this account from here, for all accounts from here (an address may be a whole club's), and for this
 * account from anywhere.
 */
function brakesFor(name: string, { address, known }: Guesser, isKnown: boolean): readonly Brake[] {
  if (isKnown) return [{ key: `device ${hash(known!)}`, free: 3, clears: true }];
  const account = hash(nameKeyOf(name));
  return [
    { key: `account ${account} from ${hash(address)}`, free: 3, clears: true },
    // One who knows one passcode could otherwise try others for ever.
    { key: `address ${hash(address)}`, free: 20, clears: false },
    { key: `account ${account}`, free: 60, clears: true },
  ];
}

const waitAfter = (failures: number, free: number): number =>
  failures < free ? 0 : Math.min(longestWaitMs, firstWaitMs * 2 ** (failures - free));

/** How long the next try has to wait, milliseconds; 0 for not at all. */
async function toWait(tx: Executor, brakes: readonly Brake[], nowMs: number): Promise<number> {
  const tries = new Map(
    (
      await triesOf(
        tx,
        brakes.map(({ key }) => key),
      )
    ).map((one) => [one.key, one]),
  );
  return Math.max(
    0,
    ...brakes.map(({ key, free }) => {
      const { failures, lastAtMs } = tries.get(key) ?? { failures: 0, lastAtMs: nowMs };
      // A clock that was set back makes nobody wait longer.
      return Math.min(lastAtMs, nowMs) + waitAfter(failures, free) - nowMs;
    }),
  );
}

export type Tried =
  | { readonly kind: 'right' }
  /** `waitMs`: how long the next try has to wait. */
  | { readonly kind: 'wrong'; readonly waitMs: number }
  | { readonly kind: 'wait'; readonly waitMs: number }
  | { readonly kind: 'busy' };

/** Tries a passcode. A coach there is none of is as slow as one there is, and always wrong. */
export async function tryPasscode(
  { db, nowMs }: Pick<Context, 'db' | 'nowMs'>,
  who: { readonly name: string; readonly coach: CoachRow | undefined },
  guesser: Guesser,
  passcode: string,
): Promise<Tried> {
  const { name, coach } = who;
  const isKnown = coach !== undefined && (await isKnownBy(db, coach, guesser.known));
  const brakes = brakesFor(name, guesser, isKnown);
  const keys = brakes.map(({ key }) => key);
  const wait = await write(db, async (tx) => {
    const waitMs = await toWait(tx, brakes, nowMs);
    if (waitMs === 0) await countTries(tx, keys, nowMs, forgetMs);
    return waitMs;
  });
  if (wait > 0) return { kind: 'wait', waitMs: wait };
  let right: boolean;
  try {
    right = (await isPasscode(passcode, coach?.passcode ?? nobodys)) && coach !== undefined;
  } catch (error) {
    if (!(error instanceof Busy)) throw error;
    await write(db, (tx) => giveBackTry(tx, keys));
    return { kind: 'busy' };
  }
  if (!right) return { kind: 'wrong', waitMs: await toWait(db, brakes, nowMs) };
  await write(db, async (tx) => {
    const cleared = brakes.filter(({ clears }) => clears).map(({ key }) => key);
    await giveBackTry(tx, keys);
    await forgetTries(tx, cleared);
  });
  return { kind: 'right' };
}

/** What a browser is known by from its first sign-in on; it opens nothing, and another passcode makes it strange again. */
export async function knownBy(tx: Executor, coach: Pick<CoachRow, 'id' | 'passcode'>): Promise<string> {
  await giveFact(tx, 'door-key', randomBytes(32).toString('base64url'));
  return markOf((await factOf(tx, 'door-key'))!, coach);
}

const markOf = (key: string, { id, passcode }: Pick<CoachRow, 'id' | 'passcode'>): string =>
  `${id}.${createHmac('sha256', key).update(`${id} ${passcode}`).digest('base64url')}`;

async function isKnownBy(db: Executor, coach: CoachRow, known: string | undefined): Promise<boolean> {
  const key = known && (await factOf(db, 'door-key'));
  if (!known || !key) return false;
  const [said, wanted] = [Buffer.from(known), Buffer.from(markOf(key, coach))];
  return said.length === wanted.length && timingSafeEqual(said, wanted);
}

export const waitInWords = (ms: number): string => {
  const seconds = Math.ceil(ms / 1000);
  if (seconds < 90) return seconds === 1 ? '1 second' : `${seconds} seconds`;
  return `${Math.ceil(seconds / 60)} minutes`;
};

/** What a try that was not right is answered with, in words; null for one that was. @param wrong what it says of a wrong one */
export function triedInWords(tried: Tried, wrong: string): string | null {
  switch (tried.kind) {
    case 'right':
      return null;
    case 'busy':
      return 'Too many are signing in just now: try again in a moment.';
    case 'wait':
      return `Too many wrong tries: wait ${waitInWords(tried.waitMs)}, then try again. Nothing else is locked.`;
    case 'wrong':
      return tried.waitMs > 0 ? `${wrong} The next try has to wait ${waitInWords(tried.waitMs)}.` : wrong;
  }
}
