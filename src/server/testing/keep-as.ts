import { copyFileSync, renameSync } from 'node:fs';
import { sql } from 'drizzle-orm';
import { putIntoOneFile } from '@/data/client';
import type { Database } from '@/data/database';

/**
 * For tests: leaves a database at a file that others are copied from. It has no epoch, so that every copy gets its own; and
 * it is there whole or not at all, because another worker may make the same.
 */
export async function keepAs(db: Database, own: string, file: string): Promise<void> {
  await db.run(sql`delete from database_fact where key = 'epoch'`);
  await putIntoOneFile(db);
  const part = `${file}.${process.pid}`;
  copyFileSync(own, part);
  renameSync(part, file);
}
