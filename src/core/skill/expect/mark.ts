import { assumptions, type Kind } from '../level/assumptions';
import { logistic, meanOf, type Gauss } from '../level/scale';
import { binomialAtMost, normalBelow, normalPoint } from './normal';

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

/**
 * Chance to reach a goal in one attempt, at a level of the day.
 * @param scatter of attempts about it, as a share of the variance of most
 */
export function chanceAt(goal: Goal, level: number, scatter = 1): number {
  const { kind, mark, inARow, tries, boxS, mostEach } = goal;
  const noise = assumptions[kind].noise * (kind === 'time' ? Math.sqrt(scatter) : scatter);
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

/**
 * The best result to expect of a day: what is reached on every second day in one of so many attempts, in the result's own
 * unit, at a level of the day.
 * @param attempts whole, from 1
 */
export function bestAt(
  { kind, inARow, tries, boxS, mostEach }: Omit<Goal, 'mark'>,
  level: number,
  attempts = 1,
): number {
  const { noise } = assumptions[kind];
  // One of k attempts passes a point on every second day where a single one stays below it with the k-th root of a half.
  const below = 0.5 ** (1 / attempts);
  switch (kind) {
    case 'chance': {
      const p = logistic(level);
      if (inARow) return Math.log(1 - below) / Math.log(p);
      return Math.min(tries, tries * p + pointOf(below) * Math.sqrt(tries * p * (1 - p)));
    }
    case 'rate': {
      const expected = boxS * Math.exp(level);
      return expected + pointOf(below) * Math.sqrt(noise * expected);
    }
    case 'share': {
      const p = logistic(level);
      const more = pointOf(below) * Math.sqrt(noise * tries * p * (1 - p));
      return mostEach * Math.min(tries, tries * p + more);
    }
    case 'time':
      return Math.exp(level - pointOf(below) * noise);
    case 'spread': {
      const about = 2 / (9 * Math.max(1, tries - 1));
      return Math.exp(level) * Math.max(0, 1 - about - pointOf(below) * Math.sqrt(about)) ** 1.5;
    }
  }
}

const points = new Map<number, number>();
/** The same few points are asked for again and again. */
function pointOf(below: number): number {
  let point = points.get(below);
  if (point === undefined) {
    if (points.size > 200) points.clear();
    point = below === 0.5 ? 0 : normalPoint(below);
    points.set(below, point);
  }
  return point;
}
