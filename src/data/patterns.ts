import { asc, eq, isNull } from 'drizzle-orm';
import type { Executor } from './database';
import { pattern } from './schema';

export type PatternRow = typeof pattern.$inferSelect;

export async function listPatterns(db: Executor): Promise<PatternRow[]> {
  return db.select().from(pattern).where(isNull(pattern.removedAtMs)).orderBy(asc(pattern.title));
}

export async function getPattern(db: Executor, id: string): Promise<PatternRow | undefined> {
  return (await db.select().from(pattern).where(eq(pattern.id, id)))[0];
}

export async function insertPattern(
  db: Executor,
  id: string,
  fields: Pick<PatternRow, 'title' | 'bookedMin' | 'blocks'>,
  nowMs: number,
): Promise<void> {
  await db.insert(pattern).values({ id, ...fields, createdAtMs: nowMs });
}

export async function setPatternRemoved(db: Executor, id: string, removedAtMs: number | null): Promise<void> {
  await db.update(pattern).set({ removedAtMs }).where(eq(pattern.id, id));
}
