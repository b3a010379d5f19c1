/** A measured value after so many days of practice (from 1), and how sure it is. */
export interface Practised {
  readonly n: number;
  readonly value: number;
  readonly variance: number;
}

export interface Curve {
  readonly law: 'power' | 'exponential';
  /** value = floor + drop · n^-rate, or floor + drop · e^(-rate · n). */
  readonly floor: number;
  readonly drop: number;
  readonly rate: number;
  /** Weighted sum of squares. */
  readonly squares: number;
}

export interface Curves {
  readonly power: Curve;
  readonly exponential: Curve;
  /** Which fits better, where the evidence tells them apart; null for neither. */
  readonly better: Curve['law'] | null;
  /** How much more likely the better one makes the log, as a ratio of Akaike weights. */
  readonly ratio: number;
}

/** The best floor and drop for a rate: both enter linearly. */
function atRate(law: Curve['law'], points: readonly Practised[], rate: number): Curve {
  let [w, wx, wxx, wy, wxy] = [0, 0, 0, 0, 0];
  const shape = (n: number) => (law === 'power' ? n ** -rate : Math.exp(-rate * n));
  for (const { n, value, variance } of points) {
    const [weight, x] = [1 / variance, shape(n)];
    w += weight;
    wx += weight * x;
    wxx += weight * x * x;
    wy += weight * value;
    wxy += weight * x * value;
  }
  const det = w * wxx - wx ** 2;
  const drop = Math.abs(det) < 1e-14 ? 0 : (w * wxy - wx * wy) / det;
  const floor = (wy - drop * wx) / w;
  const squares = points.reduce(
    (sum, { n, value, variance }) => sum + (value - floor - drop * shape(n)) ** 2 / variance,
    0,
  );
  return { law, floor, drop, rate, squares };
}

/** Rates that are looked at: slower than the first is a line, faster than the last is over in two days. */
const [slowest, fastest] = [0.01, 3];

/** Least squares over the rate: a coarse look, then the golden section about its best. */
function fitLaw(law: Curve['law'], points: readonly Practised[]): Curve {
  const steps = 40;
  const rateOf = (i: number) => slowest * (fastest / slowest) ** (i / steps);
  let best = 0;
  for (let i = 1; i <= steps; i++)
    if (atRate(law, points, rateOf(i)).squares < atRate(law, points, rateOf(best)).squares) best = i;
  let [low, high] = [rateOf(Math.max(0, best - 1)), rateOf(Math.min(steps, best + 1))];
  const golden = (Math.sqrt(5) - 1) / 2;
  for (let turn = 0; turn < 60; turn++) {
    const [a, b] = [high - golden * (high - low), low + golden * (high - low)];
    if (atRate(law, points, a).squares < atRate(law, points, b).squares) high = b;
    else low = a;
  }
  return atRate(law, points, (low + high) / 2);
}

/** From this ratio on one law is said to fit better. Ours. */
const tellsApart = 3;
/** Fewer days than this carry no curve of three numbers. Ours. */
const leastDays = 6;

/**
 * The two laws of learning on one ladder, side by side. Both have three numbers, so that the squares alone decide.
 * @returns null with fewer than six days
 * Sources: power law, Newell and Rosenbloom 1981; exponential, Heathcote, Brown and Mewhort 2000 (both from memory).
 */
export function learningCurves(points: readonly Practised[]): Curves | null {
  if (points.length < leastDays) return null;
  const [power, exponential] = [fitLaw('power', points), fitLaw('exponential', points)];
  const mean = points.reduce((sum, { value, variance }) => sum + value / variance, 0);
  const weight = points.reduce((sum, { variance }) => sum + 1 / variance, 0);
  const flat = points.reduce((sum, { value, variance }) => sum + (value - mean / weight) ** 2 / variance, 0);
  const ratio = Math.exp(Math.min(50, Math.abs(power.squares - exponential.squares) / 2));
  // A curve that is no better than no learning at all is none (two more numbers, corrected for few days).
  const n = points.length;
  const fee = 2 * 2 + (2 * 3 * 4) / Math.max(1, n - 4);
  const learns = Math.min(power.squares, exponential.squares) + fee < flat;
  const better =
    !learns || ratio < tellsApart ? null : power.squares < exponential.squares ? 'power' : 'exponential';
  return { power, exponential, better, ratio };
}
