import { shareOf, type Share } from './beta';

/** Touches that held, and drops. */
export interface Counted {
  readonly touches: number;
  readonly drops: number;
}

/** What holds under two circumstances, side by side. */
export interface Beside {
  readonly first: Share;
  readonly second: Share;
  /** Under which more holds, where the ranges lie apart; null where they do not. */
  readonly more: 'first' | 'second' | null;
}

/** Two shares with their ranges of 95 %, and a difference only where chance alone does not bring it. */
export function beside(first: readonly Counted[], second: readonly Counted[]): Beside {
  const [one, other] = [shareIn(first), shareIn(second)];
  return {
    first: one,
    second: other,
    more: one.low > other.high ? 'first' : other.low > one.high ? 'second' : null,
  };
}

function shareIn(counted: readonly Counted[]): Share {
  const hits = counted.reduce((sum, { touches }) => sum + touches, 0);
  return shareOf(hits, hits + counted.reduce((sum, { drops }) => sum + drops, 0));
}

/** A share as people say it: "9 of 10". */
export function inTen(share: number): string {
  const n = Math.round(share * 10);
  return n === 10 && share < 1 ? 'nearly 10 of 10' : `${n} of 10`;
}
