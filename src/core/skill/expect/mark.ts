import { assumptions, type Kind } from '../level/assumptions';
import { logistic, meanOf, type Gauss } from '../level/scale';
import { binomialAtMost, normalBelow } from './normal';

/** A result to reach in one attempt, and what an attempt is made of. */
export interface Goal {
  readonly kind: Kind;
  /** The result to reach; of times and spreads, not to exceed. */
  readonly mark: number;
  /** True where the result is a row that ends at the first drop; else repetitions of a set are counted. */
  readonly inARow: boolean;
  /** Repetitions or shots in one attempt; of a spread, what it is worked out from. */
  readonly tries: number;
  /** Seconds of its box; 1 where there is none. */
  readonly boxS: number;
  /** The most one shot can bring. */
  readonly mostEach: number;
}

/** Chance to reach a goal in one attempt, at a level of the day. */
export function chanceAt(goal: Goal, level: number): number {
  const { kind, mark, inARow, tries, boxS, mostEach } = goal;
  const { noise } = assumptions[kind];
  switch (kind) {
    case 'chance': {
      const p = logistic(level);
      return inARow ? p ** mark : 1 - binomialAtMost(Math.ceil(mark) - 1, tries, p);
    }
    case 'rate': {
      const expected = boxS * Math.exp(level);
      return 1 - normalBelow((mark - 0.5 - expected) / Math.sqrt(noise * expected));
    }
    case 'share': {
      const p = logistic(level);
      const spread = mostEach * Math.sqrt(noise * tries * p * (1 - p));
      return 1 - normalBelow((mark - 0.5 - tries * mostEach * p) / spread);
    }
    case 'time':
      return normalBelow((Math.log(mark) - level) / noise);
    case 'spread': {
      // Chi-squared below a bound, by the cube root (Wilson and Hilferty 1931).
      const free = Math.max(1, tries - 1);
      const ratio = (mark / Math.exp(level)) ** 2;
      const about = 2 / (9 * free);
      return normalBelow((Math.cbrt(ratio) - 1 + about) / Math.sqrt(about));
    }
  }
}

/** Chance to reach a goal in one of some attempts of a day whose level is known so well. */
export const chanceOf = (goal: Goal, day: Gauss, attempts = 1): number =>
  meanOf(day, (level) => 1 - (1 - chanceAt(goal, level)) ** attempts);

/** The middle result to expect of an attempt at a level, in the result's own unit; of rows, the middle row. */
export function resultAt({ kind, inARow, tries, boxS, mostEach }: Omit<Goal, 'mark'>, level: number): number {
  switch (kind) {
    case 'chance': {
      const p = logistic(level);
      return inARow ? Math.log(0.5) / Math.log(p) : tries * p;
    }
    case 'rate':
      return boxS * Math.exp(level);
    case 'share':
      return tries * mostEach * logistic(level);
    case 'time':
      return Math.exp(level);
    case 'spread':
      return Math.exp(level) * (1 - 2 / (9 * Math.max(1, tries - 1))) ** 1.5;
  }
}
