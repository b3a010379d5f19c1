import { existsSync, readdirSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import { clientApart, type ClientApart } from './apart';
import { closeToOthers } from './private-file';

/** Where copies of a book are kept. */
export const copiesFolder = (book: string): string => path.join(path.dirname(book), 'backups');

/** Every copy of a book that is known of: those kept, and books a restore has put aside. Newest names last. */
export function copiesOf(book: string): string[] {
  const folder = path.dirname(book);
  const kept = copiesFolder(book);
  const files = (of: string, is: (name: string) => boolean) =>
    existsSync(of)
      ? readdirSync(of)
          .filter(is)
          .map((name) => path.join(of, name))
      : [];
  return [
    ...files(kept, (name) => name.endsWith('.db')),
    ...files(
      folder,
      (name) => name.startsWith(`${path.basename(book)}.before-`) && !/-(wal|shm|journal)$/.test(name),
    ),
  ].sort();
}

/** Looks into files one after the other, by one process beside this one; what cannot be read gives what is said for that. */
async function inEach<T>(
  book: string,
  files: readonly string[],
  look: (client: ClientApart) => Promise<T>,
  unread: T,
): Promise<T[]> {
  if (files.length === 0) return [];
  const client = clientApart(book);
  const all: T[] = [];
  try {
    for (const file of files) {
      try {
        await client.execute({ sql: 'attach ? as looked', args: [file] });
        all.push(await look(client));
      } catch {
        all.push(unread);
      } finally {
        await client.execute('detach looked').catch(() => undefined);
      }
    }
    return all;
  } finally {
    await client.end();
  }
}

/** Copies that still say who these players were. One that cannot be read may hold them, and is named too. */
export async function copiesHolding(book: string, ids: readonly string[]): Promise<string[]> {
  if (ids.length === 0) return [];
  const files = copiesOf(book);
  const named = await namedInEach(book, files, ids);
  return files.filter((_, index) => named[index]! > 0);
}

/** How many of these players each of some copies still says who they were; all of them where it cannot be read. */
const namedInEach = (book: string, files: readonly string[], ids: readonly string[]): Promise<number[]> =>
  inEach(
    book,
    files,
    async (client) => {
      const { columns } = await client.execute('select * from looked.player limit 0');
      const erased = columns.includes('erased_at_ms') ? 'erased_at_ms is null' : 'true';
      const { rows } = await client.execute({
        sql: `select count(*) from looked.player where id in (select value from json_each(?)) and ${erased}`,
        args: [JSON.stringify(ids)],
      });
      return Number(rows[0]![0]);
    },
    ids.length,
  );

/** How many of these players a copy still says who they were; all of them where it cannot be read. */
export const namedIn = async (book: string, file: string, ids: readonly string[]): Promise<number> =>
  (await namedInEach(book, [file], ids))[0]!;

/** What is in a book. */
export interface Holds {
  readonly sessions: number;
  readonly players: number;
  readonly marks: number;
}

/** A copy of a book, as it is shown. */
export interface CopyFacts {
  readonly name: string;
  readonly bytes: number;
  readonly madeMs: number;
  /** What it holds; null where it cannot be read. */
  readonly holds: Holds | null;
}

const counts = (
  schema: string,
) => `select (select count(*) from ${schema}.session where removed_at_ms is null),
  (select count(*) from ${schema}.player where removed_at_ms is null), (select count(*) from ${schema}.touch_event)`;

async function countedIn(client: ClientApart, schema: 'main' | 'looked'): Promise<Holds> {
  const [row] = (await client.execute(counts(schema))).rows;
  return { sessions: Number(row![0]), players: Number(row![1]), marks: Number(row![2]) };
}

/** What is in a book or a copy of one; null for a file that cannot be read. */
export async function holdsOf(file: string): Promise<CopyFacts['holds']> {
  const client = clientApart(file);
  try {
    return await countedIn(client, 'main');
  } catch {
    return null;
  } finally {
    await client.end();
  }
}

/** Every copy of a book with what it holds, the newest first. */
export async function copiesWithFacts(book: string): Promise<CopyFacts[]> {
  const files = copiesOf(book);
  const holds = await inEach<Holds | null>(book, files, (client) => countedIn(client, 'looked'), null);
  const facts = files.map((file, index) => {
    const { size, mtimeMs } = statSync(file);
    return { name: path.basename(file), bytes: size, madeMs: mtimeMs, holds: holds[index]! };
  });
  return facts.sort((a, b) => b.madeMs - a.madeMs);
}

/** A copy that is still being made is written to all the time; one that was not for so long is none any more, milliseconds. */
const cutShortMs = 60_000;

/**
 * Clears copies that were cut short (the power went), which hold children like any other, and leaves those that are whole
 * to this user alone.
 * @returns the names of those that were cleared
 */
export function clearCutShort(book: string, nowMs: number): string[] {
  const folder = copiesFolder(book);
  closeToOthers(...copiesOf(book));
  const parts = (existsSync(folder) ? readdirSync(folder) : []).filter((name) => {
    const stat = statSync(path.join(folder, name), { throwIfNoEntry: false });
    return /\.part(?:-wal|-shm|-journal)?$/.test(name) && stat && nowMs - stat.mtimeMs > cutShortMs;
  });
  for (const name of parts) rmSync(path.join(folder, name), { force: true });
  return parts.filter((name) => name.endsWith('.part'));
}
