import { readFileSync } from 'node:fs';
import path from 'node:path';
import { sql } from 'drizzle-orm';
import type { Database } from './database';
import { trouble } from './trouble';

interface Journal {
  readonly entries: readonly { readonly when: number }[];
}

/** When the migrations this version knows were made, milliseconds: what the migrator goes by. */
function known(folder: string): number[] {
  const journal = JSON.parse(readFileSync(path.join(folder, 'meta', '_journal.json'), 'utf8')) as Journal;
  return journal.entries.map((entry) => entry.when);
}

/** When the newest migration this version knows was made, milliseconds. */
export const newestKnown = (folder: string): number => Math.max(...known(folder));

/** The migrations a database has had, oldest first, by when they were made; none where it is new. */
export async function applied(db: Pick<Database, 'all'>): Promise<number[]> {
  const [table] = await db.all(
    sql`select name from sqlite_master where type = 'table' and name = '__drizzle_migrations'`,
  );
  if (!table) return [];
  const rows = await db.all<{ at: number }>(
    sql`select created_at as at from __drizzle_migrations order by created_at`,
  );
  return rows.map((row) => Number(row.at));
}

/** @throws DatabaseTrouble for a database that is another program's: it has tables, and not those of a book */
export async function ours(db: Pick<Database, 'all'>): Promise<void> {
  const tables = await db.all<{ name: string }>(
    sql`select name from sqlite_master where type = 'table' and substr(name, 1, 7) <> 'sqlite_'`,
  );
  // What a start that was cut short has left is ours too.
  const others = tables.filter(({ name }) => !bookkeeping.has(name));
  if (others.length > 0 && !others.some(({ name }) => name === 'player')) throw trouble('strange');
}

/** Tables of whoever brings a database up to date, there before any of ours. */
const bookkeeping: ReadonlySet<string> = new Set(['__drizzle_migrations', 'vowstep_migrating']);

/**
 * @throws DatabaseTrouble when a database has had migrations this version does not know: those of a newer version, or fewer
 *   than the baseline stands for
 */
export async function canBeBroughtUp(db: Pick<Database, 'all'>, folder: string): Promise<void> {
  const newest = (await applied(db)).at(-1);
  if (newest === undefined) return;
  if (newest > newestKnown(folder)) throw trouble('newer');
  if (newest < Math.min(...known(folder))) throw trouble('trial');
}
