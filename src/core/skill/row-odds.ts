/**
 * Expected number of tries until `n` successes in a row, at success rate `p`: (p^-n - 1) / (1 - p).
 * @param p chance of one success, 0 to 1
 * @param n length of the row, a whole number >= 0
 * @returns tries, >= n; Infinity when p is 0 (and n > 0) or the number is too large to hold
 * @throws RangeError when p or n is out of range
 * Source: W. Feller, An Introduction to Probability Theory and Its Applications, vol. 1, ch. XIII.
 */
export function expectedTouchesToRow(p: number, n: number): number {
  check(p, n);
  if (n === 0) return 0;
  if (p === 1) return n;
  // expm1 and log1p keep the digits when p is close to 1.
  return Math.expm1(-n * Math.log(p)) / (1 - p);
}

/**
 * Expected number of drops before the row of `n` is complete: p^-n - 1.
 * Each try before the last fails with chance 1 - p, so this is the expected tries times 1 - p.
 */
export function expectedDropsToRow(p: number, n: number): number {
  check(p, n);
  return n === 0 || p === 1 ? 0 : Math.expm1(-n * Math.log(p));
}

/**
 * Chance of at least one run of `k` successes in `n` tries, each with chance `p`.
 * Exact, by the recurrence on the first completed run: q(m) = q(m-1) + (1 - q(m-k-1)) (1-p) p^k.
 * @returns 0 to 1; 1 when k is 0
 * @throws RangeError when an argument is out of range
 * Source: W. Feller, vol. 1, ch. XIII (success runs).
 */
export function chanceOfRow(p: number, k: number, n: number): number {
  check(p, k);
  check(p, n);
  if (k === 0) return 1;
  if (k > n) return 0;
  const completes = p ** k;
  const reached = new Float64Array(n + 1);
  reached[k] = completes;
  for (let m = k + 1; m <= n; m++) {
    reached[m] = reached[m - 1]! + (1 - reached[m - k - 1]!) * (1 - p) * completes;
  }
  return reached[n]!;
}

function check(p: number, n: number): void {
  if (!(p >= 0 && p <= 1)) throw new RangeError(`A success rate lies from 0 to 1, not ${p}.`);
  if (!Number.isInteger(n) || n < 0)
    throw new RangeError(`A number of touches is a whole number from 0, not ${n}.`);
}
