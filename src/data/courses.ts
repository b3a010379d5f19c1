import { and, asc, desc, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { Executor } from './database';
import { idList, jsonRows } from './json-rows';
import { course, courseChange, courseSession, session } from './schema';

export type CourseRow = typeof course.$inferSelect;
export type CourseSessionRow = typeof courseSession.$inferSelect;
export type CourseChangeRow = typeof courseChange.$inferSelect;

export async function insertCourse(
  db: Executor,
  row: typeof course.$inferInsert,
  sessions: readonly CourseSessionRow[],
): Promise<void> {
  await db.insert(course).values(row);
  await db.insert(courseSession).values([...sessions]);
}

export async function getCourse(db: Executor, id: string): Promise<CourseRow | undefined> {
  return (await db.select().from(course).where(eq(course.id, id)))[0];
}

/** Courses that are on the list, the newest first. */
export async function listCourses(db: Executor): Promise<CourseRow[]> {
  return db
    .select()
    .from(course)
    .where(isNull(course.removedAtMs))
    .orderBy(desc(course.createdAtMs))
    .limit(100);
}

export async function setCourseRemoved(db: Executor, id: string, removedAtMs: number | null): Promise<void> {
  await db.update(course).set({ removedAtMs }).where(eq(course.id, id));
}

/** The sessions of courses, by day and hour; those taken off the list are left out. */
export async function sessionsOfCourses(
  db: Executor,
  ids: readonly string[],
): Promise<(CourseSessionRow & { day: string; title: string; startTime: string; state: string })[]> {
  if (ids.length === 0) return [];
  const rows = await db
    .select({
      own: courseSession,
      of: { day: session.day, title: session.title, startTime: session.startTime, state: session.state },
    })
    .from(courseSession)
    .innerJoin(session, eq(session.id, courseSession.sessionId))
    .where(and(inArray(courseSession.courseId, [...ids]), isNull(session.removedAtMs)))
    .orderBy(asc(session.day), asc(session.startTime));
  return rows.map(({ own, of }) => ({ ...own, ...of }));
}

/** The courses a session belongs to that are on the list. */
export async function coursesOfSession(db: Executor, sessionId: string): Promise<CourseRow[]> {
  const rows = await db
    .select({ course })
    .from(courseSession)
    .innerJoin(course, eq(course.id, courseSession.courseId))
    .where(and(eq(courseSession.sessionId, sessionId), isNull(course.removedAtMs)));
  return rows.map((row) => row.course);
}

export async function putRungs(
  db: Executor,
  courseId: string,
  sessionId: string,
  changes: Pick<CourseSessionRow, 'rungs' | 'noteId'>,
): Promise<void> {
  await db
    .update(courseSession)
    .set(changes)
    .where(and(eq(courseSession.courseId, courseId), eq(courseSession.sessionId, sessionId)));
}

export async function insertCourseChange(db: Executor, row: CourseChangeRow): Promise<void> {
  await db.insert(courseChange).values(row);
}

/** What was planned anew in a course, the newest first. */
export async function courseChanges(db: Executor, id: string): Promise<CourseChangeRow[]> {
  return db
    .select()
    .from(courseChange)
    .where(eq(courseChange.courseId, id))
    .orderBy(desc(courseChange.atMs))
    .limit(50);
}

/** The best and the least result of a player on a step of a drill in a session; nothing eased. */
export type ShownRow = [sessionId: string, playerId: string, stepId: string, most: number, least: number];

export async function shownIn(
  db: Executor,
  sessionIds: readonly string[],
  drillId: string,
): Promise<ShownRow[]> {
  if (sessionIds.length === 0) return [];
  return jsonRows<ShownRow>(
    db,
    sql`session_id, player_id, step_id, most, least`,
    sql`select b.session_id, a.player_id, a.step_id, max(a.result) as most, min(a.result) as least
        from attempt a join block b on b.id = a.block_id
        where b.session_id in (${idList(sessionIds)}) and a.drill_id = ${drillId} and a.result is not null
          and a.eased = 0 and a.other_hand = 0
        group by b.session_id, a.player_id, a.step_id`,
  );
}
