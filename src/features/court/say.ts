import { numberInWords, reaches, type Measure } from '@/core/counting/measure';
import type { Tally } from '@/core/counting/tally';

/** Counts are spoken to screen readers at every so many touches: often enough to follow, too seldom to chatter. Ours. */
const everyTouches = 10;

/**
 * What a screen reader is told after a change of one player's count, or nothing: the end of a row, the aim reached, a
 * new best, and every tenth touch.
 */
export function sentenceAfter(
  name: string,
  measure: Measure,
  target: number,
  before: Tally,
  after: Tally,
): string | null {
  if (after === before || after.touches + after.drops < before.touches + before.drops) return null;
  const { best } = after;
  const reached = (result: number | null) => result !== null && reaches(measure, result, target);
  if (best !== null && reached(best) && !reached(before.best))
    return `${name}: ${numberInWords(measure, best)}, aim reached.`;
  if (measure === 'row' && after.drops > before.drops && before.current > 0)
    return `${name}: ${before.current} in a row.`;
  if (measure === 'points' || measure === 'grade')
    return after.shots > before.shots ? `${name}: ${after.score} after ${after.shots}.` : null;
  if (measure === 'hold' || measure === 'lap')
    return after.attempts.length > before.attempts.length && best !== null
      ? `${name}: ${after.attempts.at(-1)?.result ?? 0} seconds.`
      : null;
  const tens = (tally: Tally) => Math.floor(tally.current / everyTouches);
  return tens(after) > tens(before) ? `${name}: ${after.current}.` : null;
}
