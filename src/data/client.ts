import { createClient } from '@libsql/client';
import { drizzle } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { mkdirSync } from 'node:fs';
import path from 'node:path';
import type { Database } from './database';
import { giveEpoch } from './epoch';
import { fileOf, openedFile } from './identity';
import { notNewer } from './migrations';
import { driverWaitMs, patient } from './patience';
import { readingBeside } from './reads';
import { repairText } from './repair';
import * as schema from './schema';

/** Opens a database: a file (`file:data/vowstep.db`) or a libSQL server (`libsql://…`). Locks are waited for beside other work. */
export async function openDatabase(url: string, authToken?: string): Promise<Database> {
  const file = fileOf(url);
  if (file) mkdirSync(path.dirname(file), { recursive: true });
  const open = (onClose?: () => void) =>
    patient(createClient({ url, authToken, timeout: driverWaitMs }), onClose);
  const writing = file ? open() : null;
  const watch = file ? createClient({ url, timeout: driverWaitMs }) : null;
  const opened = open(() => [writing, watch].forEach((one) => one?.close()));
  const { client, written } = watch ? readingBeside(opened, watch) : { client: opened };
  if (file) await client.execute('PRAGMA journal_mode = WAL');
  return Object.assign(drizzle(client, { schema }), {
    ...(written && { $written: written }),
    ...(writing && { $writer: drizzle(writing, { schema }) }),
    ...(file && { $file: openedFile(file) }),
  });
}

export const migrationsFolder = () => path.join(process.cwd(), 'drizzle');

/**
 * Brings a database up to date: its schema, its text, its epoch. Safe to run at every start.
 * @throws DatabaseTrouble for one that a newer version has kept
 */
export async function migrateDatabase(db: Database): Promise<void> {
  await notNewer(db, migrationsFolder());
  await migrate(db, { migrationsFolder: migrationsFolder() });
  await repairText(db);
  await giveEpoch(db);
}

/** Puts what the journal beside it holds into the one file, so that a copy of that file is the whole book. */
export async function putIntoOneFile({ $client }: Database): Promise<void> {
  if ($client.protocol === 'file') await $client.execute('PRAGMA wal_checkpoint(TRUNCATE)');
}

/** Where the application's database is. */
export const databaseUrl = (): string => process.env.VOWSTEP_DATABASE_URL ?? 'file:data/vowstep.db';
