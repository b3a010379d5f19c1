import { logGamma } from './log-gamma';

/**
 * The regularised incomplete beta function: chance that a share with a Beta(a, b) distribution lies below x.
 * @param x 0 to 1; @param a > 0; @param b > 0
 * Source: the continued fraction of Abramowitz and Stegun 26.5.8, evaluated by Lentz's method.
 */
export function betaBelow(x: number, a: number, b: number): number {
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  // The fraction converges fast below the mean.
  if (x > (a + 1) / (a + b + 2)) return 1 - betaBelow(1 - x, b, a);
  const front = Math.exp(logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log1p(-x));
  const tiny = 1e-300;
  let [c, d] = [1, 1 - ((a + b) * x) / (a + 1)];
  d = 1 / (Math.abs(d) < tiny ? tiny : d);
  let fraction = d;
  for (let m = 1; m < 500; m++) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m));
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
    for (const part of [even, odd]) {
      d = 1 + part * d;
      d = 1 / (Math.abs(d) < tiny ? tiny : d);
      c = 1 + part / c;
      if (Math.abs(c) < tiny) c = tiny;
      fraction *= c * d;
    }
    if (Math.abs(c * d - 1) < 1e-15) break;
  }
  return (front * fraction) / a;
}

/** The share below which a Beta(a, b) lies with a chance of `chance`: by halving, to 1e-12. */
export function betaQuantile(chance: number, a: number, b: number): number {
  let [low, high] = [0, 1];
  for (let turn = 0; turn < 60 && high - low > 1e-13; turn++) {
    const middle = (low + high) / 2;
    if (betaBelow(middle, a, b) < chance) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** A share with the range it lies in. */
export interface Share {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/**
 * A share from so many successes in so many tries, with its range of 95 % (equal tails): the posterior on Jeffreys' prior.
 * @param hits 0 to tries; @param tries >= 0
 */
export function shareOf(hits: number, tries: number): Share {
  const [a, b] = [hits + 0.5, tries - hits + 0.5];
  return {
    value: a / (a + b),
    low: hits === 0 ? 0 : betaQuantile(0.025, a, b),
    high: hits === tries ? 1 : betaQuantile(0.975, a, b),
  };
}
