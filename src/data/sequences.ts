import { asc, eq, isNull } from 'drizzle-orm';
import type { Executor } from './database';
import { shadowSequence } from './schema';

export type SequenceRow = typeof shadowSequence.$inferSelect;

export async function listSequences(db: Executor): Promise<SequenceRow[]> {
  return db
    .select()
    .from(shadowSequence)
    .where(isNull(shadowSequence.removedAtMs))
    .orderBy(asc(shadowSequence.name), asc(shadowSequence.id));
}

export async function getSequence(db: Executor, id: string): Promise<SequenceRow | undefined> {
  return (await db.select().from(shadowSequence).where(eq(shadowSequence.id, id)))[0];
}

export async function putSequence(
  db: Executor,
  id: string,
  fields: Pick<SequenceRow, 'name' | 'sport' | 'ground' | 'line'>,
  nowMs: number,
): Promise<void> {
  await db
    .insert(shadowSequence)
    .values({ id, ...fields, createdAtMs: nowMs })
    .onConflictDoUpdate({ target: shadowSequence.id, set: fields });
}

export async function setSequenceRemoved(
  db: Executor,
  id: string,
  removedAtMs: number | null,
): Promise<void> {
  await db.update(shadowSequence).set({ removedAtMs }).where(eq(shadowSequence.id, id));
}
