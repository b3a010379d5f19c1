import type { Database, Executor } from './database';
import { connectionsOpened } from './patience';

interface Memory {
  /** The file's own count of changes by others, as the connection in use had it when these were read. */
  version: string;
  readonly values: Map<string, Promise<unknown>>;
}

// Next bundles routes separately: what is remembered hangs on the global object.
const shared = globalThis as typeof globalThis & { vowstepRemembered?: WeakMap<object, Memory> };
const memories = () => (shared.vowstepRemembered ??= new WeakMap());

/**
 * What is read with every page and hardly ever changes, read again only when the file has changed. Every change shows in
 * the file's own count, whichever connection or process makes it; a libSQL server has no such count and is asked.
 * @param key names what is read; one key, one reading
 */
export async function remembered<T>(
  db: Executor,
  key: string,
  read: (db: Executor) => Promise<T>,
): Promise<T> {
  const whole = db as Partial<Database>;
  // A transaction sees its own changes before the file does.
  if (!whole.$file) return read(db);
  const memory: Memory = memories().get(db) ?? { version: '', values: new Map() };
  memories().set(db, memory);
  const version = await versionOf(whole as Database);
  if (version !== memory.version) {
    memory.version = version;
    memory.values.clear();
  }
  const known = memory.values.get(key) as Promise<T> | undefined;
  if (known) return known;
  const reading = read(db);
  memory.values.set(key, reading);
  reading.catch(() => memory.values.delete(key));
  return reading;
}

/** `PRAGMA data_version`. Everybody asks for themselves: an answer on its way may be older than one's own write. */
async function versionOf(db: Database): Promise<string> {
  const { rows } = await db.$client.execute('PRAGMA data_version');
  return `${String(connectionOf(db))} ${String(rows[0]?.[0])}`;
}

/** Counts of two connections say nothing of each other. */
const connectionOf = ({ $client }: Database): unknown =>
  ($client as unknown as Record<symbol, unknown>)[connectionsOpened];
