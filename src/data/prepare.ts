import { existsSync, rmSync } from 'node:fs';
import { copyFile } from 'node:fs/promises';
import { done, type Outcome } from '@/core/base/outcome';
import { lookThrough, opened, removeCompanions, type Copied } from './backup';
import { databaseApart, migrateDatabase, migrationsFolder } from './client';
import { giveEpoch } from './epoch';
import { applied, newestKnown } from './migrations';
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
  await copyFile(copy, part);
  closeToOthers(part);
  if (existsSync(`${copy}-wal`)) await copyFile(`${copy}-wal`, `${part}-wal`);
  const sound = await opened(part, lookThrough);
  if (!sound.ok) return sound;
  const db = databaseApart(part);
  try {
    // An older copy may have no such table yet: it has no epoch either.
    await db.$client.execute(`delete from database_fact where key = 'epoch'`).catch(() => undefined);
    // One of this version was brought up to date when its book was opened.
    const had = await applied(db);
    if (Math.max(...had) < newestKnown(migrationsFolder())) await migrateDatabase(db);
    else await giveEpoch(db);
    await more(db);
    const { rows } = await db.$client.execute('PRAGMA wal_checkpoint(TRUNCATE)');
    if (rows[0]?.[0] !== 0) throw new Error('What was restored could not be put into one file.');
  } finally {
    await db.$client.end();
  }
  return done(sound.value);
}
