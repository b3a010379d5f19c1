import { createHash, randomBytes } from 'node:crypto';
import { done, refused, type Outcome } from '@/core/base/outcome';
import { insertAudit } from '@/data/audit';
import {
  atTheDoor,
  coachNamed,
  endSignIn,
  endSignIns,
  insertSignIn,
  listCoaches,
  touchSignIn,
  type AtTheDoor,
} from '@/data/coaches';
import { write } from '@/data/write';
import { check } from '@/schemas/check';
import { signInSchema } from '@/schemas/coach';
import { actorOf } from '../base/actor';
import type { Context } from '../base/context';
import { knownBy, triedInWords, tryPasscode, type Guesser } from './brake';

/** A sign-in that is not used ends after this, and every one ends after that, milliseconds. A squad meets weekly. Ours. */
export const idleMs = 8 * 86_400_000;
export const longestMs = 60 * 86_400_000;
/** When it was last used is written down no more often than this, milliseconds. Ours. */
const noteMs = 3_600_000;

export const hashOfToken = (token: string): string => createHash('sha256').update(token).digest('hex');
const tokenPattern = /^[\w-]{43}$/;

export interface SignedIn {
  readonly token: string;
  /** What the browser is known by from now on (brake.ts). */
  readonly known: string;
  readonly lastsMs: number;
}

/** The browser somebody signs in with. */
export interface Browser extends Guesser {
  /** What it was signed in with until now: that ends. */
  readonly before?: string;
}

/**
 * Lets a coach in by name and passcode. Wrong ones make the next try wait (brake.ts); a name nobody has is answered like a
 * wrong passcode, and as slowly.
 */
export async function signInCoach(
  context: Context,
  input: unknown,
  browser: Browser,
): Promise<Outcome<SignedIn>> {
  const checked = check(signInSchema, input);
  if (!checked.ok) return checked;
  const { name, passcode } = checked.value;
  const { db, nowMs } = context;
  const coach = await coachNamed(db, name);
  const tried = await tryPasscode(context, { name, coach }, browser, passcode);
  const trouble = triedInWords(tried, 'Name or passcode is wrong.');
  if (trouble !== null || !coach) {
    // What was typed as a name may be a passcode: it is not written down.
    if (tried.kind === 'wrong')
      await write(db, (tx) => insertAudit(tx, said(context, coach?.name ?? '', 'sign-in.failed', coach?.id)));
    return refused('passcode', trouble ?? 'Name or passcode is wrong.');
  }
  const token = randomBytes(32).toString('base64url');
  const known = await write(db, async (tx) => {
    if (browser.before !== undefined) await endSignIn(tx, hashOfToken(browser.before), nowMs);
    await insertSignIn(tx, {
      tokenHash: hashOfToken(token),
      coachId: coach.id,
      createdAtMs: nowMs,
      lastUsedAtMs: nowMs,
      endedAtMs: null,
    });
    await insertAudit(tx, said(context, coach.name, 'sign-in', coach.id));
    return knownBy(tx, coach);
  });
  return done({ token, known, lastsMs: longestMs });
}

/** The coach who acts types their own passcode once more. While nobody signs in there is none to type. */
export async function ownPasscode(
  context: Context,
  passcode: string,
  browser: Guesser,
): Promise<Outcome<null>> {
  const actor = actorOf(context);
  if (actor.kind !== 'coach' || actor.id === null) return done(null);
  const coach = (await listCoaches(context.db)).find(({ id }) => id === actor.id);
  const tried = await tryPasscode(context, { name: actor.name, coach }, browser, passcode);
  const trouble = triedInWords(tried, 'That is not your passcode.');
  if (trouble === null) return done(null);
  if (tried.kind === 'wrong')
    await write(context.db, (tx) => insertAudit(tx, said(context, actor.name, 'sign-in.failed', actor.id!)));
  return refused('own', trouble);
}

const said = ({ newId, nowMs }: Context, who: string, what: string, id?: string) => ({
  id: newId(),
  atMs: nowMs,
  who,
  what,
  about: id ? [id] : [],
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
