/**
 * The standard normal distribution function, to about 1e-15.
 * Source: G. Marsaglia, Evaluating the Normal Distribution, Journal of Statistical Software 11 (2004): the series about
 * nought; beyond six deviations what is left is under 1e-9.
 */
export function normalBelow(z: number): number {
  if (z < -8) return 0;
  if (z > 8) return 1;
  let [sum, term] = [z, z];
  for (let i = 3; Math.abs(term) > 1e-17 * Math.abs(sum) + 1e-300; i += 2) {
    term *= (z * z) / i;
    sum += term;
  }
  return Math.min(1, Math.max(0, 0.5 + (sum * Math.exp((-z * z) / 2)) / Math.sqrt(2 * Math.PI)));
}

/**
 * Chance of at most `most` successes in `tries` at chance `p`, exact.
 * @param most any whole number; @param tries whole, >= 0; @param p 0 to 1
 */
export function binomialAtMost(most: number, tries: number, p: number): number {
  if (most < 0) return 0;
  if (most >= tries || p <= 0) return 1;
  if (p >= 1) return 0;
  // Long series lose nothing by the normal curve, and cost much exactly.
  if (tries > 2000) return normalBelow((most + 0.5 - tries * p) / Math.sqrt(tries * p * (1 - p)));
  const odds = Math.log(p / (1 - p));
  let log = tries * Math.log1p(-p);
  let sum = Math.exp(log);
  for (let k = 1; k <= most; k++) {
    log += Math.log((tries - k + 1) / k) + odds;
    sum += Math.exp(log);
  }
  return Math.min(1, sum);
}

/** The point below which a standard normal variable lies with a chance of `p`, by halving: to 1e-12. @param p 0 to 1 */
export function normalPoint(p: number): number {
  let [low, high] = [-8, 8];
  for (let turn = 0; turn < 60; turn++) {
    const middle = (low + high) / 2;
    if (normalBelow(middle) < p) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
