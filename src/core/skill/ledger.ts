import type { Ranged } from './expect/rows';
import { halfWidth } from './level/scale';

/**
 * Good repetitions a pattern takes until it holds, and a skill. Common practice in the trade, no source: the coach sets
 * the number.
 */
export const usualGoals = { pattern: 2000, skill: 5000 } as const;

export interface LedgerForecast {
  readonly done: number;
  readonly goal: number;
  /** Good repetitions a week of late, with the range their scatter leaves (80 %). */
  readonly perWeek: Ranged;
  /** Weeks until the goal at that rate; null where nothing is done of late. 0 when it is reached. */
  readonly weeksLeft: Ranged | null;
  /** The same with five minutes more a day. */
  readonly weeksWithMore: number | null;
}

/** Weeks the rate is read from. Ours. */
export const rateWeeks = 6;
const minutesMore = 5;

/**
 * How far a focus is, and when it will be there at this rate.
 * @param done good repetitions since the focus began
 * @param weeks good repetitions of the last weeks, the newest last; weeks away count as nought
 * @param secondsEach seconds one good repetition takes, drops and all
 */
export function ledgerForecast(
  done: number,
  goal: number,
  weeks: readonly number[],
  secondsEach: number,
): LedgerForecast {
  const last = weeks.slice(-rateWeeks);
  const n = Math.max(1, last.length);
  const mean = last.reduce((sum, one) => sum + one, 0) / n;
  const variance = n > 1 ? last.reduce((sum, one) => sum + (one - mean) ** 2, 0) / (n - 1) : mean;
  const half = halfWidth[0.8] * Math.sqrt(Math.max(variance, mean) / n);
  const perWeek = { value: mean, low: Math.max(mean / 4, mean - half), high: mean + half };
  const left = Math.max(0, goal - done);
  const weeksAt = (rate: number) => (left === 0 ? 0 : left / rate);
  const more = (minutesMore * 60 * 7) / Math.max(0.2, secondsEach);
  return {
    done,
    goal,
    perWeek,
    weeksLeft:
      left === 0
        ? { value: 0, low: 0, high: 0 }
        : mean === 0
          ? null
          : { value: weeksAt(mean), low: weeksAt(perWeek.high), high: weeksAt(perWeek.low) },
    weeksWithMore: left === 0 ? null : weeksAt(mean + more),
  };
}
