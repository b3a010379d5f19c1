import type { AttemptLimits } from './limits';
import type { Measure } from './measure';

/**
 * A lap of less than this share of its mark was not run: marks are near what children of that age do at full effort, and
 * nobody is twice as fast. Our cautious default; a test holds it against every way that lies on a floor.
 */
export const leastShareOfMark = 0.5;

/**
 * The least seconds a lap can take on a ladder.
 * @param marks seconds that pass its steps, as far as they are laps, at the player's age
 * @returns 0 where nothing is known of it: no lap is doubted then
 */
export const leastLapS = (marks: readonly number[]): number =>
  marks.length === 0 ? 0 : leastShareOfMark * Math.min(...marks);

/** Is a result less or more than can be, and not yet put right or confirmed by the coach? */
export const isDoubtful = (
  measure: Measure,
  { result, fixed }: { readonly result: number | null; readonly fixed: boolean },
  { leastS, most }: Pick<AttemptLimits, 'leastS' | 'most'>,
): boolean => result !== null && !fixed && (measure === 'lap' ? result < leastS : result > most);
