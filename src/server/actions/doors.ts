'use server';

import { cookies, headers } from 'next/headers';
import { revalidatePath } from 'next/cache';
import { done, type Outcome } from '@/core/base/outcome';
import { aboutCopy, restoreCopy, type AboutCopy } from '../files/copies';
import { makeCalendarLink, withdrawLink } from '../access/links';
import { auditLines, type AuditLine } from '../readers/audit';
import { addCoach, changePasscode, giveRole, removeCoach } from '../access/coaches';
import { noteConfirmed } from '../access/anew';
import type { Guesser } from '../access/brake';
import { coachCookie, knownCookie } from '../access/cookie';
import { act, linkContext, look, tokenOfRequest } from '../access/door';
import { hashOfToken, ownPasscode, signInCoach, signOut, type SignedIn } from '../access/sign-in';
import { listening, reachOf, type Reach } from '../views/reach';
import { undoTakeOver } from '../files/bring-in';
import { asId } from './ids';

/*
 * Coming in and going out. Signing in is the one action that asks nobody who they are; it slows down who guesses.
 */

export async function signInAction(input: unknown): Promise<Outcome<null>> {
  const browser = { ...(await guesser()), before: await tokenOfRequest() };
  const outcome = await signInCoach(await linkContext(), input, browser);
  if (!outcome.ok) return outcome;
  await giveCookies(outcome.value);
  return done(null);
}

/** At which addresses phones open links that are made here. */
export async function reachAction(): Promise<Reach> {
  const asked = (await headers()).get('x-vowstep-origin') ?? '';
  return look(async () => reachOf(listening(asked)));
}

/** Where somebody tries a passcode, and what that browser is known by. */
async function guesser(): Promise<Guesser> {
  const [asked, all] = [await headers(), await cookies()];
  return { address: asked.get('x-vowstep-address') ?? '', known: all.get(knownCookie)?.value };
}

/** Types the passcode once more, before what cannot be taken back. */
export async function confirmAction(passcode: unknown): Promise<Outcome<null>> {
  return act('see', 'sign-in.confirm', [], async (context) => {
    const own = await ownPasscode(context, typeof passcode === 'string' ? passcode : '', await guesser());
    const token = await tokenOfRequest();
    if (own.ok && token !== undefined) noteConfirmed(hashOfToken(token), context.nowMs);
    return own;
  });
}

/** Asks whether what takes everything along may be done now: the passcode is asked for before, where it is due. */
export async function mayTakeAction(): Promise<Outcome<null>> {
  return act('rule-anew', 'book.may-take', [], () => Promise.resolve(done(null)));
}

export async function signOutAction(everywhere: boolean): Promise<Outcome<null>> {
  return act('see', 'sign-out', [], async (context) => {
    await signOut(context, await tokenOfRequest(), everywhere === true);
    (await cookies()).delete(coachCookie);
    return done(null);
  });
}

/** The first coach there is is the owner, and whoever made it is signed in: nobody locks themselves out. */
export async function addCoachAction(input: unknown): Promise<Outcome<{ id: string }>> {
  return act('rule-anew', 'coach.add', [], async (context) => {
    const first = context.actor?.kind === 'coach' && context.actor.id === null;
    const outcome = await addCoach(context, input);
    if (outcome.ok && first) {
      const signedIn = await signInCoach(context, input, await guesser());
      if (signedIn.ok) await giveCookies(signedIn.value);
    }
    return again(outcome);
  });
}

export async function changePasscodeAction(coachId: string, input: unknown): Promise<Outcome<null>> {
  return act('see', 'coach.passcode', [asId(coachId)], async (context) =>
    changePasscode(context, asId(coachId), input, { ...(await guesser()), keep: await tokenOfRequest() }),
  );
}

export async function giveRoleAction(coachId: string, role: string): Promise<Outcome<null>> {
  return act('rule-anew', 'coach.role', [asId(coachId)], async (context) => {
    return again(await giveRole(context, asId(coachId), role));
  });
}

export async function removeCoachAction(coachId: string): Promise<Outcome<null>> {
  return act('rule-anew', 'coach.remove', [asId(coachId)], async (context) => {
    return again(await removeCoach(context, asId(coachId)));
  });
}

export async function makeCalendarLinkAction(input: unknown): Promise<Outcome<{ token: string }>> {
  return act('rule', 'link.make', [], async (context) => again(await makeCalendarLink(context, input)));
}

export async function withdrawLinkAction(tokenHash: string): Promise<Outcome<null>> {
  return act('rule', 'link.withdraw', [], async (context) =>
    again(await withdrawLink(context, asId(tokenHash))),
  );
}

export async function aboutCopyAction(name: string): Promise<Outcome<AboutCopy>> {
  return act('rule', 'copy.read', [], (context) => aboutCopy(context, asId(name)));
}

export async function restoreCopyAction(
  name: string,
): Promise<Outcome<{ name: string; kept: string | null; marks: number }>> {
  // It writes down itself that it was done: the book it would be written in is gone by then.
  return act('rule-anew', 'copy.restore', [], (context) => restoreCopy(context, asId(name)));
}

export async function undoTakeOverAction(id: string): Promise<Outcome<null>> {
  return act('rule', 'book.import-undo', [], async (context) => again(await undoTakeOver(context, asId(id))));
}

export async function auditLinesAction(
  before: number,
): Promise<Outcome<{ readonly lines: readonly AuditLine[]; readonly more: boolean }>> {
  return act('rule', 'audit.read', [], async ({ db }) =>
    done(await auditLines(db, Number.isSafeInteger(before) ? before : 0)),
  );
}

/** Pages are read again after a change. */
function again<T>(outcome: Outcome<T>): Outcome<T> {
  if (outcome.ok) revalidatePath('/', 'layout');
  return outcome;
}

async function giveCookies({ token, known, lastsMs }: SignedIn): Promise<void> {
  const secure = (await headers()).get('x-forwarded-proto')?.split(',')[0]?.trim() === 'https';
  const all = await cookies();
  const options = { httpOnly: true, sameSite: 'lax', path: '/', secure } as const;
  all.set(coachCookie, token, { ...options, maxAge: Math.floor(lastsMs / 1000) });
  all.set(knownCookie, known, { ...options, maxAge: 400 * 86_400 });
}
