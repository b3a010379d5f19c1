import { and, eq, isNull, sql } from 'drizzle-orm';
import type { Entry, ThingName } from '@/formats/bundle/things';
import type { Executor } from './database';
import { idList } from './json-rows';
import { takeOver } from './schema';

/** What a file did to the book, so that it can be taken back. */
export interface TakenOver {
  /** Keys of what was added, with a mark of what it said: what was changed since is not taken away. */
  readonly added: Readonly<
    Partial<Record<ThingName, readonly { readonly key: readonly string[]; readonly said: string }[]>>
  >;
  /** What was changed: how it was before, and a mark of what it was changed to. */
  readonly changed: Readonly<
    Partial<Record<ThingName, readonly { readonly before: Entry; readonly said: string }[]>>
  >;
}

export async function keepTakeOver(
  db: Executor,
  row: { readonly id: string; readonly atMs: number; readonly name: string; readonly what: TakenOver },
): Promise<void> {
  await db.insert(takeOver).values({ ...row, what: JSON.stringify(row.what), undoneAtMs: null });
}

export async function findTakeOver(
  db: Executor,
  id: string,
): Promise<{ readonly name: string; readonly what: TakenOver } | null> {
  const row = await db
    .select()
    .from(takeOver)
    .where(and(eq(takeOver.id, id), isNull(takeOver.undoneAtMs)))
    .get();
  return row ? { name: row.name, what: JSON.parse(row.what) as TakenOver } : null;
}

export async function setUndone(db: Executor, id: string, nowMs: number): Promise<void> {
  await db.update(takeOver).set({ undoneAtMs: nowMs }).where(eq(takeOver.id, id));
}

/** What files brought in lately and can still be taken back, the newest first. */
export async function listTakeOvers(
  db: Executor,
): Promise<{ readonly id: string; readonly atMs: number; readonly name: string }[]> {
  return db.all(sql`
    select id, at_ms as atMs, name from take_over where undone_at_ms is null order by at_ms desc limit 5`);
}

/** What the log has made of blocks is gone with them. */
export async function dropAttempts(db: Executor, blockIds: readonly string[]): Promise<void> {
  await db.run(sql`delete from attempt where block_id in (${idList(blockIds)})`);
}

/** How many marks blocks have that are none of these. */
export async function otherMarks(
  db: Executor,
  blockIds: readonly string[],
  markIds: readonly string[],
): Promise<number> {
  const row = await db.get<{ n: number }>(sql`
    select count(*) as n from touch_event where block_id in (${idList(blockIds)}) and id not in (${idList(markIds)})`);
  return row?.n ?? 0;
}
