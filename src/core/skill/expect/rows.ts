import { chanceOfRow, expectedDropsToRow, expectedTouchesToRow } from '../row-odds';
import { halfWidth, logistic, meanOf, type Gauss } from '../level/scale';

/** A number with the range it lies in, eight times in ten. */
export interface Ranged {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** A number that hangs on the level, at the level and at the ends of its range of 80 %. */
export function ranged({ mean, variance }: Gauss, f: (level: number) => number): Ranged {
  const half = halfWidth[0.8] * Math.sqrt(variance);
  const [one, other] = [f(mean - half), f(mean + half)];
  return { value: f(mean), low: Math.min(one, other), high: Math.max(one, other) };
}

/** Chance that the next touch holds. */
export const chanceOfTouch = (day: Gauss): number => meanOf(day, logistic);

/**
 * Chance of a row of at least `n` in one of `tries` tries: 1 - (1 - p^n)^k, over the level of the day.
 * @param n whole, >= 0; @param tries whole, >= 1
 */
export const chanceOfRowInTries = (day: Gauss, n: number, tries = 1): number =>
  meanOf(day, (level) => 1 - (1 - logistic(level) ** n) ** tries);

/** Seconds a touch takes and a drop costs. */
export interface Pace {
  readonly perTouchS: number;
  readonly dropCostS: number;
}

/** Chance of a row of `n` within some seconds: as many touches as fit, drops taken off. */
export const chanceOfRowInTime = (day: Gauss, n: number, seconds: number, pace: Pace): number =>
  meanOf(day, (level) => {
    const p = logistic(level);
    const touches = Math.floor(seconds / (pace.perTouchS + (1 - p) * pace.dropCostS));
    return chanceOfRow(p, n, Math.max(0, touches));
  });

/** Rows to begin until one reaches `n`: 1 / p^n, with the range the level leaves. */
export const triesToRow = (day: Gauss, n: number): Ranged => ranged(day, (level) => logistic(level) ** -n);

/** Minutes until a row of `n` is there, drops and all, with the range the level leaves. */
export const minutesToRow = (day: Gauss, n: number, { perTouchS, dropCostS }: Pace): Ranged =>
  ranged(day, (level) => {
    const p = logistic(level);
    return (expectedTouchesToRow(p, n) * perTouchS + expectedDropsToRow(p, n) * dropCostS) / 60;
  });

/**
 * The best row to expect of some tries: the sum over n of the chance that one of them reaches n.
 * @param longest rows end there; whole
 */
export function bestRowOf(day: Gauss, tries: number, longest = 2000): number {
  return meanOf(day, (level) => {
    const p = logistic(level);
    let [sum, reached] = [0, 1];
    for (let n = 1; n <= longest; n++) {
      reached *= p;
      const chance = 1 - (1 - reached) ** tries;
      sum += chance;
      if (chance < 1e-9) break;
    }
    return sum;
  });
}
