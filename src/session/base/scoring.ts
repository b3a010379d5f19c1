import type { BounceRule, Zone } from '@/drills/base/types';

/** How points are given in a block: the zones of each step in it, best first, and which bounce counts. */
export interface Scoring {
  readonly zones: Readonly<Record<string, readonly Zone[]>>;
  readonly bounceRule: BounceRule | null;
}
