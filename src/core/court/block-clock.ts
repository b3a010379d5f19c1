import { ruleOf, type TouchEvent } from '../counting/event';
import { liveEvents } from '../counting/live';

/** The state of a block's clock, read from the log: it survives a reload because it is never kept elsewhere. */
export interface BlockClock {
  readonly state: 'ready' | 'running' | 'paused' | 'ended';
  /** Running milliseconds gathered before {@link runningSinceMs}, with what was skipped or taken back. */
  readonly gatheredMs: number;
  /** Wall time at which the running stretch began; null when not running. */
  readonly runningSinceMs: number | null;
}

/**
 * The clock of one block from its start, pause, end, skip and back marks.
 * Marks that change nothing (a second start, a pause while paused) are passed over, so that a doubled
 * press or a second device does no harm. A stretch in which the device's clock was set back counts as nothing.
 */
export function blockClock(events: Iterable<TouchEvent>): BlockClock {
  let gatheredMs = 0;
  let runningSinceMs: number | null = null;
  let ended = false;
  let started = false;
  const gather = (atMs: number) => {
    if (runningSinceMs !== null) gatheredMs += Math.max(0, atMs - runningSinceMs);
  };
  for (const event of liveEvents(events)) {
    const { clock: effect } = ruleOf(event.kind);
    switch (effect) {
      case null:
        break;
      case 'runs':
        runningSinceMs ??= event.atMs;
        started = true;
        ended = false;
        break;
      case 'stops':
      case 'ends':
        gather(event.atMs);
        runningSinceMs = null;
        ended ||= effect === 'ends';
        break;
      case 'forward':
        gatheredMs += 1000 * (event.value ?? 0);
        break;
      case 'backward':
        // Never before the start, whatever was gathered when the event was made.
        gather(event.atMs);
        if (runningSinceMs !== null) runningSinceMs = event.atMs;
        gatheredMs = Math.max(0, gatheredMs - 1000 * (event.value ?? 0));
    }
  }
  const state = ended ? 'ended' : runningSinceMs !== null ? 'running' : started ? 'paused' : 'ready';
  return { state, gatheredMs, runningSinceMs };
}

/** Running seconds at a moment. */
export function elapsedS(clock: BlockClock, nowMs: number): number {
  const runningMs = clock.runningSinceMs === null ? 0 : Math.max(0, nowMs - clock.runningSinceMs);
  return (clock.gatheredMs + runningMs) / 1000;
}
