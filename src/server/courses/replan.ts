import { isDeepStrictEqual } from 'node:util';
import { shortDay } from '@/core/day-words';
import { done, type Outcome } from '@/core/outcome';
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
import { write } from '@/data/write';
import { movesIn, movesInWords, type Replanned } from '@/session/course/change';
import { rungsIn } from '@/session/course/paths';
import { courseBlocks, homeChallenge, moveTo, type Rungs } from '@/session/course/plan';
import { fitToBooking } from '@/session/fit-time';
import type { PlanBlock } from '@/session/plan';
import { signatureOf } from '../actor';
import type { Context } from '../context';
import { refreshAttempts } from '../log/results';
import { plannedBlocks, runBlocks } from '../readers/blocks';
import { putPlan } from '../sessions/put-plan';
import { unknownCourse } from './courses';
import { courseGround, pathsOn, playersIn, type CourseGround } from './paths';
import { buildSetting, groundOn } from '../readers/build-ground';

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
  return write(context.db, async (tx) => {
    const course = await getCourse(tx, id);
    if (!course || course.removedAtMs !== null) return unknownCourse;
    const all = await sessionsOfCourses(tx, [id]);
    const left = all.filter(({ state, day }) => state === 'planned' && day >= context.today);
    if (left.length === 0) return done({ text: '' });
    const first = (await getSession(tx, left[0]!.sessionId))!;
    const ground = await courseGround(tx, context, first.coach, await playersIn(tx, left));
    const paths = await pathsOn(
      tx,
      context,
      ground,
      course,
      left.map(({ day }) => day),
    );
    const planned = await plannedBlocks(
      tx,
      left.map(({ sessionId }) => sessionId),
    );
    const replanned: Replanned[] = [];
    let before = await beforeFirst(tx, course, all, left[0]!);
    for (const [index, one] of left.entries()) {
      const written = JSON.parse(one.rungs) as Rungs;
      const next = left[index + 1]?.day ?? null;
      const blocks = planned.filter(({ sessionId }) => sessionId === one.sessionId);
      const wanted = rungsIn(paths, index, course);
      const after = await putSession(
        tx,
        context,
        { course, ground },
        one,
        blocks,
        { written, wanted, before },
        next,
      );
      replanned.push({ day: one.day, before: written, after });
      before = { written, after };
    }
    const moves = movesIn(
      replanned,
      ground.players.map((player) => player.id),
    );
    if (moves.length > 0)
      await insertCourseChange(tx, {
        id: context.newId(),
        ...{ courseId: id, sessionId: afterId, moves: JSON.stringify(moves), atMs: context.nowMs },
      });
    return done({ text: movesInWords(ground.book, course, moves, ground.players) });
  });
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

/** Plans one session again; says where everybody is in it then. A plan in which nobody moves is not touched. */
async function putSession(
  tx: Executor,
  context: Context,
  { course, ground }: { readonly course: CourseRow; readonly ground: CourseGround },
  { sessionId, noteId }: { readonly sessionId: string; readonly noteId: string | null },
  blocks: readonly PlanBlock[],
  { written, wanted, before }: Asked,
  nextDay: string | null,
): Promise<Rungs> {
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
    await putPlan(tx, ground.book, sessionId, ids, fit.blocks);
    await updateSession(tx, sessionId, { revision: session.revision + 1 });
  }
  if (isDeepStrictEqual(written, after)) return after;
  const home = homeChallenge(ground.book, course, after, nextDay === null ? null : shortDay(nextDay));
  if (noteId) await setNoteRemoved(tx, noteId, context.nowMs);
  const kept = home === '' ? null : context.newId();
  const about = { sessionId, blockId: null, playerId: null, question: null };
  if (kept)
    await insertNote(tx, { id: kept, ...about, text: home, atMs: context.nowMs, by: signatureOf(context) });
  await putRungs(tx, course.id, sessionId, { rungs: JSON.stringify(after), noteId: kept });
  return after;
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
