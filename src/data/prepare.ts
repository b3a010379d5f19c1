import { copyFileSync, existsSync, rmSync } from 'node:fs';
import { done, type Outcome } from '@/core/outcome';
import { lookThrough, opened, removeCompanions, type Copied } from './backup';
import { migrateDatabase, openDatabase } from './client';
import type { Database } from './database';
import { closeToOthers } from './private-file';

/** Where a copy is made ready beside the book it is for. */
export const partOf = (book: string): string => `${book}.restoring`;

/** Takes files away, with what SQLite keeps beside them. */
export function clear(...files: readonly string[]): void {
  for (const file of files) {
    rmSync(file, { force: true });
    removeCompanions(file);
  }
}

/**
 * Makes a copy ready beside a book: looked through, and brought up to date in one file. The copy itself stays as it is.
 * @param more what is to be done to it besides
 */
export async function prepare(
  copy: string,
  part: string,
  more: (db: Database) => Promise<void> = () => Promise.resolve(),
): Promise<Outcome<Omit<Copied, 'file'>>> {
  clear(part);
  // Worked on as a copy of the copy, with what a running server may have left beside it.
  copyFileSync(copy, part);
  closeToOthers(part);
  if (existsSync(`${copy}-wal`)) copyFileSync(`${copy}-wal`, `${part}-wal`);
  const sound = await opened(part, lookThrough);
  if (!sound.ok) return sound;
  const db = await openDatabase(`file:${part}`);
  try {
    // An older copy may have no such table yet: it has no epoch either.
    await db.$client.execute(`delete from database_fact where key = 'epoch'`).catch(() => undefined);
    await migrateDatabase(db);
    await more(db);
    const { rows } = await db.$client.execute('PRAGMA wal_checkpoint(TRUNCATE)');
    if (rows[0]?.[0] !== 0) throw new Error('What was restored could not be put into one file.');
  } finally {
    db.$client.close();
  }
  return done(sound.value);
}
