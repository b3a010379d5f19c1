import { createClient } from '@libsql/client';
import { drizzle } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import path from 'node:path';
import { clientApart, type ClientApart } from './apart';
import type { Database } from './database';
import { giveEpoch } from './epoch';
import { fileOf, openedFile } from './identity';
import { canBeBroughtUp, ours } from './migrations';
import { driverWaitMs, patient } from './patience';
import { closeToOthers, privateFile } from './private-file';
import { gathering } from './gather';
import { readingBeside } from './reads';
import { oneServer } from './remote';
import { repairText } from './repair';
import * as schema from './schema';

/** Opens a database: a file (`file:data/vowstep.db`) or a libSQL server (`http(s)://…`, `libsql://…`). */
export async function openDatabase(url: string, authToken?: string): Promise<Database> {
  const file = fileOf(url);
  return file ? openFile(url, file) : openServer(url, authToken);
}

/**
 * A file: locks are waited for beside other work, and writing has connections of its own.
 * @throws DatabaseTrouble for a folder, and for what is another program's: it stays as it is
 */
async function openFile(url: string, file: string): Promise<Database> {
  privateFile(file);
  const open = (onClose?: () => void) => patient(createClient({ url, timeout: driverWaitMs }), onClose);
  const writing = open();
  const watch = createClient({ url, timeout: driverWaitMs });
  const opened = open(() => [writing, watch].forEach((one) => one.close()));
  const { client, written, stands } = readingBeside(opened, {
    // SQLite says it of its own accord, for one connection whenever another one commits.
    version: async () => (await watch.execute('PRAGMA data_version')).rows[0]?.data_version ?? null,
    // A connection that met a lock tells nothing reliable any more, and a new one counts from elsewhere.
    anew: async () => watch.reconnect(),
  });
  await ours(drizzle(client));
  closeToOthers(file, `${file}-wal`, `${file}-shm`);
  await client.execute('PRAGMA journal_mode = WAL');
  return Object.assign(drizzle(client, { schema }), {
    $written: written,
    $stands: stands,
    $writer: drizzle(writing, { schema }),
    $file: openedFile(file),
  });
}

/** A file in a process of its own, for what goes through all of it (see {@link clientApart}): a copy, an export. */
export const databaseApart = (file: string): Database & { readonly $client: ClientApart } =>
  drizzle(clientApart(file), { schema }) as unknown as Database & { readonly $client: ClientApart };

/** Another server's write is seen this much later at most, milliseconds. Ours: a page takes longer to read. */
export const serverHoldsMs = 100;

/** A libSQL server: what is asked together goes together, and what is known there is not asked again. */
function openServer(url: string, authToken?: string): Database {
  const direct = patient(createClient({ url, authToken }));
  const gathered = new Proxy(direct, {
    get: (target, name) => (name === 'execute' ? execute : Reflect.get(target, name, target)),
  });
  const execute = gathering(direct);
  const { client, written, stands } = readingBeside(gathered, {
    version: async () => (await execute('select max(n) as n from write_mark')).rows[0]?.n ?? 0,
    holdsMs: serverHoldsMs,
    ahead: true,
  });
  return Object.assign(drizzle(client, { schema }), { $written: written, $stands: stands, $direct: direct });
}

export const migrationsFolder = () => path.join(process.cwd(), 'drizzle');

/**
 * Brings a database up to date: its schema, its text, its epoch. Safe to run at every start.
 * @throws DatabaseTrouble for one that a newer version has kept
 */
export async function migrateDatabase(db: Database): Promise<void> {
  await oneServer(db, async () => {
    await ours(db);
    await canBeBroughtUp(db, migrationsFolder());
    await migrate(db, { migrationsFolder: migrationsFolder() });
    await repairText(db);
    await giveEpoch(db);
  });
}

/** Puts what the journal beside it holds into the one file, so that a copy of that file is the whole book. */
export async function putIntoOneFile({ $client }: Database): Promise<void> {
  if ($client.protocol === 'file') await $client.execute('PRAGMA wal_checkpoint(TRUNCATE)');
}

/** Where the application's database is. */
export const databaseUrl = (): string => process.env.VOWSTEP_DATABASE_URL ?? 'file:data/vowstep.db';
