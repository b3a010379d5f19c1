import path from 'node:path';
import { backup, stampOf } from '@/data/backup';
import { restore } from '@/data/restore';
import { databaseUrl } from '@/data/client';
import { fileOf } from '@/data/identity';

/** Copies the book of `VOWSTEP_DATABASE_URL`, or puts a copy back: `tsx scripts/book.ts backup|restore [FILE]`. */
const [what, given] = process.argv.slice(2);
const book = fileOf(databaseUrl());
const now = new Date();

function fail(sentence: string): never {
  console.error(sentence);
  process.exit(1);
}

if (!book) fail('The book is on a libSQL server: copy it there, with what that server has for it.');
if (what === 'restore' && !given) fail('Name the copy to put back: npm run restore FILE');

/** A path as it is shortest to type. */
const named = (file: string) => {
  const near = path.relative('', file);
  return near.startsWith('..') ? file : near;
};
const words = ({ sessions, marks }: { sessions: number; marks: number }) =>
  `${sessions.toLocaleString('en-GB')} sessions, ${marks.toLocaleString('en-GB')} marks`;

if (what === 'backup') {
  const to = given ?? path.join(path.dirname(book), 'backups', `vowstep-${stampOf(now)}.db`);
  const copied = await backup(book, path.resolve(to));
  if (!copied.ok) fail(copied.problems[0]!.message);
  console.log(`Copied to ${named(copied.value.file)}: ${words(copied.value)}; looked through, sound.`);
} else if (what === 'restore') {
  const restored = await restore(path.resolve(given!), book, now);
  if (!restored.ok) fail(restored.problems[0]!.message);
  const { kept } = restored.value;
  console.log(`Put back from ${given}: ${words(restored.value)}; looked through, sound.`);
  if (kept) console.log(`The book that was there is kept as ${named(kept)}.`);
} else fail('Say backup or restore.');
process.exit(0);
