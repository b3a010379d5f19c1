import { shortShare, type BlockToCome } from '@/core/court/late';
import { slotsOf } from '@/core/plan/circuit/circuit';
import type { Book } from '@/drills/book';
import { shortened } from './on-court';
import { type PlanBlock, type PlanPlayer, type Records } from '../base/plan';
import { timePlan, type Ground } from '../plan/time-plan';

/** A block still to come, and how much of its dose is left where it was shortened. */
export interface Coming {
  readonly block: PlanBlock;
  readonly share: number;
}

export interface WhatIsLeft {
  /** Seconds between the end of the running block and the next one: changeover and drinks. */
  readonly afterRunningS: number;
  readonly toCome: readonly BlockToCome[];
}

/**
 * What is left of a session, timed as the plan times it: as one list, with set-up, showing, changeovers and drinks.
 * Of a circuit its first station stands for all of them.
 * @param running the block or stations that run now; empty when none do
 */
export function whatIsLeft(
  book: Book,
  running: readonly PlanBlock[],
  coming: readonly Coming[],
  players: readonly PlanPlayer[],
  records: Records,
  ground: Ground,
): WhatIsLeft {
  const timed = (list: readonly PlanBlock[]) => {
    const all = [...running, ...list];
    // What was booked does not matter to how long each of them takes.
    return new Map(timePlan(book, all, players, records, 60, ground).blocks.map((time) => [time.id, time]));
  };
  const now = timed(coming.map(({ block, share }) => shortened(block, share)));
  const short = timed(coming.map(({ block, share }) => shortened(block, Math.min(share, shortShare))));
  const after = running[0] && now.get(running[0].id);
  return {
    afterRunningS: after ? after.changeoverS + after.breakS : 0,
    toCome: slotsOf(coming.map(({ block }) => block)).map((slot) => ({
      blockId: slot[0]!.id,
      seconds: now.get(slot[0]!.id)?.totalS ?? 0,
      shortS: short.get(slot[0]!.id)?.totalS ?? 0,
      keep: slot.some((block) => block.retest || book.drill(block.drillId)?.family === 'loosen'),
    })),
  };
}
