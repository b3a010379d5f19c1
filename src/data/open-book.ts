import path from 'node:path';
import { backup, stampOf } from './backup';
import { databaseUrl, migrateDatabase, migrationsFolder, openDatabase } from './client';
import { copiesFolder } from './copies';
import type { Database } from './database';
import { fileOf } from './identity';
import { applied, newestKnown } from './migrations';
import { finishRestore } from './restore';
import { trouble } from './trouble';

/** @throws DatabaseTrouble when what is on the disk is not whole */
async function wholeOrTrouble({ $client }: Database): Promise<void> {
  const { rows } = await $client.execute('PRAGMA quick_check(1)');
  if (rows[0]?.[0] !== 'ok') throw trouble('damaged', new Error(String(rows[0]?.[0])));
}

// Next bundles routes separately: the one client of the process hangs on the global object.
const shared = globalThis as typeof globalThis & { vowstepDatabase?: Promise<Database> };

/** The application's database, at `VOWSTEP_DATABASE_URL`; opened, checked and migrated on first use. */
export function database(): Promise<Database> {
  shared.vowstepDatabase ??= openAndMigrate().catch((error: unknown) => {
    // A failed opening must not be remembered: the next request tries again.
    shared.vowstepDatabase = undefined;
    throw error;
  });
  return shared.vowstepDatabase;
}

async function openAndMigrate(): Promise<Database> {
  const file = fileOf(databaseUrl());
  if (file) finishRestore(file);
  const db = await openDatabase(databaseUrl(), process.env.VOWSTEP_DATABASE_TOKEN);
  if (file) await wholeOrTrouble(db);
  await copyBeforeUpdate(db);
  await migrateDatabase(db);
  return db;
}

/**
 * A book of an earlier version is copied before it is brought up to date: there is a way back to that version.
 * @throws Error when it cannot be copied; the book is then left as it is
 */
export async function copyBeforeUpdate(db: Database): Promise<void> {
  const book = db.$file?.path;
  const had = book ? await applied(db) : [];
  if (!book || had.length === 0 || Math.max(...had) >= newestKnown(migrationsFolder())) return;
  const to = path.join(copiesFolder(book), `before-update-${stampOf(new Date())}.db`);
  const made = await backup(book, to);
  if (!made.ok) throw new Error(`The book was not brought up to date: ${made.problems[0]!.message}`);
}
