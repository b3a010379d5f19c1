import { sql } from 'drizzle-orm';
import type { Executor } from './database';

type Fact = 'epoch' | 'probe' | 'records' | 'door-key';

/** A fact about this database; null where it is not known. */
export async function factOf(db: Executor, key: Fact): Promise<string | null> {
  const [row] = await db.all<{ value: string }>(sql`select value from database_fact where key = ${key}`);
  return row?.value ?? null;
}

/** Notes a fact that is not known yet. */
export async function giveFact(db: Executor, key: Fact, value: string): Promise<void> {
  await db.run(sql`insert into database_fact (key, value) values (${key}, ${value}) on conflict do nothing`);
}
