import type { KitAtHand } from '@/core/venues/needs';
import { fitsHere, type Fit } from '@/core/venues/fits';
import { fitSideBySide } from '@/core/venues/side-by-side';
import type { Place } from '@/core/venues/place';
import type { PlannedBlock, PlannedPlayer } from '@/core/plan/block-time';
import { slotsOf } from '@/core/plan/circuit/circuit';
import { timeBlocks, type PlanTime } from '@/core/plan/plan-time';
import type { Book } from '@/drills/book';
import { changedLoad } from '@/drills/base/changes';
import { paceOn } from '../base/pace';
import { recordOf, workOf, type PlanBlock, type PlanPlayer, type Records } from '../base/plan';

/** Where a session is held and what is at hand; null for a place nobody named. */
export interface Ground {
  readonly place: Place | null;
  readonly atHand: KitAtHand;
}

/** Everything is there: what is assumed when nobody said anything. */
export const openGround: Ground = { place: null, atHand: () => Infinity };

/** How many come to a block at a time: everybody who works in it, or the largest group of its circuit. */
export function comeTo({ circuit }: PlanBlock, working: readonly string[]): number {
  if (!circuit) return working.length;
  return Math.max(...circuit.groups.map((group) => group.filter((id) => working.includes(id)).length));
}

/**
 * Whether each block can be done here: one after the other with everything there is, and the stations of a circuit with
 * what is left beside each other. By block id; blocks of drills not in the book are left out.
 * @param workingIn who works in a block
 */
export function fitsOf(
  book: Book,
  blocks: readonly PlanBlock[],
  workingIn: (block: PlanBlock) => readonly string[],
  ground: Ground,
): Map<string, Fit> {
  const fits = new Map<string, Fit>();
  for (const slot of slotsOf(blocks)) {
    const known = slot.flatMap((block) => {
      const drill = book.drill(block.drillId);
      return drill ? [{ block, drill, players: Math.max(1, comeTo(block, workingIn(block))) }] : [];
    });
    const list = known.map(({ block, drill, players }) => ({
      needs: drill,
      players,
      stations: block.stations,
    }));
    const all =
      list.length > 1
        ? fitSideBySide(list, ground.place, ground.atHand).fits
        : list.map((one) => fitsHere(one.needs, one.players, one.stations, ground.place, ground.atHand));
    for (const [index, { block }] of known.entries()) fits.set(block.id, all[index]!);
  }
  return fits;
}

/** Who works in a block, with their own dose, pace and load. */
export function plannedPlayers(
  book: Book,
  block: PlanBlock,
  players: readonly PlanPlayer[],
  records: Records,
): PlannedPlayer[] {
  const youngest = Math.min(...players.map((player) => player.age));
  return players.flatMap((player) => {
    const work = workOf(book, block, player.id);
    if (!work || work.out) return [];
    const { drill, step, dose } = work;
    const record = recordOf(records, player.id, drill.id, step.id);
    const pace = paceOn(drill, step, { own: player.age, youngest }, record, block);
    return [{ playerId: player.id, dose, pace, load: changedLoad(step.load, block.changes) }];
  });
}

/**
 * A plan as time, touches, waiting and load; blocks of drills no longer in the book, and blocks everybody sits out,
 * are left out.
 */
export function timePlan(
  book: Book,
  blocks: readonly PlanBlock[],
  players: readonly PlanPlayer[],
  records: Records,
  bookedMin: number,
  ground: Ground = openGround,
): PlanTime {
  const works = new Map(blocks.map((block) => [block, plannedPlayers(book, block, players, records)]));
  const there = blocks.filter((block) => book.drill(block.drillId) && works.get(block)!.length > 0);
  const fits = fitsOf(book, there, (block) => works.get(block)!.map(({ playerId }) => playerId), ground);
  const planned = there.map<PlannedBlock>((block) => {
    const drill = book.drill(block.drillId)!;
    return {
      id: block.id,
      players: works.get(block)!,
      sitting: players.filter(({ id }) => workOf(book, block, id)?.out).map(({ id }) => id),
      // What does not fit at all is timed as if it did: the plan says so beside it.
      holds: fits.get(block.id)!.atOnce || drill.players.max * block.stations,
      helped: drill.helper !== 'none',
      breakS: block.breakS,
      circuit: block.circuit ?? null,
    };
  });
  return timeBlocks(planned, bookedMin * 60);
}
