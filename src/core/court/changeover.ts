import type { TouchEvent } from '../counting/event';
import { liveEvents } from '../counting/live';
import { blockClock } from './block-clock';

/** The time between two blocks: clearing away, setting out, the brief. */
export interface Changeover {
  /** Seconds left of what was planned for it; under 0 when it takes longer. */
  readonly leftS: number;
}

/** A block that waits longer than this after the last one waits for something else, seconds. Ours. */
const longestS = 1800;

/**
 * The changeover to a block that has not been started, since the newest end of another one.
 * @param otherBlocks the events of every other block, each list for itself
 * @param plannedS seconds planned between that block's end and this one's start, >= 0
 * @returns null when nothing has ended yet or not for half an hour, or another block is still running
 */
export function changeoverNow(
  otherBlocks: Iterable<Iterable<TouchEvent>>,
  plannedS: number,
  nowMs: number,
): Changeover | null {
  let endedMs = -Infinity;
  for (const events of otherBlocks) {
    const { state } = blockClock(events);
    if (state === 'running') return null;
    if (state !== 'ended') continue;
    for (const event of liveEvents(events)) if (event.kind === 'end') endedMs = Math.max(endedMs, event.atMs);
  }
  const sinceS = Math.max(0, nowMs - endedMs) / 1000;
  return sinceS > longestS ? null : { leftS: plannedS - sinceS };
}
