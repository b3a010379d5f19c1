import { makeBook } from '@/drills';
import { newBlock } from '@/session/plan/place-block';
import { done, refused, type Outcome } from '@/core/base/outcome';
import { getPlayers, placesOf } from '@/data/squad';
import { bookContents } from '../readers/book';
import type { Context } from '../base/context';
import { loadPlan, savePlan } from './sessions';
import { playerFacts } from '../readers/player-facts';

/** Puts a drill at the end of a planned session, each player on the step they stand on. */
export async function addToSession(
  context: Context,
  sessionId: string,
  drillId: string,
): Promise<Outcome<null>> {
  const plan = await loadPlan(context, sessionId);
  if (!plan.ok) return plan;
  const book = makeBook(await bookContents(context.db), plan.value.coach);
  if (!book.drill(drillId)) return refused('drillId', 'This drill is not on the list (any more).');
  const [players, places] = await Promise.all([
    getPlayers(context.db, plan.value.playerIds),
    placesOf(context.db, plan.value.playerIds),
  ]);
  const standsOn = (playerId: string) =>
    places.find((place) => place.playerId === playerId && place.drillId === drillId)?.stepId;
  const facts = players.map((player) => playerFacts(player, plan.value.day));
  const block = newBlock(book, drillId, facts, standsOn, context.newId());
  const saved = await savePlan(context, sessionId, { ...plan.value, blocks: [...plan.value.blocks, block] });
  return saved.ok ? done(null) : saved;
}
