import { statSync } from 'node:fs';
import path from 'node:path';
import { backup, stampOf } from '@/data/backup';
import { copiesFolder } from '@/data/copies';
import { dailyCopy } from '@/data/daily-copy';
import { done, refused, type Outcome } from '@/core/outcome';
import type { Context } from './context';
import { now, serverZone } from './zone';

/** The book is looked after so often, and for the first time a little after the start, milliseconds. Ours. */
const everyMs = 3_600_000;
const firstMs = 60_000;

const noFile = refused(
  'database',
  'The book is on a libSQL server: copy it there, with what that server has for it.',
);

/** Makes a copy of the book now, beside it. */
export async function copyNow({ db, nowMs }: Context): Promise<Outcome<{ name: string; sessions: number }>> {
  const book = db.$file?.path;
  if (!book) return noFile;
  const name = `vowstep-${stampOf(new Date(nowMs))}.db`;
  const made = await backup(book, path.join(copiesFolder(book), name));
  return made.ok ? done({ name, sessions: made.value.sessions }) : made;
}

/** A copy of the book by its name, to take away; null where there is none of that name. */
export function copyFile(
  { db }: Context,
  name: string,
): { readonly file: string; readonly bytes: number } | null {
  const book = db.$file?.path;
  // A name, and no way out of the folder.
  if (!book || !/^[\w-]+\.db$/.test(name)) return null;
  const file = path.join(copiesFolder(book), name);
  const stat = statSync(file, { throwIfNoEntry: false });
  return stat?.isFile() ? { file, bytes: stat.size } : null;
}

/** Copies the book once a day by itself, as long as this process runs. What goes wrong is said where the server prints. */
export function copyDaily({ db }: Pick<Context, 'db'>): void {
  const book = db.$file?.path;
  if (!book) return;
  const work = () =>
    void dailyCopy(book, now(serverZone()).today)
      .then((outcome) => {
        if (!outcome.ok) console.error(`No copy of the book was made today: ${outcome.problems[0]!.message}`);
      })
      .catch((error: unknown) => console.error('No copy of the book was made today:', error));
  setTimeout(work, firstMs).unref();
  setInterval(work, everyMs).unref();
}
