import { done, refused, type Outcome } from '@/core/base/outcome';
import { measures } from '@/core/counting/measure';
import { evidenceOn } from '@/data/results';
import {
  getChallenge,
  getResult,
  insertChallenge,
  insertResult,
  setChallengeRemoved,
  setResultRemoved,
  challengers,
} from '@/data/challenges';
import { getPlayers } from '@/data/squad';
import { write } from '@/data/write';
import { challengeResultSchema, challengeSchema } from '@/schemas/challenge';
import { check } from '@/schemas/check';
import { dayOf, levelOn } from '@/session/skill/judging';
import { signatureOf } from '../base/actor';
import type { Context } from '../base/context';
import { dayAfter, recentSince } from '../base/days';
import { refreshAttempts } from '../court/results';
import { bookFor } from '../readers/book';
import { skillUntil } from '../readers/skill';

export const unknownChallenge = refused(
  'challenge',
  'This challenge is not on record (any more): go back to the challenges.',
);

/** Makes a challenge: what can be expected of everybody is written down now, and not changed by what comes. */
export async function makeChallenge(context: Context, input: unknown): Promise<Outcome<{ id: string }>> {
  const checked = check(challengeSchema, input);
  if (!checked.ok) return checked;
  const { playerIds, ...fields } = checked.value;
  await refreshAttempts(context.db);
  const before = fields.fromDay < context.today ? fields.fromDay : context.today;
  return write(context.db, async (tx) => {
    const book = await bookFor(tx);
    const step = book.step(fields.drillId, fields.stepId);
    if (!step) return refused('stepId', 'This step is not on the list (any more): choose another.');
    const ids = [...new Set(playerIds)];
    const known = await getPlayers(tx, ids);
    if (known.length < ids.length || known.some(({ removedAtMs }) => removedAtMs !== null))
      return refused('playerIds', 'A player is not on the squad (any more): reload the page.');
    // What was done before its first day; on a day of its own the counts of that day belong to it.
    const until = dayAfter(before, -1);
    const skill = await skillUntil(tx, until);
    const { lowerIsBetter } = measures[step.measure];
    const shown = await evidenceOn(
      tx,
      ids.map((playerId) => ({
        key: playerId,
        playerId,
        drillId: fields.drillId,
        stepId: step.id,
        gate: 0,
        lowerIsBetter,
        habit: false,
        homeCounts: true,
      })),
      { id: '', day: until },
      recentSince(until),
    );
    const id = context.newId();
    await insertChallenge(
      tx,
      { id, ...fields, kind: fields.kind as 'best', createdAtMs: context.nowMs, by: signatureOf(context) },
      ids.map((playerId) => {
        const level = levelOn(skill, playerId, fields.drillId, step.id);
        const day = level && dayOf(level);
        return {
          challengeId: id,
          playerId,
          best: shown.find((one) => one.key === playerId)?.best ?? null,
          level: day?.mean ?? null,
          variance: day?.variance ?? null,
        };
      }),
    );
    return done({ id });
  });
}

/** Takes a challenge off the list, or puts it back. */
export async function removeChallenge(
  context: Context,
  id: string,
  removed: boolean,
): Promise<Outcome<null>> {
  return write(context.db, async (tx) => {
    if (!(await getChallenge(tx, id))) return unknownChallenge;
    await setChallengeRemoved(tx, id, removed ? context.nowMs : null);
    return done(null);
  });
}

/** Types a result in, for a game that was counted elsewhere. */
export async function addChallengeResult(
  context: Context,
  challengeId: string,
  input: unknown,
): Promise<Outcome<{ id: string }>> {
  const checked = check(challengeResultSchema, input);
  if (!checked.ok) return checked;
  const { playerId, partnerId, result } = checked.value;
  return write(context.db, async (tx) => {
    const challenge = await getChallenge(tx, challengeId);
    if (!challenge || challenge.removedAtMs !== null) return unknownChallenge;
    if (context.today < challenge.fromDay)
      return refused('result', `It begins on ${challenge.fromDay}: type results from then on.`);
    const people = await challengers(tx, challengeId);
    const isIn = (who: string) => people.some((one) => one.playerId === who);
    if (!isIn(playerId))
      return refused('playerId', 'This player is not in the challenge: choose one who is.');
    const pairs = challenge.kind === 'pairs';
    if (pairs && (partnerId === null || partnerId === playerId || !isIn(partnerId)))
      return refused('partnerId', 'Partner is missing: choose the other of the pair, who is in it too.');
    const id = context.newId();
    const day = context.today > challenge.untilDay ? challenge.untilDay : context.today;
    await insertResult(tx, {
      id,
      challengeId,
      playerId,
      partnerId: pairs ? partnerId : null,
      club: null,
      result,
      day,
      atMs: context.nowMs,
      by: signatureOf(context),
    });
    return done({ id });
  });
}

/** Takes a typed result back, or puts it in again. */
export async function removeChallengeResult(
  context: Context,
  id: string,
  removed: boolean,
): Promise<Outcome<null>> {
  return write(context.db, async (tx) => {
    if (!(await getResult(tx, id)))
      return refused('result', 'This result is not on record (any more): reload the page.');
    await setResultRemoved(tx, id, removed ? context.nowMs : null);
    return done(null);
  });
}
