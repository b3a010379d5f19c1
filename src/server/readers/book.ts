import { besideText } from '@/core/counting/beside';
import { makeBook, type Book, type BookContents } from '@/drills';
import type { SchoolChoice } from '@/drills/base/schools';
import type { Drill } from '@/drills/base/types';
import type { Executor } from '@/data/database';
import { ownDrills, schoolChoices } from '@/data/house';

/** The house's own drills and schools. Drills taken off the list stay known, because held sessions need them. */
export async function bookContents(db: Executor): Promise<BookContents> {
  const [rows, choices] = await Promise.all([ownDrills(db), schoolChoices(db)]);
  return {
    own: rows.map((row) => ({ ...(JSON.parse(row.drill) as Drill), id: row.id })),
    retired: rows.filter((row) => row.removedAtMs !== null).map((row) => row.id),
    choices: choices as SchoolChoice[],
  };
}

/** The drills as a coach sees them. */
export async function bookFor(db: Executor, coach = ''): Promise<Book> {
  return makeBook(await bookContents(db), coach);
}

/** Every answer there is to what may be noted beside a mark: what comes by a link says one of them, and nothing else. */
export async function besideAnswers(db: Executor): Promise<ReadonlySet<string>> {
  const steps = (await bookFor(db)).drills.flatMap((drill) => drill.steps);
  return new Set(
    steps.flatMap(({ beside }) => beside?.answers.map((answer) => besideText(beside.question, answer)) ?? []),
  );
}
