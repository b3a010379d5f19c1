import { setImmediate as turn } from 'node:timers/promises';
import { shortDay } from '@/core/base/day-words';
import { done, refused, type Outcome } from '@/core/base/outcome';
import { getCourse, insertCourse, setCourseRemoved, type CourseSessionRow } from '@/data/courses';
import { insertNote } from '@/data/notes';
import { getPlace } from '@/data/places';
import { getSession, insertSession, playersOfSessions, setSessionPlayers } from '@/data/session';
import { write } from '@/data/write';
import { courseSchema } from '@/schemas/course';
import { check } from '@/schemas/check';
import { rungsIn } from '@/session/plan/course/paths';
import { courseSession, homeChallenge, type Rungs } from '@/session/plan/course/plan';
import type { PlanBlock } from '@/session/base/plan';
import { signatureOf } from '@/server/base/actor';
import type { Context } from '@/server/base/context';
import { refreshAttempts } from '@/server/court/results';
import { putPlan } from '../put-plan';
import { unknownSession } from '../sessions';
import { childFacts } from '@/server/readers/child-facts';
import { courseGround, pathsOn } from './paths';
import { settingsOn } from '@/server/readers/build-ground';

export const unknownCourse = refused(
  'course',
  'This course is not on record (any more): go back to the courses.',
);

/**
 * Makes a course: books its days for the group of a session, at the same hour and place, and plans each of them: a retest
 * of the one before, the goal's drill a rung on, what the children need besides, and a challenge for home.
 */
export async function makeCourse(context: Context, input: unknown): Promise<Outcome<{ id: string }>> {
  const checked = check(courseSchema, input);
  if (!checked.ok) return checked;
  const { title, drillId, stepId, fromId, days: chosen } = checked.value;
  const { db } = context;
  const days = [...chosen].sort();
  if (days[0]! < context.today)
    return refused('days', `Days: ${shortDay(days[0]!)} is past; begin today or later.`);
  await refreshAttempts(db);
  const from = await getSession(db, fromId);
  if (!from || from.removedAtMs !== null) return unknownSession;
  const listed = (await playersOfSessions(db, [fromId])).get(fromId) ?? [];
  const ground = await courseGround(db, context, from.coach, listed);
  const { book, players } = ground;
  if (players.length === 0)
    return refused('fromId', 'Group: nobody of that session is on the squad any more; choose another.');
  const goal = { drillId, stepId };
  if (!book.step(drillId, stepId))
    return refused('stepId', 'Goal: this step is not on the list (any more); choose another.');
  const place = from.placeId === null ? undefined : await getPlace(db, from.placeId);
  const placeId = place?.removedAtMs === null ? place.id : null;
  const { bookedMin, startTime, coach, placeName } = from;
  const ids = players.map(({ id }) => id);
  const [facts, settingOn] = await Promise.all([
    childFacts(context, ids),
    settingsOn(db, ground, { bookedMin, startTime, placeId }, days),
  ]);
  const paths = await pathsOn(db, context, ground, goal, days);
  if (paths.every(({ steps }) => steps.length === 0))
    return refused('stepId', 'Goal: everybody stands beyond this step already; choose a later one.');

  const planned: { rungs: Rungs; blocks: PlanBlock[]; home: string }[] = [];
  for (const index of days.keys()) {
    const before = planned.at(-1);
    const rungs = rungsIn(paths, index, goal);
    const last = before && { rungs: before.rungs, drillIds: before.blocks.map((block) => block.drillId) };
    const blocks = await courseSession(
      settingOn(days[index]!),
      facts,
      ground.standsOn,
      goal,
      rungs,
      last ?? null,
      context.newId,
    );
    const next = days[index + 1];
    planned.push({ rungs, blocks, home: homeChallenge(book, goal, rungs, next ? shortDay(next) : null) });
    // Others are served between two sessions: each takes a moment to build.
    await turn();
  }

  const by = signatureOf(context);
  return write(db, async (tx) => {
    const id = context.newId();
    const rows: CourseSessionRow[] = [];
    for (const [index, { rungs, blocks, home }] of planned.entries()) {
      const sessionId = context.newId();
      const day = days[index]!;
      await insertSession(
        tx,
        sessionId,
        {
          title: `${title}, ${index + 1} of ${days.length}`.slice(0, 80),
          day,
          startTime,
          bookedMin,
          coach,
          placeName,
          placeId,
          airC: null,
        },
        context.nowMs,
      );
      await setSessionPlayers(tx, sessionId, ids);
      await putPlan(tx, book, sessionId, ids, blocks);
      const noteId = context.newId();
      const about = { sessionId, blockId: null, playerId: null, question: null };
      await insertNote(tx, { id: noteId, ...about, text: home, atMs: context.nowMs, by });
      rows.push({ courseId: id, sessionId, rungs: JSON.stringify(rungs), noteId });
    }
    await insertCourse(tx, { id, title, drillId, stepId, createdAtMs: context.nowMs, by }, rows);
    return done({ id });
  });
}

/** Takes a course off the list, or puts it back; its sessions stay as they are. */
export async function removeCourse(context: Context, id: string, removed: boolean): Promise<Outcome<null>> {
  return write(context.db, async (tx) => {
    if (!(await getCourse(tx, id))) return unknownCourse;
    await setCourseRemoved(tx, id, removed ? context.nowMs : null);
    return done(null);
  });
}
