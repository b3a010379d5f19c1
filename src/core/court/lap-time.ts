import { ruleOf, type TouchEvent } from '../counting/event';
import { liveEvents } from '../counting/live';
import { blockClock } from './block-clock';
import { positionAt, type Phase } from './phases';

/** A stretch of wall time in which a block's clock ran. */
interface Running {
  readonly fromMs: number;
  /** Infinity for the one that runs now. */
  readonly toMs: number;
  /** What the clock read at its beginning, seconds. */
  readonly clockS: number;
}

/** The stretches in which a block's clock ran, in their order; a skip or a repeat begins a new one. */
function runningOf(clock: Iterable<TouchEvent>): Running[] {
  const stretches: Running[] = [];
  let clockS = 0;
  let fromMs: number | null = null;
  const close = (atMs: number) => {
    if (fromMs === null) return;
    const toMs = Math.max(fromMs, atMs);
    stretches.push({ fromMs, toMs, clockS });
    clockS += (toMs - fromMs) / 1000;
  };
  for (const { kind, atMs, value } of liveEvents(clock)) {
    const { clock: effect } = ruleOf(kind);
    if (effect === null) continue;
    if (effect === 'runs') {
      fromMs ??= atMs;
      continue;
    }
    close(atMs);
    if (effect === 'stops' || effect === 'ends') fromMs = null;
    else {
      if (fromMs !== null) fromMs = Math.max(fromMs, atMs);
      clockS = Math.max(0, clockS + (effect === 'forward' ? 1 : -1) * (value ?? 0));
    }
  }
  if (fromMs !== null) stretches.push({ fromMs, toMs: Infinity, clockS });
  return stretches;
}

/** The last stretch of work that had begun: its place in the phases, and the clock's seconds at which it begins. */
function workBegun(phases: readonly Phase[], clockS: number): { index: number; fromS: number } | null {
  const { index } = positionAt(phases, clockS);
  const work = phases.slice(0, index + 1).findLastIndex(({ kind }) => kind === 'work');
  if (work < 0) return null;
  return { index: work, fromS: phases.slice(0, work).reduce((sum, { seconds }) => sum + seconds, 0) };
}

/** The moment at which the clock last came to a reading and stayed at it or beyond, wall milliseconds. */
function cameTo(stretches: readonly Running[], fromS: number, atMs: number): number {
  let sinceMs = atMs;
  for (const { fromMs, toMs, clockS } of [...stretches].reverse()) {
    const endS = clockS + (Math.min(toMs, atMs) - fromMs) / 1000;
    if (endS < fromS) break;
    sinceMs = fromMs + 1000 * Math.max(0, fromS - clockS);
    if (clockS < fromS) break;
  }
  return sinceMs;
}

/** Why a lap or a hold has no time: its work has not begun, or the block has ended. */
export type NoTime = 'not begun' | 'ended';

export interface LapAsked {
  /** Everything in the block's log that concerns its clock: starts, pauses, ends, skips and repeats. */
  readonly clock: Iterable<TouchEvent>;
  /** The block's stretches as the player has them. */
  readonly phases: readonly Phase[];
  /** When the lap before it ended, wall milliseconds; null for the first. */
  readonly lastMs: number | null;
  /** When this one ended, wall milliseconds. */
  readonly atMs: number;
}

/**
 * Seconds of a lap, to a tenth: how long the block's clock has run since the lap before it ended, or since its stretch of
 * work began where that was later. Pauses and what was skipped take no time. A lap that goes on over the end of its
 * stretch, or of the plan, takes as long as it takes.
 * @returns at least 0.1, or why there is no time
 */
export function lapTime({ clock, phases, lastMs, atMs }: LapAsked): number | NoTime {
  const before = [...clock].filter((one) => one.atMs <= atMs);
  if (blockClock(before).state === 'ended') return 'ended';
  const stretches = runningOf(before);
  const last = stretches.at(-1);
  if (!last) return 'not begun';
  const begun = workBegun(phases, last.clockS + (Math.min(last.toMs, atMs) - last.fromMs) / 1000);
  if (!begun) return 'not begun';
  const sinceMs = Math.max(lastMs ?? -Infinity, cameTo(stretches, begun.fromS, atMs));
  const ranMs = stretches.reduce(
    (sum, { fromMs, toMs }) => sum + Math.max(0, Math.min(toMs, atMs) - Math.max(fromMs, sinceMs)),
    0,
  );
  return Math.max(0.1, Math.round(ranMs / 100) / 10);
}
