import { measures, numberInWords } from '@/core/counting/measure';
import { courseChanges, getCourse, sessionsOfCourses, shownIn, type ShownRow } from '@/data/courses';
import { getSession } from '@/data/session';
import type { Step } from '@/drills/base/types';
import { chanceInWords, movesInWords, type Move } from '@/session/plan/course/change';
import { standsInWords } from '@/session/plan/course/paths';
import { courseBlocks } from '@/session/plan/course/plan';
import { workOf } from '@/session/base/plan';
import type { Context } from '../base/context';
import { courseGround, goalInWords, pathsOn, playersIn } from '../plan/course/paths';
import { resultsReady } from '../court/results';
import { runBlocks } from '../readers/blocks';
import { sessionNotes } from '../readers/notes';

/** One child in one session of a course. */
export interface CourseCell {
  /** Held with or without something shown, or to come. */
  readonly state: 'held' | 'planned';
  /** The step they are planned on, or worked on, as the plan has it: its number from 1; null where they sit it out. */
  readonly step: number | null;
  readonly title: string;
  readonly task: string;
  /** Of a session to come: where they will probably stand when it begins, "3" or "3 to 4"; of a held one what was shown. */
  readonly words: string;
}

export interface CourseChild {
  readonly id: string;
  readonly name: string;
  /** The number of the step they stand on now, from 1. */
  readonly stands: number;
  readonly cells: readonly CourseCell[];
  /** Where they will probably stand after the last session. */
  readonly end: string;
  readonly chance: string;
}

export interface CourseSession {
  readonly id: string;
  readonly day: string;
  readonly startTime: string;
  readonly state: 'held' | 'planned';
  /** What is asked for at home afterwards; empty where nothing is. */
  readonly home: string;
}

export interface CourseView {
  readonly id: string;
  readonly title: string;
  readonly removed: boolean;
  readonly drill: string;
  readonly drillId: string;
  /** The ladder up to the goal, in order. */
  readonly ladder: readonly { readonly title: string; readonly task: string }[];
  readonly goal: string;
  readonly placeName: string;
  readonly sessions: readonly CourseSession[];
  readonly children: readonly CourseChild[];
  readonly changes: readonly { readonly text: string; readonly atMs: number; readonly day: string | null }[];
  readonly today: string;
}

/** A course: who will stand where, as a range, what was shown, and what was planned anew. */
export async function courseView(context: Context, id: string): Promise<CourseView | null> {
  const { db, today } = context;
  const course = await getCourse(db, id);
  if (!course) return null;
  await resultsReady(db);
  const [sessions, changes] = await Promise.all([sessionsOfCourses(db, [id]), courseChanges(db, id)]);
  const first = sessions[0] && (await getSession(db, sessions[0].sessionId));
  const playerIds = await playersIn(db, sessions);
  const ground = await courseGround(db, context, first?.coach ?? '', playerIds);
  const { book, players, standsOn } = ground;
  const drill = book.drill(course.drillId);
  const to = drill?.steps.findIndex((step) => step.id === course.stepId) ?? -1;
  const isLeft = ({ state, day }: (typeof sessions)[number]) => state === 'planned' && day >= today;
  const left = sessions.filter(isLeft);
  const paths = await pathsOn(
    db,
    context,
    ground,
    course,
    left.map(({ day }) => day),
  );
  const ids = sessions.map(({ sessionId }) => sessionId);
  const [shown, blocks, notes] = await Promise.all([
    shownIn(
      db,
      sessions.filter((one) => !isLeft(one)).map(({ sessionId }) => sessionId),
      course.drillId,
    ),
    runBlocks(db, ids),
    Promise.all(ids.map((sessionId) => sessionNotes(db, sessionId))),
  ]);
  /** What a child does on the ladder in a session, as its plan or its record has it; undefined where that is nothing. */
  const worksOn = (sessionId: string, playerId: string): Step | undefined => {
    const { work } = courseBlocks(
      blocks.filter((block) => block.sessionId === sessionId),
      course,
    );
    const own = work && workOf(book, work, playerId);
    return own && !own.out ? own.step : undefined;
  };
  const children = players.map<CourseChild>((player) => {
    const ladder = book.drill(course.drillId, player.id)?.steps ?? [];
    const path = paths.find(({ playerId }) => playerId === player.id)!;
    const numberOf = (stepId: string | undefined) => ladder.findIndex((step) => step.id === stepId) + 1;
    const cellOf = (step: Step | undefined) => ({
      step: numberOf(step?.id) || null,
      title: step?.title ?? '',
      task: step?.task ?? '',
    });
    return {
      id: player.id,
      name: player.name,
      stands: Math.max(1, numberOf(standsOn(course.drillId)(player.id))),
      cells: sessions.map<CourseCell>((one) => {
        const step = worksOn(one.sessionId, player.id);
        const at = left.indexOf(one);
        if (at >= 0)
          return { state: 'planned', ...cellOf(step), words: standsInWords(path, path.before[at]!, ladder) };
        const best = bestOf(
          shown.filter(([id, playerId]) => id === one.sessionId && playerId === player.id),
          ladder,
        );
        return { state: 'held', ...cellOf(best?.step ?? step), words: best?.words ?? '–' };
      }),
      end: standsInWords(path, path.end, ladder),
      chance: path.steps.length === 0 ? 'beyond it already' : chanceInWords(path.reached),
    };
  });
  return {
    id,
    title: course.title,
    removed: course.removedAtMs !== null,
    drillId: course.drillId,
    today,
    drill: drill?.title ?? '',
    ladder: (drill?.steps ?? []).slice(0, to + 1).map(({ title, task }) => ({ title, task })),
    goal: goalInWords(book, course),
    placeName: first?.placeName ?? '',
    sessions: sessions.map((one, index) => ({
      id: one.sessionId,
      day: one.day,
      startTime: one.startTime,
      state: isLeft(one) ? ('planned' as const) : ('held' as const),
      home:
        notes[index]!.notes.find((note) => note.id === one.noteId)?.text.replace(/^Home challenge: /, '') ??
        '',
    })),
    children,
    changes: changes.flatMap(({ moves, atMs, sessionId }) => {
      const text = movesInWords(book, course, JSON.parse(moves) as Move[], players);
      const day = sessions.find((one) => one.sessionId === sessionId)?.day ?? null;
      return text === '' ? [] : [{ text, atMs, day }];
    }),
  };
}

/** The best that was shown on the highest step it was shown on. */
function bestOf(
  shown: readonly ShownRow[],
  ladder: readonly Step[],
): { readonly step: Step; readonly words: string } | undefined {
  const step = ladder.findLast(({ id }) => shown.some(([, , stepId]) => stepId === id));
  const row = shown.find(([, , stepId]) => stepId === step?.id);
  if (!step || !row) return undefined;
  const [, , , most, least] = row;
  const best = measures[step.measure].lowerIsBetter ? least : most;
  return { step, words: String(numberInWords(step.measure, best)) };
}
