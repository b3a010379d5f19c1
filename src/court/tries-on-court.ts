import type { TouchEvent } from '@/core/counting/event';
import { triesInAll } from '@/core/counting/limits';
import type { Measure } from '@/core/counting/measure';
import type { Dose } from '@/core/dose/dose';
import { blockClock, elapsedS } from '@/core/court/block-clock';
import type { Phase } from '@/core/court/phases';
import { roundNow } from '@/core/court/round';
import type { TryAt } from './heard-marks';

interface OnCourt {
  readonly measure: Measure;
  /** What is done, as its rounds are counted. */
  readonly dose: Dose;
  readonly phases: readonly Phase[];
  /** What happened to the block's clock. */
  readonly clockEvents: readonly TouchEvent[];
  /** Touches and drops of the player so far, and attempts. */
  readonly tries: number;
  readonly attempts: number;
}

/** Tries in a block that has a clock: as it stood then, for it may be paused or over by now. */
export const triesOnCourt =
  ({ measure, dose, phases, clockEvents, tries, attempts }: OnCourt): TryAt =>
  ({ atMs, made, row }) => {
    // What the dose has no room for is outside of it.
    if (tries + made >= triesInAll(dose)) return null;
    const clock = blockClock(clockEvents.filter((one) => one.atMs <= atMs));
    const round = roundNow(dose, phases, elapsedS(clock, atMs), tries + made);
    // A row that was heard is one by itself, whether or not a drop was heard at the end of the one before.
    return round !== null && measure === 'row' ? attempts + 1 + row : round;
  };
