import type { Book } from '@/drills';
import { blockAgain } from '@/session/plan/again';
import { settled } from '@/session/plan/settled';
import type { PlanBlock } from '@/session/base/plan';
import type { Executor } from '@/data/database';
import { placesOf } from '@/data/squad';
import type { Context } from '../base/context';
import type { PlayerFacts } from '../readers/player-facts';
import { putPlan } from './put-plan';

/**
 * Puts blocks of another plan into a new session, everybody on the step they stand on now.
 * @returns how many could not come along, because their drill is not known any more
 */
export async function placeAgain(
  tx: Executor,
  context: Context,
  book: Book,
  sessionId: string,
  players: readonly PlayerFacts[],
  before: readonly PlanBlock[],
): Promise<number> {
  const ids = players.map((player) => player.id);
  const places = await placesOf(tx, ids);
  const blocks = before.flatMap((block) => {
    const standsOn = (playerId: string) =>
      places.find((one) => one.playerId === playerId && one.drillId === block.drillId)?.stepId;
    return blockAgain(book, block, players, standsOn, context.newId()) ?? [];
  });
  await putPlan(tx, book, sessionId, ids, settled(blocks, ids));
  return before.length - blocks.length;
}
