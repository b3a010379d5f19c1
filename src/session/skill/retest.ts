import type { Measure } from '@/core/counting/measure';
import type { Book } from '@/drills/book';
import type { PlanBlock } from '../base/plan';

/** What tells most when it is done again: a row or a score before a count, a count before repetitions. */
const worth: readonly Measure[] = ['row', 'points', 'grade', 'lap', 'laps', 'count'];

/** The block of the last session that is best done again. */
export function retestOf(book: Book, blocks: readonly PlanBlock[]): PlanBlock | undefined {
  const rank = (block: PlanBlock) => {
    const step = book.step(block.drillId, block.stepId);
    const at = step ? worth.indexOf(step.measure) : -1;
    return at < 0 || book.drill(block.drillId)?.family === 'loosen' ? Infinity : at;
  };
  const best = [...blocks].sort((a, b) => rank(a) - rank(b))[0];
  return best && rank(best) < Infinity ? best : undefined;
}
