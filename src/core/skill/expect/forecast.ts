import { normals, type Random } from '../../base/random';
import type { Way } from '../level/ways';
import { chanceOn, goOn, lifeOf } from './life';
import type { Goal } from './mark';

export interface Ahead {
  /** Days on which the step is practised, in order, counted as the log's days are. */
  readonly days: readonly number[];
  /** Attempts on each of them. */
  readonly attempts: number;
  /** How many more days the mark has to be reached on. */
  readonly missingDays: number;
}

export interface Forecast {
  /** The day by which it is passed with a chance of 10, 50 and 90 in 100; null where that lies beyond the last day. */
  readonly early: number | null;
  readonly middle: number | null;
  readonly late: number | null;
  /** Chance that it is passed by the last of the days. */
  readonly byTheEnd: number;
}

/** Lives played to foresee one: the middle day is then sure to about a fortieth of the range. Ours. */
const lives = 400;

/**
 * The day on which a step's mark will be passed: the level and its gain are drawn as they may be, wander on from
 * practice to practice, and on each day the mark is reached or not.
 * @param ways somebody may be learning, each with the state after the last evidence, on `fromDay`
 * @param random seeded: the same seed foresees the same
 */
export function foresee(
  ways: readonly Way[],
  fromDay: number,
  goal: Goal,
  { days, attempts, missingDays }: Ahead,
  random: Random,
): Forecast {
  const draw = normals(random);
  const passed: number[] = [];
  for (let n = 0; n < lives; n++) {
    const life = lifeOf(ways, (n + 0.5) / lives, draw);
    let [missing, last] = [missingDays, fromDay];
    for (const day of days) {
      goOn(life, goal.kind, day - last, draw);
      last = day;
      if (random() < chanceOn(life, goal, attempts, draw)) missing -= 1;
      if (missing > 0) continue;
      passed.push(day);
      break;
    }
  }
  passed.sort((a, b) => a - b);
  const at = (share: number): number | null => passed[Math.ceil(share * lives) - 1] ?? null;
  return { early: at(0.1), middle: at(0.5), late: at(0.9), byTheEnd: passed.length / lives };
}
