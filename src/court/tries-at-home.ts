import type { Measure } from '@/core/counting/measure';
import { lateTapS } from '@/core/court/late-tap';
import type { TryAt } from './heard-marks';

interface AtHome {
  readonly measure: Measure;
  /** The first try that is free. */
  readonly next: number;
  /** When the time began, UTC milliseconds, and how long it is, seconds; null where nobody works against the clock. */
  readonly box: { readonly fromMs: number; readonly workS: number } | null;
}

/** Tries at home, where nothing runs but the time somebody started: what was heard in one go is one try, a row one by itself. */
export const triesAtHome =
  ({ measure, next, box }: AtHome): TryAt =>
  ({ atMs, row }) => {
    if (box && (atMs < box.fromMs || atMs > box.fromMs + (box.workS + lateTapS) * 1000)) return null;
    return measure === 'row' ? next + row : next;
  };
