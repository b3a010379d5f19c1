import { normal, type Random } from '../../random';
import type { Tapped } from '../honest';

/*
 * Seasons of counting, honest and not: what the checks of core/skill/honest are measured on.
 */

/** Counts of a season: ten weeks of four days, eight rows each. */
const counts = 320;

/** Counts told, honestly or with one in ten rounded up to the next five. */
export function toldSeason(random: Random, roundedUp: number): number[] {
  const level = 8 + 22 * random();
  return Array.from({ length: counts }, (_, n) => {
    const expected = level * (1 + n / counts) * Math.exp(normal(random, 0, 0.3));
    // Rows end when they end: anything from nothing to long.
    const row = Math.max(1, Math.round(-Math.log(1 - random()) * expected));
    return random() < roundedUp ? Math.ceil(row / 5) * 5 : row;
  });
}

export interface Habits {
  /** Chance that a touch is counted twice. */
  readonly twice?: number;
  /** Chance that a drop is let pass. */
  readonly pass?: number;
}

/** A month of tapping: some thousand touches, with a laugh or a shoelace now and then. */
export function tappedMonth(random: Random, { twice = 0, pass = 0 }: Habits = {}): Tapped[] {
  return Array.from({ length: 24 }, () => {
    const beatS = 0.5 + random();
    const dropCostS = 2 + 3 * random();
    const drop = 0.02 + 0.15 * random();
    const gaps: number[] = [];
    let drops = 0;
    for (let n = 0; n < 60; n++) {
      const gap = Math.max(0.2, normal(random, beatS, beatS * 0.15));
      if (random() < drop) {
        if (random() < pass) gaps.push(gap + dropCostS * (0.8 + 0.6 * random()));
        else drops += 1;
        continue;
      }
      gaps.push(random() < 0.003 ? gap + 5 * random() : gap);
      if (random() < twice) gaps.push(0.04 + 0.04 * random());
      // The screen itself is touched twice once in a while.
      else if (random() < 0.0008) gaps.push(0.06);
    }
    return { gaps, drops, dropCostS, ballS: 0 };
  });
}
