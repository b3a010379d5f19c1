import { setImmediate as turn } from 'node:timers/promises';
import { isDeepStrictEqual } from 'node:util';
import { shortDay } from '@/core/base/day-words';
import { done, type Outcome } from '@/core/base/outcome';
import {
  coursesOfSession,
  getCourse,
  insertCourseChange,
  putRungs,
  sessionsOfCourses,
  type CourseRow,
} from '@/data/courses';
import type { Executor } from '@/data/database';
import { insertNote, setNoteRemoved } from '@/data/notes';
import { blocksByIds, getSession, playersOfSessions, updateSession } from '@/data/session';
import { placesOf } from '@/data/squad';
import { movesIn, movesInWords, type Replanned } from '@/session/plan/course/change';
import { rungsIn } from '@/session/plan/course/paths';
import { courseBlocks, homeChallenge, moveTo, type Rungs } from '@/session/plan/course/plan';
import { fitToBooking } from '@/session/plan/fit-time';
import type { PlanBlock } from '@/session/base/plan';
import { signatureOf } from '@/server/base/actor';
import { workedOut } from '@/server/base/worked-out';
import type { Context } from '@/server/base/context';
import { refreshAttempts } from '@/server/court/results';
import { plannedBlocks, runBlocks } from '@/server/readers/blocks';
import { putPlan } from '../put-plan';
import { unknownCourse } from './courses';
import { courseGround, pathsOn, playersIn, type CourseGround } from './paths';
import { buildSetting, groundOn } from '@/server/readers/build-ground';

/**
 * Plans what is left of a course again, from where everybody stands now: the rung of each session to come, its retest and
 * its challenge for home. Where a coach has put somebody elsewhere by hand, that stays; what else is in the plans stays
 * too. What changed is written down in words.
 * @param afterId the session it is planned again after; null where the coach asks for it
 * @returns what changed, empty where nothing did
 */
export async function replanCourse(
  context: Context,
  id: string,
  afterId: string | null = null,
): Promise<Outcome<{ text: string }>> {
  await refreshAttempts(context.db);
  return workedOut(context.db, {
    basis: (db) => basisOf(db, id),
    plan: (db) => replanned(context, db, id, afterId),
    put: async (tx, { text, puts }) => {
      for (const put of puts) await put(tx);
      return done({ text });
    },
  });
}

type Put = (tx: Executor) => Promise<unknown>;

/** What a course is planned again from: its plans, who comes, and where everybody stands. */
async function basisOf(db: Executor, id: string): Promise<string> {
  const [course, all] = await Promise.all([getCourse(db, id), sessionsOfCourses(db, [id])]);
  const ids = all.map(({ sessionId }) => sessionId);
  const playersOf = await playersOfSessions(db, ids);
  const [sessions, places] = await Promise.all([
    Promise.all(ids.map((one) => getSession(db, one))),
    placesOf(db, [...new Set([...playersOf.values()].flat())]),
  ]);
  return JSON.stringify([
    course,
    all,
    [...playersOf],
    sessions.map((one) => [one?.revision, one?.day]),
    places,
  ]);
}

/** What is left of a course planned again: what changes, in words and as what is to be written. */
async function replanned(
  context: Context,
  db: Executor,
  id: string,
  afterId: string | null,
): Promise<Outcome<{ readonly text: string; readonly puts: readonly Put[] }>> {
  const course = await getCourse(db, id);
  if (!course || course.removedAtMs !== null) return unknownCourse;
  const all = await sessionsOfCourses(db, [id]);
  const left = all.filter(({ state, day }) => state === 'planned' && day >= context.today);
  if (left.length === 0) return done({ text: '', puts: [] });
  const first = (await getSession(db, left[0]!.sessionId))!;
  const ground = await courseGround(db, context, first.coach, await playersIn(db, left));
  const days = left.map(({ day }) => day);
  const paths = await pathsOn(db, context, ground, course, days);
  const planned = await plannedBlocks(
    db,
    left.map(({ sessionId }) => sessionId),
  );
  const steps: Replanned[] = [];
  const puts: Put[] = [];
  let before = await beforeFirst(db, course, all, left[0]!);
  for (const [index, one] of left.entries()) {
    const written = JSON.parse(one.rungs) as Rungs;
    const blocks = planned.filter(({ sessionId }) => sessionId === one.sessionId);
    const asked = { written, wanted: rungsIn(paths, index, course), before };
    const session = await sessionAgain(
      db,
      context,
      { course, ground },
      one,
      blocks,
      asked,
      days[index + 1] ?? null,
    );
    puts.push(...session.puts);
    steps.push({ day: one.day, before: written, after: session.after });
    before = { written, after: session.after };
    // Counts are stored between two sessions.
    await turn();
  }
  const ids = ground.players.map((player) => player.id);
  const moves = movesIn(steps, ids);
  if (moves.length > 0)
    puts.push((tx) =>
      insertCourseChange(tx, {
        id: context.newId(),
        courseId: id,
        sessionId: afterId,
        moves: JSON.stringify(moves),
        atMs: context.nowMs,
      }),
    );
  return done({ text: movesInWords(ground.book, course, moves, ground.players), puts });
}

/** Where the course had everybody in a session, and where they are now. */
interface Before {
  readonly written: Rungs;
  readonly after: Rungs;
}

/** What the first session to come retests: what was really worked on in the last that was held. Null where none comes before. */
async function beforeFirst(
  tx: Executor,
  course: CourseRow,
  all: Awaited<ReturnType<typeof sessionsOfCourses>>,
  first: { readonly sessionId: string },
): Promise<Before | null> {
  const earlier = all.slice(
    0,
    all.findIndex(({ sessionId }) => sessionId === first.sessionId),
  );
  const last = earlier.at(-1);
  if (!last) return null;
  const written = JSON.parse(last.rungs) as Rungs;
  const held = earlier.findLast(({ state }) => state !== 'planned');
  if (!held) return { written, after: written };
  const { work } = courseBlocks(await runBlocks(tx, [held.sessionId]), course);
  const done =
    work?.own.flatMap(({ playerId, stepId, out }) => (out ? [] : [[playerId, stepId] as const])) ?? [];
  return { written, after: { ...(JSON.parse(held.rungs) as Rungs), ...Object.fromEntries(done) } };
}

interface Asked {
  readonly written: Rungs;
  readonly wanted: Rungs;
  readonly before: Before | null;
}

/** One session planned again: where everybody is in it then, and what is to be written. A plan in which nobody moves is not touched. */
async function sessionAgain(
  tx: Executor,
  context: Context,
  { course, ground }: { readonly course: CourseRow; readonly ground: CourseGround },
  { sessionId, noteId }: { readonly sessionId: string; readonly noteId: string | null },
  blocks: readonly PlanBlock[],
  { written, wanted, before }: Asked,
  nextDay: string | null,
): Promise<{ readonly after: Rungs; readonly puts: readonly Put[] }> {
  const puts: Put[] = [];
  const session = (await getSession(tx, sessionId))!;
  const ids = (await playersOfSessions(tx, [sessionId])).get(sessionId) ?? [];
  const players = groundOn(ground, session.day).players.filter(({ id }) => ids.includes(id));
  const { retest, work } = courseBlocks(blocks, course);
  const moved = work && moveTo(ground.book, work, written, wanted, players);
  const again = retest && before && moveTo(ground.book, retest, before.written, before.after, players).block;
  const after = moved?.rungs ?? written;
  const next = blocks.map((block) =>
    block === work ? moved!.block : block === retest && again ? again : block,
  );
  if (next.some((block, index) => block !== blocks[index])) {
    const setting = await buildSetting(tx, ground, session);
    const here = setting.players.filter(({ id }) => ids.includes(id));
    const others = new Set(blocks.filter((block) => block !== work && block !== retest).map(({ id }) => id));
    const fit = fitToBooking({ ...setting, players: here }, next, session.bookedMin * 60, 'alike', others);
    puts.push(async (to) => {
      await putPlan(to, ground.book, sessionId, ids, fit.blocks);
      await updateSession(to, sessionId, { revision: session.revision + 1 });
    });
  }
  if (isDeepStrictEqual(written, after)) return { after, puts };
  const home = homeChallenge(ground.book, course, after, nextDay === null ? null : shortDay(nextDay));
  puts.push(async (to) => {
    if (noteId) await setNoteRemoved(to, noteId, context.nowMs);
    const kept = home === '' ? null : context.newId();
    const about = { sessionId, blockId: null, playerId: null, question: null };
    if (kept)
      await insertNote(to, { id: kept, ...about, text: home, atMs: context.nowMs, by: signatureOf(context) });
    await putRungs(to, course.id, sessionId, { rungs: JSON.stringify(after), noteId: kept });
  });
  return { after, puts };
}

/** What is left of the courses some sessions belong to is planned again after what was done, where that was done. */
export async function followedBy<T>(
  context: Context,
  outcome: Outcome<T>,
  sessionIds: readonly string[],
): Promise<Outcome<T>> {
  if (!outcome.ok) return outcome;
  for (const sessionId of sessionIds)
    for (const { id } of await coursesOfSession(context.db, sessionId))
      await replanCourse(context, id, sessionId);
  return outcome;
}

/** The sessions some decisions are about; what is no decision of ours is about none. */
export async function sessionsDecided({ db }: Context, decisions: unknown): Promise<string[]> {
  const ids = Array.isArray(decisions)
    ? decisions.flatMap((one: unknown) => {
        const blockId = (one as { blockId?: unknown } | null)?.blockId;
        return typeof blockId === 'string' ? [blockId] : [];
      })
    : [];
  return [...new Set((await blocksByIds(db, ids)).map(({ sessionId }) => sessionId))];
}
