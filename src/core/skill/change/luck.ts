import { binomialAtMost, normalBelow } from '../expect/normal';
import { assumptions } from '../level/assumptions';
import type { Evidence } from '../level/evidence';
import { logistic, meanOf, type Gauss } from '../level/scale';

/** Chance of a day's evidence or less, at a level of that day. */
function atMost({ kind, sum, of }: Evidence, level: number): number {
  const { noise } = assumptions[kind];
  switch (kind) {
    case 'chance':
      return binomialAtMost(Math.round(sum), Math.round(of), logistic(level));
    case 'share': {
      const p = logistic(level);
      return normalBelow((sum - of * p) / Math.sqrt(noise * of * p * (1 - p)));
    }
    case 'rate': {
      const expected = of * Math.exp(level);
      return normalBelow((sum + 0.5 - expected) / Math.sqrt(noise * expected));
    }
    case 'time':
      return normalBelow(((sum / of - level) * Math.sqrt(of)) / noise);
    case 'spread': {
      const about = 2 / (9 * of);
      const ratio = sum / of / Math.exp(2 * level);
      return normalBelow((Math.cbrt(ratio) - 1 + about) / Math.sqrt(about));
    }
  }
}

/**
 * Chance of a day as poor as this one, from all that was known before it: 0 to 1. About a half on an ordinary day, near
 * nought on one that chance alone hardly brings, near 1 on a brilliant one.
 * @param before the level of the day as it was believed beforehand, form and all
 */
export function chanceOfSoLittle(before: Gauss, evidence: Evidence): number {
  const low = meanOf(before, (level) => atMost(evidence, level));
  const lessIsBetter = evidence.kind === 'time' || evidence.kind === 'spread';
  return Math.min(1, Math.max(0, lessIsBetter ? 1 - low : low));
}

/** Chance that a row ends at `n` or before, by chance alone. */
export const chanceOfShortRow = (day: Gauss, n: number): number =>
  1 - meanOf(day, (level) => logistic(level) ** (n + 1));

/** "once in nine tries", "in about every second try". */
export function onceIn(chance: number, one: string, many = `${one}s`): string {
  if (chance > 0.67) return `in most ${many}`;
  if (chance > 0.4) return `in about every second ${one}`;
  if (chance < 0.001) return `less than once in a thousand ${many}`;
  const n = Math.round(1 / chance);
  return `once in ${n < words.length ? words[n] : n < 20 ? n : Math.round(n / 5) * 5} ${many}`;
}
const words = ['', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'];
