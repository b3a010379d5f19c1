import { randomUUID } from 'node:crypto';
import { sql } from 'drizzle-orm';
import type { Executor } from './database';

/*
 * The epoch of a database is made up once and goes wherever the file goes. A restore, and a fresh copy of the demo, take
 * it off, so that the next start makes up another one: devices then look again at what is here.
 */

export async function giveEpoch(db: Executor): Promise<void> {
  await db.run(
    sql`insert into database_fact (key, value) values ('epoch', ${randomUUID()}) on conflict do nothing`,
  );
}

export async function epochOf(db: Executor): Promise<string> {
  const [row] = await db.all<{ value: string }>(sql`select value from database_fact where key = 'epoch'`);
  return row?.value ?? '';
}
