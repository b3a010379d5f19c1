import { shortShare, type BlockToCome } from '@/core/run/late';
import type { Book } from '@/drills/book';
import { shortened } from './on-court';
import { type PlanBlock, type PlanPlayer, type Records } from './plan';
import { timePlan, type Ground } from './time-plan';

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
 * @param running the block that runs now; null when none does
 */
export function whatIsLeft(
  book: Book,
  running: PlanBlock | null,
  coming: readonly Coming[],
  players: readonly PlanPlayer[],
  records: Records,
  ground: Ground,
): WhatIsLeft {
  const timed = (list: readonly PlanBlock[]) => {
    const all = running ? [running, ...list] : list;
    // What was booked does not matter to how long each of them takes.
    return new Map(timePlan(book, all, players, records, 60, ground).blocks.map((time) => [time.id, time]));
  };
  const now = timed(coming.map(({ block, share }) => shortened(block, share)));
  const short = timed(coming.map(({ block, share }) => shortened(block, Math.min(share, shortShare))));
  const after = running ? now.get(running.id) : undefined;
  return {
    afterRunningS: after ? after.changeoverS + after.breakS : 0,
    toCome: coming.map(({ block }) => ({
      blockId: block.id,
      seconds: now.get(block.id)?.totalS ?? 0,
      shortS: short.get(block.id)?.totalS ?? 0,
      keep: block.retest || book.drill(block.drillId)?.family === 'loosen',
    })),
  };
}
