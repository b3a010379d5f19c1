import { copyFileSync, existsSync, mkdirSync, renameSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import { createClient, type Client } from '@libsql/client';
import { sql } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/libsql';
import { done, refused, type Outcome } from '@/core/outcome';
import { migrationsFolder, openDatabase } from './client';
import { applied, notNewer } from './migrations';
import { driverWaitMs } from './patience';
import { DatabaseTrouble, troubleOf } from './trouble';

/** What a copy of the book holds. */
export interface Copied {
  readonly file: string;
  readonly sessions: number;
  /** Events of the log. */
  readonly marks: number;
}
export interface Restored extends Copied {
  /** Where the book that stood there before is kept; null when there was none. */
  readonly kept: string | null;
}

/** Files SQLite keeps beside a database: left beside another one, they spoil it. */
const companions = ['-wal', '-shm', '-journal'] as const;

const removeCompanions = (file: string): void => {
  for (const ending of companions) rmSync(file + ending, { force: true });
};

/** 20261126-093012, to name a file by. */
export function stampOf(date: Date): string {
  const two = (n: number) => String(n).padStart(2, '0');
  const day = `${date.getFullYear()}${two(date.getMonth() + 1)}${two(date.getDate())}`;
  return `${day}-${two(date.getHours())}${two(date.getMinutes())}${two(date.getSeconds())}`;
}

/**
 * Copies a book, also while it is being written to: the copy is what was in it at one moment. It is looked through
 * before it gets its name, and never takes the place of a file that is there.
 */
export async function backup(from: string, to: string): Promise<Outcome<Copied>> {
  if (!existsSync(from)) return refused('database', `There is no book at ${from} yet: nothing to copy.`);
  if (existsSync(to)) return refused('file', `${to} is there already: name another file.`);
  mkdirSync(path.dirname(to), { recursive: true });
  const part = `${to}.part`;
  rmSync(part, { force: true });
  try {
    const db = await openDatabase(`file:${from}`);
    await db.$client.execute({ sql: 'VACUUM INTO ?', args: [part] });
    db.$client.close();
    const sound = await opened(part, lookThrough);
    if (!sound.ok) return sound;
    removeCompanions(part);
    renameSync(part, to);
    return done({ ...sound.value, file: to });
  } catch (error) {
    return refusedBy(error);
  } finally {
    rmSync(part, { force: true });
    removeCompanions(part);
  }
}

/**
 * Puts a copy in the place of a book. The copy is looked through first and stays as it is; the book that was there is
 * kept under another name; nothing of its journal is left beside the new one. Devices will look again at what is here.
 */
export async function restore(copy: string, to: string, now: Date): Promise<Outcome<Restored>> {
  if (!existsSync(copy) || !statSync(copy).isFile())
    return refused('file', `There is no file ${copy}: name the copy to put back.`);
  if (path.resolve(copy) === path.resolve(to))
    return refused('file', 'This is the book itself, not a copy of it: name the copy to put back.');
  mkdirSync(path.dirname(to), { recursive: true });
  const part = `${to}.restoring`;
  const clear = () => {
    rmSync(part, { force: true });
    removeCompanions(part);
  };
  clear();
  try {
    // Worked on as a copy of the copy, with what a running server may have left beside it.
    copyFileSync(copy, part);
    if (existsSync(`${copy}-wal`)) copyFileSync(`${copy}-wal`, `${part}-wal`);
    const sound = await opened(part, async (client) => {
      const looked = await lookThrough(client);
      if (!looked.ok) return looked;
      // An older copy may have no such table yet: it has no epoch either.
      await client.execute(`delete from database_fact where key = 'epoch'`).catch(() => undefined);
      await gather(client);
      return looked;
    });
    if (!sound.ok) return sound;

    const kept = existsSync(to) ? `${to}.before-${stampOf(now)}` : null;
    if (kept) {
      const free = await setAside(to, kept);
      if (!free.ok) return free;
    }
    removeCompanions(to);
    renameSync(part, to);
    return done({ ...sound.value, file: to, kept });
  } catch (error) {
    return refusedBy(error);
  } finally {
    clear();
  }
}

const refusedBy = (error: unknown): Outcome<never> => {
  const trouble = troubleOf(error);
  if (!trouble) throw error;
  return refused('file', trouble instanceof DatabaseTrouble ? trouble.message : String(trouble));
};

/** Opens a file by itself, whatever it is, and closes it again. */
async function opened<T>(file: string, work: (client: Client) => Promise<T>): Promise<T> {
  const client = createClient({ url: `file:${file}`, timeout: driverWaitMs });
  try {
    return await work(client);
  } finally {
    client.close();
  }
}

/** Looks a whole file through: is it sound, is it ours, and of a version that is known here? */
async function lookThrough(client: Client): Promise<Outcome<Omit<Copied, 'file'>>> {
  const { rows: faults } = await client.execute('PRAGMA integrity_check(3)');
  if (faults[0]?.[0] !== 'ok')
    return refused('file', `This copy is damaged (${String(faults[0]?.[0])}): choose another one.`);
  const db = drizzle(client);
  if ((await applied(db)).length === 0)
    return refused('file', 'This is a database, but no book of Vow Step: choose another file.');
  await notNewer(db, migrationsFolder());
  const { rows: loose } = await client.execute('PRAGMA foreign_key_check');
  if (loose.length > 0)
    return refused('file', `This copy has ${loose.length} rows that point nowhere: choose another one.`);
  const [row] = await db.all<{ sessions: number; marks: number }>(
    sql`select (select count(*) from session) as sessions, (select count(*) from touch_event) as marks`,
  );
  return done(row!);
}

/** Gathers a database into its one file, with nothing beside it. It fails while anybody else has it open. */
const gather = (client: Client) => client.execute('PRAGMA journal_mode = DELETE');

/** Moves a book out of the way, whole, unless somebody has it open. */
async function setAside(file: string, kept: string): Promise<Outcome<null>> {
  try {
    await opened(file, gather);
  } catch (error) {
    const trouble = troubleOf(error);
    if (trouble?.kind === 'locked')
      return refused('database', 'Vow Step is running on this book: end it first, then put the copy back.');
    // A damaged book is kept as it is, with all that belongs to it.
    if (!trouble) throw error;
  }
  for (const ending of ['', ...companions])
    if (existsSync(file + ending)) renameSync(file + ending, kept + ending);
  return done(null);
}
