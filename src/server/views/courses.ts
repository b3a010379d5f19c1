import { daysLater } from '@/core/plan/weekly';
import { listCourses, sessionsOfCourses } from '@/data/courses';
import { playersOfSessions, sessionsBetween } from '@/data/session';
import { listPlayers, placesOf } from '@/data/squad';
import { makeBook } from '@/drills';
import type { Context } from '../base/context';
import { goalInWords } from '../plan/course/paths';
import { bookContents } from '../readers/book';

/** A course as it stands on the list. */
export interface CourseLine {
  readonly id: string;
  readonly title: string;
  /** "Palm-up bounce: Twenty in a row" */
  readonly goal: string;
  readonly sessions: number;
  readonly held: number;
  readonly fromDay: string | null;
  readonly untilDay: string | null;
}

/** A session a course can go on from: its group, hour and place. */
export interface CourseGroup {
  readonly id: string;
  readonly title: string;
  readonly day: string;
  readonly startTime: string;
  readonly names: readonly string[];
  /** The furthest step anybody stands on, by drill: its number in the ladder, from 0. */
  readonly furthest: Readonly<Record<string, number>>;
}

/** Courses on the list, the newest first. */
export async function coursesView(context: Context): Promise<CourseLine[]> {
  const { db } = context;
  const [courses, contents] = await Promise.all([listCourses(db), bookContents(db)]);
  const book = makeBook(contents);
  const sessions = await sessionsOfCourses(
    db,
    courses.map(({ id }) => id),
  );
  return courses.map(({ id, title, drillId, stepId }) => {
    const own = sessions.filter(({ courseId }) => courseId === id);
    return {
      id,
      title,
      goal: goalInWords(book, { drillId, stepId }),
      sessions: own.length,
      held: own.filter(({ state }) => state !== 'planned').length,
      fromDay: own[0]?.day ?? null,
      untilDay: own.at(-1)?.day ?? null,
    };
  });
}

/** A group is looked for in the sessions of so many days before today and after it. Ours. */
const groupDays = { before: 28, after: 56 } as const;

/** Sessions whose group a course can be made for, one of each group, the latest booked first. */
export async function courseGroups({ db, today }: Context): Promise<CourseGroup[]> {
  const { before, after } = groupDays;
  const sessions = (await sessionsBetween(db, daysLater(today, -before), daysLater(today, after))).reverse();
  const ids = sessions.map(({ id }) => id);
  const [playersOf, squad, contents] = await Promise.all([
    playersOfSessions(db, ids),
    listPlayers(db),
    bookContents(db),
  ]);
  const book = makeBook(contents);
  const places = await placesOf(
    db,
    squad.map((player) => player.id),
  );
  const furthestOf = (here: ReadonlySet<string>) => {
    const furthest: Record<string, number> = {};
    for (const { playerId, drillId, stepId } of places) {
      const at = book.drill(drillId)?.steps.findIndex((step) => step.id === stepId) ?? -1;
      if (here.has(playerId)) furthest[drillId] = Math.max(furthest[drillId] ?? 0, at);
    }
    return furthest;
  };
  const seen = new Set<string>();
  return sessions.flatMap(({ id, title, day, startTime }) => {
    const players = (playersOf.get(id) ?? []).flatMap(
      (one) => squad.find((player) => player.id === one) ?? [],
    );
    const key = players
      .map((player) => player.id)
      .sort()
      .join();
    if (players.length === 0 || seen.has(key)) return [];
    seen.add(key);
    return [
      {
        id,
        title,
        day,
        startTime,
        names: players.map(({ name }) => name),
        furthest: furthestOf(new Set(players.map((player) => player.id))),
      },
    ];
  });
}
