import { existsSync, renameSync, rmSync, statSync } from 'node:fs';
import type { Client } from '@libsql/client';
import { sql } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/libsql';
import { done, refused, type Outcome } from '@/core/base/outcome';
import { clientApart } from './apart';
import { migrationsFolder } from './client';
import { holdsOf, type Holds } from './copies';
import { applied, newestKnown, canBeBroughtUp } from './migrations';
import { privateFile } from './private-file';
import { DatabaseTrouble, troubleOf } from './trouble';

/** What a copy of the book holds. */
export interface Copied {
  readonly file: string;
  readonly sessions: number;
  /** Events of the log. */
  readonly marks: number;
}
/** Files SQLite keeps beside a database: left beside another one, they spoil it. */
export const companions = ['-wal', '-shm', '-journal'] as const;

export const removeCompanions = (file: string): void => {
  for (const ending of companions) rmSync(file + ending, { force: true });
};

/** 20261126-093012, to name a file by. */
export function stampOf(date: Date): string {
  const two = (n: number) => String(n).padStart(2, '0');
  const day = `${date.getFullYear()}${two(date.getMonth() + 1)}${two(date.getDate())}`;
  return `${day}-${two(date.getHours())}${two(date.getMinutes())}${two(date.getSeconds())}`;
}

/** The name where a book that is put aside is kept: of a moment, and of nothing that is there. */
export function asideOf(book: string, now: Date): string {
  const name = `${book}.before-${stampOf(now)}`;
  for (let n = 2; ; n++) {
    const free = n === 2 ? name : `${name}-${n - 1}`;
    if (!existsSync(free)) return free;
  }
}

/**
 * Copies a book, also while it is being written to: the copy is what was in it at one moment. It is looked through
 * before it gets its name, and never takes the place of a file that is there.
 */
export async function backup(from: string, to: string): Promise<Outcome<Copied>> {
  if (!existsSync(from)) return refused('database', `There is no book at ${from} yet: nothing to copy.`);
  if (existsSync(to)) return refused('file', `${to} is there already: name another file.`);
  const part = `${to}.part`;
  rmSync(part, { force: true });
  // Made empty first: what is copied into it is for this user alone from the beginning.
  privateFile(part);
  try {
    await opened(from, (book) => book.execute({ sql: 'VACUUM INTO ?', args: [part] }));
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

export const refusedBy = (error: unknown): Outcome<never> => {
  const trouble = troubleOf(error);
  if (!trouble) throw error;
  return refused('file', trouble instanceof DatabaseTrouble ? trouble.message : String(trouble));
};

/** Opens a file by itself, in a process of its own, whatever it is, and closes it again. */
export async function opened<T>(file: string, work: (client: Client) => Promise<T>): Promise<T> {
  const client = clientApart(file);
  try {
    return await work(client);
  } finally {
    await client.end();
  }
}

/** Looks a whole file through: is it sound, is it ours, and of a version that is known here? */
export async function lookThrough(client: Client): Promise<Outcome<Omit<Copied, 'file'>>> {
  const { rows: faults } = await client.execute('PRAGMA integrity_check(3)');
  if (faults[0]?.[0] !== 'ok')
    return refused('file', `This copy is damaged (${String(faults[0]?.[0])}): choose another one.`);
  const db = drizzle(client);
  if ((await applied(db)).length === 0)
    return refused('file', 'This is a database, but no book of Vow Step: choose another file.');
  await canBeBroughtUp(db, migrationsFolder());
  const { rows: loose } = await client.execute('PRAGMA foreign_key_check');
  if (loose.length > 0)
    return refused('file', `This copy has ${loose.length} rows that point nowhere: choose another one.`);
  const [row] = await db.all<{ sessions: number; marks: number }>(
    sql`select (select count(*) from session) as sessions, (select count(*) from touch_event) as marks`,
  );
  return done(row!);
}

/** What a copy is: looked through whole, as a restore would. */
export async function aboutFile(
  file: string,
): Promise<Outcome<{ readonly holds: Holds; readonly older: boolean; readonly madeMs: number }>> {
  try {
    const looked = await opened(file, async (client) => {
      const sound = await lookThrough(client);
      if (!sound.ok) return sound;
      const had = await applied(drizzle(client));
      return done({ older: Math.max(...had) < newestKnown(migrationsFolder()) });
    });
    if (!looked.ok) return looked;
    const holds = await holdsOf(file);
    if (!holds) return refused('file', 'This copy cannot be read: choose another one.');
    return done({ ...looked.value, holds, madeMs: statSync(file).mtimeMs });
  } catch (error) {
    return refusedBy(error);
  }
}

/** Gathers a database into its one file, with nothing beside it. It fails while anybody else has it open. */
export const gather = (client: Client) => client.execute('PRAGMA journal_mode = DELETE');
