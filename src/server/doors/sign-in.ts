import { createHash, randomBytes } from 'node:crypto';
import { done, refused, type Outcome } from '@/core/outcome';
import { insertAudit } from '@/data/audit';
import {
  atTheDoor,
  coachNamed,
  countTries,
  endSignIns,
  forgetTries,
  insertSignIn,
  nameKeyOf,
  touchSignIn,
  triesOf,
  type AtTheDoor,
} from '@/data/coaches';
import { write } from '@/data/write';
import { check } from '@/schemas/check';
import { signInSchema } from '@/schemas/coach';
import type { Context } from '../context';
import { Busy, isPasscode, nobodys } from './passcode';

/** A sign-in that is not used ends after this, and every one ends after that, milliseconds. A squad meets weekly. Ours. */
export const idleMs = 8 * 86_400_000;
export const longestMs = 60 * 86_400_000;
/** When it was last used is written down no more often than this, milliseconds. Ours. */
const noteMs = 3_600_000;

export const hashOfToken = (token: string): string => createHash('sha256').update(token).digest('hex');
const tokenPattern = /^[\w-]{43}$/;

/** Tries that cost nothing, then a wait that doubles with each, up to the longest, milliseconds. Ours. */
const freeTries = 3;
const [firstWaitMs, longestWaitMs] = [5000, 15 * 60_000];
/** Wrong tries are forgotten after this, milliseconds. Ours. */
const forgetMs = 86_400_000;
/** An address may be a whole club's: it has more tries than an account. Ours. */
const freeTriesOfAddress = 20;

const waitAfter = (failures: number, free: number): number =>
  failures < free ? 0 : Math.min(longestWaitMs, firstWaitMs * 2 ** (failures - free));

/** How long somebody has to wait until the next try, milliseconds; 0 for not at all. */
async function toWait(
  { db, nowMs }: Pick<Context, 'db' | 'nowMs'>,
  account: string,
  address: string,
): Promise<number> {
  const tries = await triesOf(db, [account, address]);
  return Math.max(
    0,
    ...tries.map(
      ({ key, failures, lastAtMs }) =>
        lastAtMs + waitAfter(failures, key === address ? freeTriesOfAddress : freeTries) - nowMs,
    ),
  );
}

const inWords = (ms: number): string => {
  const seconds = Math.ceil(ms / 1000);
  if (seconds < 90) return seconds === 1 ? '1 second' : `${seconds} seconds`;
  return `${Math.ceil(seconds / 60)} minutes`;
};

export interface SignedIn {
  readonly token: string;
  readonly lastsMs: number;
}

/**
 * Lets a coach in by name and passcode. Wrong ones make the next try wait, for the account and for the address; a name
 * nobody has is answered like a wrong passcode, and as slowly.
 * @param address where the request came from
 */
export async function signInCoach(
  context: Context,
  input: unknown,
  address: string,
): Promise<Outcome<SignedIn>> {
  const checked = check(signInSchema, input);
  if (!checked.ok) return checked;
  const { name, passcode } = checked.value;
  const { db, nowMs } = context;
  const keys = [`account ${hashOfToken(nameKeyOf(name))}`, `address ${hashOfToken(address)}`] as const;
  const wait = await toWait(context, ...keys);
  if (wait > 0)
    return refused(
      'passcode',
      `Too many wrong tries: wait ${inWords(wait)}, then try again. Nothing else is locked.`,
    );
  const coach = await coachNamed(db, name);
  let right: boolean;
  try {
    right = await isPasscode(passcode, coach?.passcode ?? nobodys);
  } catch (error) {
    if (!(error instanceof Busy)) throw error;
    return refused('passcode', 'Too many are signing in just now: try again in a moment.');
  }
  if (!coach || !right) {
    await write(db, async (tx) => {
      await countTries(tx, keys, nowMs, forgetMs);
      // What was typed as a name may be a passcode: it is not written down.
      await insertAudit(tx, said(context, coach?.name ?? '', 'sign-in.failed', coach?.id));
    });
    const next = await toWait(context, ...keys);
    return refused(
      'passcode',
      `Name or passcode is wrong.${next > 0 ? ` The next try has to wait ${inWords(next)}.` : ''}`,
    );
  }
  const token = randomBytes(32).toString('base64url');
  await write(db, async (tx) => {
    // The address keeps its count: one who knows one passcode could otherwise try others for ever.
    await forgetTries(tx, [keys[0]]);
    await insertSignIn(tx, {
      tokenHash: hashOfToken(token),
      coachId: coach.id,
      createdAtMs: nowMs,
      lastUsedAtMs: nowMs,
      endedAtMs: null,
    });
    await insertAudit(tx, said(context, coach.name, 'sign-in', coach.id));
  });
  return done({ token, lastsMs: longestMs });
}

const said = ({ newId, nowMs }: Context, who: string, what: string, id?: string) => ({
  ...{ id: newId(), atMs: nowMs, who, what, about: id ? [id] : [] },
});

/** Who comes with a token, while it holds; whether anybody has to come with one. */
export async function whoComes(
  { db, nowMs }: Pick<Context, 'db' | 'nowMs'>,
  token: string | undefined,
): Promise<AtTheDoor> {
  const hash = token !== undefined && tokenPattern.test(token) ? hashOfToken(token) : null;
  const { kept, who } = await atTheDoor(db, hash);
  if (!who || nowMs - who.lastUsedAtMs > idleMs || nowMs - who.signedInAtMs > longestMs)
    return { kept, who: null };
  // Nobody waits for it.
  if (nowMs - who.lastUsedAtMs > noteMs)
    void write(db, (tx) => touchSignIn(tx, hash!, nowMs)).catch(() => undefined);
  return { kept, who };
}

/** Ends a sign-in, or with `everywhere` all of the coach's: a cookie of before opens nothing any more. */
export async function signOut(
  context: Context,
  token: string | undefined,
  everywhere: boolean,
): Promise<void> {
  const { actor, db, nowMs } = context;
  if (actor?.kind !== 'coach' || actor.id === null || token === undefined) return;
  const { id } = actor;
  await write(db, (tx) => endSignIns(tx, id, nowMs, everywhere ? {} : { only: hashOfToken(token) }));
}
