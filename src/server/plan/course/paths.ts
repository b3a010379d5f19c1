import { evidenceOn } from '@/data/results';
import { playersOfSessions } from '@/data/session';
import type { Executor } from '@/data/database';
import type { Book } from '@/drills';
import { ageBandOf } from '@/drills/base/age-band';
import { coursePaths, type ChildPath, type CourseGoal } from '@/session/plan/course/paths';
import type { Skill } from '@/session/skill/judging';
import type { Context } from '@/server/base/context';
import { recentSince } from '@/server/base/days';
import { buildGround, type BuildGround } from '@/server/readers/build-ground';
import { judgedStep } from '@/server/readers/judged';
import { skillUntil } from '@/server/readers/skill';

/** What a course is planned from: what sessions are built from, and how good the children are. */
export interface CourseGround extends BuildGround {
  readonly skill: Skill;
}

export async function courseGround(
  db: Executor,
  { today }: Pick<Context, 'today'>,
  coach: string,
  playerIds: readonly string[],
): Promise<CourseGround> {
  const [ground, skill] = await Promise.all([
    buildGround(db, today, coach, playerIds),
    skillUntil(db, today),
  ]);
  return { ...ground, skill };
}

/** "Palm-up bounce: Twenty in a row" */
export const goalInWords = (book: Book, { drillId, stepId }: CourseGoal): string =>
  [book.drill(drillId)?.title, book.step(drillId, stepId)?.title].filter(Boolean).join(': ');

/** Everybody who is in one of some sessions, in the order they are first met. */
export async function playersIn(
  db: Executor,
  sessions: readonly { readonly sessionId: string }[],
): Promise<string[]> {
  const ids = sessions.map(({ sessionId }) => sessionId);
  const playersOf = await playersOfSessions(db, ids);
  return [...new Set(ids.flatMap((id) => playersOf.get(id) ?? []))];
}

/** How far everybody will probably come, with the days on which they have reached the mark they stand before. */
export async function pathsOn(
  db: Executor,
  { today }: Pick<Context, 'today'>,
  { book, skill, players, standsOn }: CourseGround,
  goal: CourseGoal,
  days: readonly string[],
): Promise<ChildPath[]> {
  const stands = standsOn(goal.drillId);
  const judged = players.flatMap((player) => {
    const drill = book.drill(goal.drillId, player.id);
    const step = drill?.steps.find(({ id }) => id === stands(player.id)) ?? drill?.steps[0];
    if (!drill || !step) return [];
    return [
      judgedStep(book, player.id, player, {
        drill,
        step,
        dose: step.doses[ageBandOf(player.age)],
        out: false,
      }),
    ];
  });
  const evidence = await evidenceOn(db, judged, { id: '', day: today }, recentSince(today));
  const reached = new Map(evidence.map(({ key, reachedDays }) => [key, reachedDays]));
  return coursePaths(book, skill, players, stands, goal, days, (id) => reached.get(id) ?? 0);
}
