import { sql } from 'drizzle-orm';
import type { Database } from './client';

/** The number of migrations applied: the version of the schema. */
export async function schemaVersion(db: Database): Promise<number> {
  const row = await db.get<{ n: number }>(sql`select count(*) as n from __drizzle_migrations`);
  return row?.n ?? 0;
}
