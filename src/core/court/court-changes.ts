import { breathlessShare } from '../dose/scale';
import type { TouchEvent } from '../counting/event';
import { liveEvents } from '../counting/live';
import type { Phase } from './phases';

/** What was decided on court about a block's time. */
export interface CourtChanges {
  /** Seconds added to stretches, by their number from 0. */
  readonly extraS: ReadonlyMap<number, number>;
  /** How much of the dose is done, 0.1 to 1. */
  readonly share: number;
  /** True when the block is left out to end on time. */
  readonly out: boolean;
}

/** The decisions about one block, from the events that belong to no player. */
export function courtChanges(events: Iterable<TouchEvent>): CourtChanges {
  const extraS = new Map<number, number>();
  let share = 1;
  let out = false;
  for (const { kind, attempt, value } of liveEvents(events)) {
    if (kind === 'extend') extraS.set(attempt - 1, (extraS.get(attempt - 1) ?? 0) + (value ?? 0));
    else if (kind === 'share') share = Math.min(1, Math.max(0.1, value ?? breathlessShare));
    else if (kind === 'out') out = value !== 0;
  }
  return { extraS, share, out };
}

/** Phases with what was added to them on court. */
export function extended(phases: readonly Phase[], extraS: ReadonlyMap<number, number>): Phase[] {
  return phases.map((phase, index) => ({ ...phase, seconds: phase.seconds + (extraS.get(index) ?? 0) }));
}

/**
 * The order blocks are run in: as planned, with every swap of two blocks in the order the swaps were made.
 * A swap with a block that is not there is passed over.
 */
export function runOrder(blockIds: readonly string[], courtEvents: Iterable<TouchEvent>): string[] {
  const order = [...blockIds];
  for (const { kind, blockId, text } of liveEvents(courtEvents)) {
    if (kind !== 'swap') continue;
    const [a, b] = [order.indexOf(blockId), order.indexOf(text ?? '')];
    if (a !== -1 && b !== -1) [order[a], order[b]] = [order[b]!, order[a]!];
  }
  return order;
}
