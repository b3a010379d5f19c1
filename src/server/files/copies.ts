import { statSync } from 'node:fs';
import path from 'node:path';
import { insertAudit } from '@/data/audit';
import { aboutFile, backup, stampOf } from '@/data/backup';
import { clearCutShort, copiesFolder, copiesOf, holdsOf, namedIn, type Holds } from '@/data/copies';
import { restoreHere } from '@/data/restore-here';
import { erasedIds } from '@/data/squad';
import { write } from '@/data/write';
import { dailyCopy } from '@/data/daily-copy';
import { done, refused, type Outcome } from '@/core/base/outcome';
import type { Context } from '../base/context';
import { doing } from '../access/doing';
import { whenTurnComes } from '../base/turns';
import { now, serverZone } from '../base/zone';

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
  const made = await whenTurnComes('copy', () => backup(book, path.join(copiesFolder(book), name)));
  return made.ok ? done({ name, sessions: made.value.sessions }) : made;
}

/** A copy of the book by its name, to take away; null where there is none of that name. */
export function copyFile(
  { db }: Context,
  name: string,
): { readonly file: string; readonly bytes: number } | null {
  const book = db.$file?.path;
  // One of those there are, by its name: no way leads out of their folders.
  const file = book && copiesOf(book).find((one) => path.basename(one) === name);
  const stat = file ? statSync(file, { throwIfNoEntry: false }) : undefined;
  return file && stat?.isFile() ? { file, bytes: stat.size } : null;
}

/** What putting a copy back would mean. */
export interface AboutCopy {
  readonly name: string;
  readonly madeMs: number;
  readonly holds: Holds;
  readonly now: Holds;
  /** True where it is of an earlier version: it is brought up to date on the way. */
  readonly older: boolean;
  /** Children it still names who were removed for good since: they stay removed. */
  readonly erased: number;
}

/** Looks a copy through, and says what it holds and what the book has now. */
export async function aboutCopy(context: Context, name: string): Promise<Outcome<AboutCopy>> {
  const [book, copy] = [context.db.$file?.path, copyFile(context, name)];
  if (!book || !copy) return noCopy;
  const looked = await aboutFile(copy.file);
  if (!looked.ok) return looked;
  const now = await holdsOf(book);
  const gone = await erasedIds(context.db);
  const { holds, older, madeMs } = looked.value;
  return done({
    name,
    madeMs,
    holds,
    older,
    now: now ?? holds,
    erased: await namedIn(book, copy.file, gone),
  });
}

/**
 * Puts a copy in the place of the book while the server runs: what is being written is ended first, the book that was there
 * is kept, and tablets offer again what the copy lacks.
 */
export async function restoreCopy(
  context: Context,
  name: string,
): Promise<Outcome<{ readonly name: string; readonly kept: string | null; readonly marks: number }>> {
  const [book, copy] = [context.db.$file?.path, copyFile(context, name)];
  if (!book || !copy) return noCopy;
  const restored = await whenTurnComes('copy', () =>
    restoreHere(context.db, copy.file, new Date(context.nowMs)),
  );
  if (!restored.ok) return restored;
  const { kept, marks } = restored.value;
  await write(context.db, (tx) => insertAudit(tx, doing(context, 'copy.restore', [name])));
  return done({ name, marks, kept: kept && path.basename(kept) });
}

const noCopy = refused('file', 'There is no copy of that name (any more): reload the page.');

/** Copies the book once a day by itself, as long as this process runs. What goes wrong is said where the server prints. */
export function copyDaily({ db }: Pick<Context, 'db'>): void {
  const book = db.$file?.path;
  if (!book) return;
  const tidy = () => {
    for (const name of clearCutShort(book, Date.now()))
      console.warn(
        `A copy that was cut short was cleared: ${name}. Make another one in Settings where it was wanted.`,
      );
  };
  tidy();
  const work = () => {
    tidy();
    void dailyCopy(book, now(serverZone()).today)
      .then((outcome) => {
        if (!outcome.ok) console.error(`No copy of the book was made today: ${outcome.problems[0]!.message}`);
      })
      .catch((error: unknown) => console.error('No copy of the book was made today:', error));
  };
  setTimeout(work, firstMs).unref();
  setInterval(work, everyMs).unref();
}
