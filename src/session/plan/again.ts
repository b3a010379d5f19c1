import type { Book } from '@/drills/book';
import { newBlock, type StandsOn } from './place-block';
import { ownWorkFor, type PlanBlock, type PlanPlayer } from '../base/plan';

/**
 * A block of an earlier session for another one: the same drill, with everybody on the step they stand on by now. Where
 * that is still the step it was, the coach's own dose, changes and set-out come along; where the group has moved on, the
 * new step comes with its own. Who sat out sits out again. Null for a drill that is off the list.
 * @param id of the new block
 */
export function blockAgain(
  book: Book,
  block: PlanBlock,
  players: readonly PlanPlayer[],
  standsOn: StandsOn,
  id: string,
): PlanBlock | null {
  const drill = book.drill(block.drillId);
  if (!drill) return null;
  // Who has never been placed on this ladder stands where they were in the block.
  const stands: StandsOn = (playerId) =>
    standsOn(playerId) ?? block.own.find((one) => one.playerId === playerId)?.stepId ?? block.stepId;
  const out = new Set(block.own.filter((one) => one.out).map((one) => one.playerId));
  const working = players.filter((player) => !out.has(player.id));
  const fresh = newBlock(book, block.drillId, working.length > 0 ? working : players, stands, id);
  const same = fresh.stepId === block.stepId;
  const { stations, breakS, circuit = null } = block;
  const core: PlanBlock = {
    ...fresh,
    stations,
    breakS,
    circuit,
    ...(same && { dose: block.dose, changes: block.changes, setting: block.setting }),
  };
  return {
    ...core,
    own: players.map((player) => {
      const own = ownWorkFor(book, core, player, stands(player.id));
      const before = block.own.find((one) => one.playerId === player.id);
      // Where nothing has changed for a player, their own amount stays what the coach made of it.
      const amount = same && before?.stepId === own.stepId ? before.amount : own.amount;
      return { ...own, amount, out: out.has(player.id) };
    }),
  };
}
