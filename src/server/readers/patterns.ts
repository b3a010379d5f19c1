import { makeBook } from '@/drills';
import { blockOf, type PlanBlock } from '@/session/base/plan';
import { refused } from '@/core/base/outcome';
import type { Executor } from '@/data/database';
import { listPatterns, type PatternRow } from '@/data/patterns';
import { bookContents } from './book';

/** The blocks of a pattern, nobody's own part in them. */
export const patternBlocks = ({ blocks }: Pick<PatternRow, 'blocks'>): PlanBlock[] =>
  (JSON.parse(blocks) as Parameters<typeof blockOf>[0][]).map(blockOf);

export const unknownPattern = refused(
  'patternId',
  'This pattern is not on record (any more): choose another one.',
);

/** A pattern as it is chosen: its name, its minutes, and the drills in it. */
export interface Pattern {
  readonly id: string;
  readonly title: string;
  readonly bookedMin: number;
  /** Names of its drills; those not known any more are left out. */
  readonly drills: readonly string[];
}

/** Every pattern there is, by name. */
export async function patternsView({ db }: { readonly db: Executor }): Promise<Pattern[]> {
  const [patterns, contents] = await Promise.all([listPatterns(db), bookContents(db)]);
  if (patterns.length === 0) return [];
  const book = makeBook(contents);
  return patterns.map((one) => ({
    id: one.id,
    title: one.title,
    bookedMin: one.bookedMin,
    drills: patternBlocks(one).flatMap(({ drillId }) => book.drill(drillId)?.title ?? []),
  }));
}
