import type { Rallies } from './simulate';

/** Share of rallies of at least n good hits. */
export function shareOfAtLeast(
  { lengths, rallies }: Pick<Rallies, 'lengths' | 'rallies'>,
  n: number,
): number {
  let sum = 0;
  for (let k = Math.max(0, n); k < lengths.length; k++) sum += lengths[k]!;
  return sum / rallies;
}

/**
 * The best of k tries to expect: the sum over n of the chance that at least one try has n or more.
 * Rallies that were stopped count as long as they were: with many of them it is a lower bound.
 */
export function expectedBest(all: Pick<Rallies, 'lengths' | 'rallies'>, tries: number): number {
  let sum = 0;
  let atLeast = 1;
  for (let n = 1; n < all.lengths.length; n++) {
    atLeast -= all.lengths[n - 1]! / all.rallies;
    if (atLeast <= 0) break;
    sum += 1 - (1 - atLeast) ** tries;
  }
  return sum;
}

/** Good hits over all hits: the chance of the next touch if it were always the same. */
export function hitRate({ lengths, unended }: Pick<Rallies, 'lengths' | 'unended'>): number {
  const good = lengths.reduce((sum, count, n) => sum + n * count, 0);
  const missed = lengths.reduce((sum, count) => sum + count, 0) - unended;
  return good + missed === 0 ? 0 : good / (good + missed);
}

/** The plain model: the same chance each touch. P(n or more) = pⁿ. */
export const sameChanceAtLeast = (rate: number, n: number): number => rate ** n;

/** The best of k tries under the plain model, stopped at the same length. */
export function sameChanceBest(rate: number, tries: number, most: number): number {
  let sum = 0;
  for (let n = 1; n <= most; n++) sum += 1 - (1 - rate ** n) ** tries;
  return sum;
}

/** The length half of the rallies reach. */
export function medianLength({ lengths, rallies }: Pick<Rallies, 'lengths' | 'rallies'>): number {
  let below = 0;
  for (let n = 0; n < lengths.length; n++) {
    below += lengths[n]!;
    if (below >= rallies / 2) return n;
  }
  return lengths.length - 1;
}
