import { inTen } from './beside';
import { shareOf, type Share } from './beta';

/** How surely the ball comes, from the easiest to the hardest. */
export const surenesses = ['known', 'random', 'live'] as const;
export type Sureness = (typeof surenesses)[number];

/** Touches that held, of all, under one kind of feed. */
export interface Held {
  readonly sureness: Sureness;
  readonly hits: number;
  readonly tries: number;
}

export interface Transfer {
  readonly shares: readonly (Held & { readonly share: Share })[];
  /** The gap in words, where it is one; null where it is none, or too little is known. */
  readonly gap: string | null;
  /** The kind of ball the gap asks for; null where there is none. */
  readonly train: Sureness | null;
  /** What to count next, where a kind of feed has too little; null where all have enough. */
  readonly missing: Sureness | null;
}

/** Fewer tries than this say too little to name a gap. Ours. */
const enough = 30;

/**
 * How much of what holds on a sure ball holds on an unsure one. Practice in random order looks worse and lasts better
 * (contextual interference, Shea and Morgan 1979, from memory): the gap is shown, not hidden.
 */
export function transfer(held: readonly Held[]): Transfer {
  const shares = surenesses.flatMap((sureness) => {
    const own = held.filter((one) => one.sureness === sureness);
    const [hits, tries] = [
      own.reduce((sum, one) => sum + one.hits, 0),
      own.reduce((sum, one) => sum + one.tries, 0),
    ];
    return tries === 0 ? [] : [{ sureness, hits, tries, share: shareOf(hits, tries) }];
  });
  const known = shares.filter(({ tries }) => tries >= enough);
  let gap: string | null = null;
  let train: Sureness | null = null;
  for (const [i, easy] of known.entries())
    for (const hard of known.slice(i + 1))
      // A gap is named only where the ranges lie apart.
      if (gap === null && hard.share.high < easy.share.low) {
        train = hard.sureness;
        gap = `Holds on a ${easy.sureness} ball ${inTen(easy.share.value)}, on a ${hard.sureness} one ${inTen(hard.share.value)}: train ${hard.sureness}.`;
      }
  const missing = surenesses.find((one) => !known.some(({ sureness }) => sureness === one)) ?? null;
  return { shares, gap, train, missing };
}
