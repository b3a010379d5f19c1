import { createClient, type Client } from '@libsql/client';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { mkdirSync } from 'node:fs';
import path from 'node:path';
import * as schema from './schema';

export type Database = LibSQLDatabase<typeof schema> & { $client: Client };
/** A database or an open transaction on it. */
export type Executor = Pick<
  Database,
  'select' | 'selectDistinct' | 'insert' | 'update' | 'delete' | 'all' | 'run' | 'get'
>;

const busyTimeoutMs = 5000;

/**
 * Opens a database: a file (`file:data/vowstep.db`) or a libSQL server (`libsql://…`).
 * Every connection the client opens, those of transactions too, waits up to five seconds for a lock.
 */
export async function openDatabase(url: string, authToken?: string): Promise<Database> {
  if (url.startsWith('file:'))
    mkdirSync(path.dirname(path.resolve(url.slice('file:'.length))), { recursive: true });
  const client = createClient({ url, authToken, timeout: busyTimeoutMs });
  if (client.protocol === 'file') await client.execute('PRAGMA journal_mode = WAL');
  return drizzle(client, { schema });
}

/** Brings the schema up to date. Safe to run at every start. */
export async function migrateDatabase(db: Database): Promise<void> {
  await migrate(db, { migrationsFolder: path.join(process.cwd(), 'drizzle') });
}

// Next bundles routes separately: the one client of the process hangs on the global object.
const shared = globalThis as typeof globalThis & { vowstepDatabase?: Promise<Database> };

/** The application's database, at `VOWSTEP_DATABASE_URL`; opened and migrated on first use. */
export function database(): Promise<Database> {
  shared.vowstepDatabase ??= openAndMigrate().catch((error: unknown) => {
    // A failed opening must not be remembered: the next request tries again.
    shared.vowstepDatabase = undefined;
    throw error;
  });
  return shared.vowstepDatabase;
}

async function openAndMigrate(): Promise<Database> {
  const url = process.env.VOWSTEP_DATABASE_URL ?? 'file:data/vowstep.db';
  const db = await openDatabase(url, process.env.VOWSTEP_DATABASE_TOKEN);
  await migrateDatabase(db);
  return db;
}
