import { normals, type Random } from '../../random';
import { assumptions, passage, type Kind } from '../level/assumptions';
import type { State } from '../level/follow';
import { chanceAt, type Goal } from './mark';

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
 * @param state after the last evidence, on `fromDay`
 * @param random seeded: the same seed foresees the same
 */
export function foresee(
  kind: Kind,
  state: State,
  fromDay: number,
  goal: Goal,
  { days, attempts, missingDays }: Ahead,
  random: Random,
): Forecast {
  const { form } = assumptions[kind];
  const draw = normals(random);
  const spread = Math.sqrt(state.levelVar);
  const tied = spread > 0 ? state.both / spread : 0;
  const rest = Math.sqrt(Math.max(0, state.gainVar - tied ** 2));
  const steps = days.map((day, i) => {
    const { loose, ...rest } = passage(kind, day - (i === 0 ? fromDay : days[i - 1]!));
    return { ...rest, spread: Math.sqrt(loose) };
  });
  const passed: number[] = [];
  for (let life = 0; life < lives; life++) {
    const first = draw();
    let level = state.level + spread * first;
    let gain = state.gain + tied * first + rest * draw();
    let missing = missingDays;
    for (const [i, { fade, reach, spread: loose }] of steps.entries()) {
      level += reach * gain + loose * draw();
      gain *= fade;
      const once = chanceAt(goal, level + form * draw());
      if (random() < 1 - (1 - once) ** attempts) missing -= 1;
      if (missing > 0) continue;
      passed.push(days[i]!);
      break;
    }
  }
  passed.sort((a, b) => a - b);
  const at = (share: number): number | null => passed[Math.ceil(share * lives) - 1] ?? null;
  return { early: at(0.1), middle: at(0.5), late: at(0.9), byTheEnd: passed.length / lives };
}
