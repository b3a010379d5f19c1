/** A count with the range it is in, nine times in ten. */
export interface HowMany {
  readonly count: number;
  readonly from: number;
  readonly to: number;
}

/** Chances beyond both ends of what is said. Ours. */
const beyond = 0.05;

/**
 * The range of a count of things each of which was there with its own chance (the Poisson binomial distribution, added up
 * one by one).
 * @param count what is counted
 * @param chances of everything that may have been there, 0 to 1
 */
export function howMany(count: number, chances: readonly number[]): HowMany {
  // What is as good as certain shifts the range and widens nothing.
  const certain = chances.filter((one) => one > 0.9995).length;
  const open = chances.filter((one) => one > 0.0005 && one <= 0.9995);
  let shares = [1];
  for (const chance of open) {
    const next = new Array<number>(shares.length + 1).fill(0);
    for (const [n, share] of shares.entries()) {
      next[n]! += share * (1 - chance);
      next[n + 1]! += share * chance;
    }
    shares = next;
  }
  let [sum, from, to] = [0, 0, shares.length - 1];
  for (const [n, share] of shares.entries()) {
    if (sum + share > beyond) {
      from = n;
      break;
    }
    sum += share;
  }
  sum = 0;
  for (let n = shares.length - 1; n >= 0; n--) {
    sum += shares[n]!;
    if (sum > beyond) {
      to = n;
      break;
    }
  }
  return { count, from: Math.min(count, certain + from), to: Math.max(count, certain + to) };
}

/** "47, perhaps 45 to 48", "12". */
export function howManyInWords({ count, from, to }: HowMany): string {
  if (from === to) return String(count);
  if (from === count) return `${count}, perhaps ${to}`;
  if (to === count) return `${count}, perhaps ${from}`;
  return `${count}, perhaps ${from} to ${to}`;
}
