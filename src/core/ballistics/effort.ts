/** How hard a ball is hit or comes, as the child feels it: against the hardest hit that stays a swing with control. */
export type Effort = 'gentle' | 'firm' | 'hard' | 'too hard';

/** Shares of the hardest hit at which a ball stops feeling gentle, and firm: ours. */
const firmFrom = 0.5;
const hardFrom = 0.8;

/**
 * A speed as it is felt.
 * @param mps speed of the ball, m/s, >= 0
 * @param hardestMps the child's hardest controlled hit, m/s, > 0
 */
export function effortOf(mps: number, hardestMps: number): Effort {
  const share = mps / hardestMps;
  if (share < firmFrom) return 'gentle';
  if (share < hardFrom) return 'firm';
  return share <= 1 ? 'hard' : 'too hard';
}

/** "firm, 8.1 m/s". */
export const effortInWords = (mps: number, hardestMps: number): string =>
  `${effortOf(mps, hardestMps)}, ${mps.toFixed(1)} m/s`;
