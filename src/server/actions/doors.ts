'use server';

import { cookies, headers } from 'next/headers';
import { revalidatePath } from 'next/cache';
import { done, type Outcome } from '@/core/outcome';
import { aboutCopy, restoreCopy, type AboutCopy } from '../copies';
import { makeCalendarLink, withdrawLink } from '../doors/links';
import { auditLines, type AuditLine } from '../readers/audit';
import { addCoach, changePasscode, giveRole, removeCoach } from '../doors/coaches';
import { coachCookie } from '../doors/cookie';
import { act, linkContext, tokenOfRequest } from '../doors/door';
import { signInCoach, signOut, type SignedIn } from '../doors/sign-in';
import { undoTakeOver } from '../files/bring-in';
import { asId } from './ids';

/*
 * Coming in and going out. Signing in is the one action that asks nobody who they are; it slows down who guesses.
 */

export async function signInAction(input: unknown): Promise<Outcome<null>> {
  const asked = await headers();
  const outcome = await signInCoach(await linkContext(), input, asked.get('x-vowstep-address') ?? '');
  if (!outcome.ok) return outcome;
  await giveCookie(outcome.value);
  return done(null);
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
  return act('rule', 'coach.add', [], async (context) => {
    const first = context.actor?.kind === 'coach' && context.actor.id === null;
    const outcome = await addCoach(context, input);
    if (outcome.ok && first) {
      const signedIn = await signInCoach(context, input, '');
      if (signedIn.ok) await giveCookie(signedIn.value);
    }
    return again(outcome);
  });
}

export async function changePasscodeAction(coachId: string, input: unknown): Promise<Outcome<null>> {
  return act('see', 'coach.passcode', [asId(coachId)], async (context) =>
    changePasscode(context, asId(coachId), input, await tokenOfRequest()),
  );
}

export async function giveRoleAction(coachId: string, role: string): Promise<Outcome<null>> {
  return act('rule', 'coach.role', [asId(coachId)], async (context) => {
    return again(await giveRole(context, asId(coachId), role));
  });
}

export async function removeCoachAction(coachId: string): Promise<Outcome<null>> {
  return act('rule', 'coach.remove', [asId(coachId)], async (context) => {
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
  return act('rule', 'copy.restore', [], (context) => restoreCopy(context, asId(name)));
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

async function giveCookie({ token, lastsMs }: SignedIn): Promise<void> {
  const secure = (await headers()).get('x-forwarded-proto')?.split(',')[0]?.trim() === 'https';
  (await cookies()).set(coachCookie, token, {
    ...{ httpOnly: true, sameSite: 'lax', path: '/', secure, maxAge: Math.floor(lastsMs / 1000) },
  });
}
