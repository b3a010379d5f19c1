import { done, refused, type Outcome } from '@/core/base/outcome';
import { changeCoach, coachNamed, endSignIns, insertCoach, listCoaches, nameKeyOf } from '@/data/coaches';
import { write } from '@/data/write';
import { check } from '@/schemas/check';
import { newCoachSchema, passcodeSchema } from '@/schemas/coach';
import { actorOf } from '../base/actor';
import type { Context } from '../base/context';
import { goodPasscode, hashPasscode } from './passcode';
import type { Guesser } from './brake';
import { hashOfToken, ownPasscode } from './sign-in';

/** A club's coaches; more is a mistake. Ours. */
const mostCoaches = 60;

/**
 * Gives somebody a name and a passcode to come in by. The first one is the owner: from then on everybody signs in.
 */
export async function addCoach(context: Context, input: unknown): Promise<Outcome<{ id: string }>> {
  const checked = check(newCoachSchema, input);
  if (!checked.ok) return checked;
  const { name, passcode } = checked.value;
  const good = await goodPasscode(passcode, [name]);
  if (!good.ok) return good;
  const hash = await hashPasscode(passcode);
  return write(context.db, async (tx) => {
    const known = await listCoaches(tx);
    if (known.length >= mostCoaches) return refused('name', `There are ${mostCoaches} coaches already.`);
    if (await coachNamed(tx, name))
      return refused('name', `There is a coach called ${name} already: add something to the name.`);
    const id = context.newId();
    await insertCoach(tx, {
      id,
      name,
      nameKey: nameKeyOf(name),
      passcode: hash,
      role: known.length === 0 ? 'owner' : checked.value.role,
      createdAtMs: context.nowMs,
      removedAtMs: null,
    });
    return done({ id });
  });
}

/**
 * Gives a coach another passcode: their own, or as the owner anybody's. Whoever does it types their own of now once more.
 * Their other browsers are signed out.
 * @param browser what they sit at; its `keep` is the token that stays signed in
 */
export async function changePasscode(
  context: Context,
  coachId: string,
  input: unknown,
  { keep, ...browser }: Guesser & { readonly keep?: string },
): Promise<Outcome<null>> {
  const checked = check(passcodeSchema, input);
  if (!checked.ok) return checked;
  const coach = (await listCoaches(context.db)).find(({ id }) => id === coachId);
  if (!coach) return gone;
  const actor = actorOf(context);
  if (actor.kind !== 'coach' || (actor.role !== 'owner' && actor.id !== coachId))
    return refused('coach', 'Only the owner changes the passcode of somebody else.');
  const own = await ownPasscode(context, checked.value.own, browser);
  if (!own.ok) return own;
  const good = await goodPasscode(checked.value.passcode, [coach.name]);
  if (!good.ok) return good;
  const passcode = await hashPasscode(checked.value.passcode);
  return write(context.db, async (tx) => {
    await changeCoach(tx, coachId, { passcode });
    await endSignIns(
      tx,
      coachId,
      context.nowMs,
      actor.id === coachId && keep ? { but: hashOfToken(keep) } : {},
    );
    return done(null);
  });
}

/** Somebody does not come in any more, from now on, wherever they are signed in. What they wrote stays theirs. */
export async function removeCoach(context: Context, coachId: string): Promise<Outcome<null>> {
  return write(context.db, async (tx) => {
    const known = await listCoaches(tx);
    const coach = known.find(({ id }) => id === coachId);
    if (!coach) return gone;
    const owners = known.filter(({ role }) => role === 'owner');
    if (coach.role === 'owner' && owners.length === 1)
      return refused('coach', `${coach.name} is the only owner: make somebody else an owner first.`);
    await changeCoach(tx, coachId, { removedAtMs: context.nowMs });
    await endSignIns(tx, coachId, context.nowMs);
    return done(null);
  });
}

/** Makes a coach an owner, or an owner a coach; one owner stays. */
export async function giveRole(context: Context, coachId: string, role: unknown): Promise<Outcome<null>> {
  if (role !== 'owner' && role !== 'coach') return refused('role', 'A role is owner or coach.');
  return write(context.db, async (tx) => {
    const known = await listCoaches(tx);
    const coach = known.find(({ id }) => id === coachId);
    if (!coach) return gone;
    if (role === 'coach' && !known.some((one) => one.role === 'owner' && one.id !== coachId))
      return refused('role', `${coach.name} is the only owner: make somebody else an owner first.`);
    await changeCoach(tx, coachId, { role });
    return done(null);
  });
}

const gone = refused('coach', 'There is no such coach (any more): reload the page.');
