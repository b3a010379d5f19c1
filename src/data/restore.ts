import { closeSync, copyFileSync, existsSync, fsyncSync, openSync, renameSync, statSync } from 'node:fs';
import path from 'node:path';
import { done, refused, type Outcome } from '@/core/base/outcome';
import { asideOf, companions, gather, opened, refusedBy, removeCompanions, type Copied } from './backup';
import { carryDoors } from './carry-doors';
import { carryWithdrawals } from './carry-withdrawals';
import { clear, partOf, prepare } from './prepare';
import { privateFolder } from './private-file';
import { troubleOf } from './trouble';

export interface Restored extends Copied {
  /** Where the book that stood there before is kept; null when there was none. */
  readonly kept: string | null;
}

/** What is whole and only has to take its place: whoever opens the book next does it, should the power go before. */
const readyOf = (book: string) => `${book}.restored`;

/**
 * Puts a copy in the place of a book. The copy is looked through first and stays as it is, and is brought up to date on
 * the way; the book that was there is kept under another name; nothing of its journal is left beside the new one. Who may
 * come in, what was withdrawn and who was removed for good goes along from the book that was there. Devices will look again at what is here.
 */
export async function restore(copy: string, to: string, now: Date): Promise<Outcome<Restored>> {
  if (!existsSync(copy) || !statSync(copy).isFile())
    return refused('file', `There is no file ${copy}: name the copy to put back.`);
  if (path.resolve(copy) === path.resolve(to))
    return refused('file', 'This is the book itself, not a copy of it: name the copy to put back.');
  privateFolder(to);
  const [part, ready] = [partOf(to), readyOf(to)];
  clear(part, ready, `${ready}.part`);
  try {
    const free = await standsAlone(to);
    if (!free.ok) return free;
    const sound = await prepare(copy, part, async (db) => {
      if (!existsSync(to)) return;
      await carryDoors(to, db);
      await carryWithdrawals(to, db, now.getTime());
    });
    if (!sound.ok) return sound;
    // A file of its own: what was opened to bring it up to date lingers in the driver, and would share its locks and its
    // index of the journal with whoever opens the very same file in this process, but with nobody else.
    copyWhole(part, ready);

    const kept = existsSync(to) ? asideOf(to, now) : null;
    if (kept) {
      const still = await standsAlone(to);
      if (!still.ok) return still;
      for (const ending of ['', ...companions])
        if (existsSync(to + ending)) renameSync(to + ending, kept + ending);
    }
    removeCompanions(to);
    renameSync(ready, to);
    return done({ ...sound.value, file: to, kept });
  } catch (error) {
    return refusedBy(error);
  } finally {
    clear(part, ready, `${ready}.part`);
  }
}

/** Copies a file, and does not come back before it is on the disk. */
function copyWhole(from: string, to: string): void {
  const making = `${to}.part`;
  copyFileSync(from, making);
  const open = openSync(making, 'r+');
  fsyncSync(open);
  closeSync(open);
  renameSync(making, to);
}

/**
 * Ends a restore that the power ended before: where the book had been set aside already, the one to take its place does
 * so now; where it had not, it never happened.
 */
export function finishRestore(book: string): void {
  const ready = readyOf(book);
  if (existsSync(ready) && !existsSync(book)) {
    removeCompanions(book);
    renameSync(ready, book);
  }
  clear(partOf(book), ready, `${ready}.part`);
}

/** Gathers the book that stands there into its one file, unless somebody has it open. */
async function standsAlone(file: string): Promise<Outcome<null>> {
  if (!existsSync(file)) return done(null);
  try {
    await opened(file, gather);
  } catch (error) {
    const trouble = troubleOf(error);
    if (trouble?.kind === 'locked')
      return refused('database', 'Vow Step is running on this book: end it first, then put the copy back.');
    // A damaged book is kept as it is, with all that belongs to it.
    if (!trouble) throw error;
  }
  return done(null);
}
