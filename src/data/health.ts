import { sql } from 'drizzle-orm';
import type { Database, Executor } from './database';
import { write } from './write';

/** The number of migrations applied: the version of the schema. */
export async function schemaVersion(db: Executor): Promise<number> {
  const row = await db.get<{ n: number }>(sql`select count(*) as n from __drizzle_migrations`);
  return row?.n ?? 0;
}

/** Writes one row, to see that the database takes it. */
export async function probe(db: Database, nowMs: number): Promise<void> {
  await write(db, (tx) =>
    tx.run(sql`insert into database_fact (key, value) values ('probe', ${String(nowMs)})
               on conflict (key) do update set value = excluded.value`),
  );
}
