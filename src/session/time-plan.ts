import type { KitAtHand } from '@/core/place/needs';
import { fitsHere, type Fit } from '@/core/place/fits';
import type { Place } from '@/core/place/place';
import { timeBlocks, type PlannedBlock, type PlannedPlayer, type PlanTime } from '@/core/planning/plan-time';
import type { Book } from '@/drills/book';
import { changedLoad } from '@/drills/changes';
import { paceOn } from './pace';
import { recordOf, workOf, type PlanBlock, type PlanPlayer, type Records } from './plan';

/** Where a session is held and what is at hand; null for a place nobody named. */
export interface Ground {
  readonly place: Place | null;
  readonly atHand: KitAtHand;
}

/** Everything is there: what is assumed when nobody said anything. */
export const openGround: Ground = { place: null, atHand: () => Infinity };

export function fitOfBlock(book: Book, block: PlanBlock, players: number, ground: Ground): Fit | undefined {
  const drill = book.drill(block.drillId);
  return drill && fitsHere(drill, Math.max(1, players), block.stations, ground.place, ground.atHand);
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
    const pace = paceOn(drill, step, youngest, record, block);
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
  const planned = blocks.flatMap<PlannedBlock>((block) => {
    const drill = book.drill(block.drillId);
    const working = plannedPlayers(book, block, players, records);
    if (!drill || working.length === 0) return [];
    const atOnce = fitOfBlock(book, block, working.length, ground)!.atOnce;
    return [
      {
        id: block.id,
        players: working,
        sitting: players.filter(({ id }) => workOf(book, block, id)?.out).map(({ id }) => id),
        // What does not fit at all is timed as if it did: the plan says so beside it.
        holds: atOnce || drill.players.max * block.stations,
        helped: drill.helper !== 'none',
        breakS: block.breakS,
      },
    ];
  });
  return timeBlocks(planned, bookedMin * 60);
}
