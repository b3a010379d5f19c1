import { makeBook } from '@/drills';
import { togglePlayer } from '@/session/plan/edits';
import { done, refused, type Outcome } from '@/core/base/outcome';
import { setAttendance } from '@/data/session';
import { getPlayers, placesOf } from '@/data/squad';
import { asOne, write } from '@/data/write';
import { check } from '@/schemas/check';
import { joinSchema, type JoinForm } from '@/schemas/join';
import { maxPlayers } from '@/schemas/booking';
import { signatureOf } from '../base/actor';
import type { Context } from '../base/context';
import type { PlanForm } from '@/schemas/session';
import { bookContents } from '../readers/book';
import { playerFacts } from '../readers/player-facts';
import { savePlayer } from '../players/squad';
import { loadPlan, savePlan } from './sessions';

/**
 * A child nobody planned for joins a session, before it or in the middle of it: forgotten, or a guest, who is put on the
 * squad first. They get a part in every block that is not held yet, and are here.
 */
export async function joinSession(
  context: Context,
  sessionId: string,
  input: unknown,
): Promise<Outcome<{ playerId: string; name: string }>> {
  const checked = check(joinSchema(Number(context.today.slice(0, 4))), input);
  if (!checked.ok) return checked;
  return asOne(context, (one) => joined(one, sessionId, checked.value));
}

async function joined(
  context: Context,
  sessionId: string,
  { playerId: known, guest }: JoinForm,
): Promise<Outcome<{ playerId: string; name: string }>> {
  const plan = await loadPlan(context, sessionId);
  if (!plan.ok) return plan;
  if (plan.value.playerIds.length >= maxPlayers)
    return refused(
      'playerIds',
      `Players: at most ${maxPlayers} in one session; plan a second one for the rest.`,
    );
  let playerId = known ?? '';
  if (known === null && guest) {
    const saved = await savePlayer(context, { ...guest, hand: 'right', sure: true });
    if (!saved.ok) return saved;
    playerId = saved.value.id;
  }
  const [player] = await getPlayers(context.db, [playerId]);
  if (!player) return refused('playerId', 'This player is not on record (any more): choose another one.');
  const plans = await putIn(context, plan.value, sessionId, playerId);
  if (!plans.ok) return plans;
  await write(context.db, (tx) =>
    setAttendance(tx, sessionId, [playerId], 'here', context.nowMs, signatureOf(context)),
  );
  return done({ playerId, name: player.name });
}

/** Gives a player a part in what is still planned of a session. */
async function putIn(
  context: Context,
  plan: PlanForm,
  sessionId: string,
  playerId: string,
): Promise<Outcome<unknown>> {
  if (plan.playerIds.includes(playerId)) return done(null);
  const ids = [...plan.playerIds, playerId];
  const [contents, rows, places] = await Promise.all([
    bookContents(context.db),
    getPlayers(context.db, ids),
    placesOf(context.db, ids),
  ]);
  const knows = {
    book: makeBook(contents, plan.coach),
    squad: rows.map((row) => playerFacts(row, plan.day)),
    standsOn: (drillId: string) => (id: string) =>
      places.find((one) => one.playerId === id && one.drillId === drillId)?.stepId,
  };
  return savePlan(context, sessionId, togglePlayer(knows, plan, playerId));
}
