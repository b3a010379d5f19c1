import { halfWidth } from './level/scale';

/** A range a share lies in, 0 to 1. */
export interface Interval {
  readonly low: number;
  readonly high: number;
}

const z95 = halfWidth[0.95];

/**
 * Wilson's score interval (95 %) for a share: sound for few tries and near 0 or 1.
 * @param successes 0 to tries
 * @param tries whole number >= 0; with no tries the answer is 0 to 1
 * Source: E. B. Wilson, Journal of the American Statistical Association 22 (1927).
 */
export function wilsonInterval(successes: number, tries: number): Interval {
  if (tries <= 0) return { low: 0, high: 1 };
  const share = successes / tries;
  const weight = z95 ** 2 / tries;
  const middle = (share + weight / 2) / (1 + weight);
  const half = (z95 * Math.sqrt((share * (1 - share)) / tries + z95 ** 2 / (4 * tries ** 2))) / (1 + weight);
  return { low: Math.max(0, middle - half), high: Math.min(1, middle + half) };
}
