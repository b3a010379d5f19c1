import type { Book } from '@/drills';
import { workOf, type PlanBlock, type Records } from '@/session/base/plan';
import type { Executor } from '@/data/database';
import { recordsSince } from '@/data/results';
import { recentSince } from '../base/days';

export type StepRef = Pick<PlanBlock, 'drillId' | 'stepId'>;

/** Recent touches and drops of players on some steps. */
export function recentRecords(
  db: Executor,
  playerIds: readonly string[],
  steps: readonly StepRef[],
  day: string,
): Promise<Records> {
  return recordsSince(db, playerIds, steps, recentSince(day));
}

/** The steps anybody does in some blocks. */
export function stepsOf(book: Book, blocks: readonly PlanBlock[], playerIds: readonly string[]): StepRef[] {
  return blocks.flatMap((block) =>
    playerIds.flatMap((playerId) => {
      const work = workOf(book, block, playerId);
      return work ? [{ drillId: block.drillId, stepId: work.step.id }] : [];
    }),
  );
}

/** Every step of a book: any of them can be put into a plan. */
export function allSteps(book: Book): StepRef[] {
  return book.drills.flatMap((drill) => drill.steps.map((step) => ({ drillId: drill.id, stepId: step.id })));
}
