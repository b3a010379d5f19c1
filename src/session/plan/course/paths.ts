import { dayNumber } from '@/core/base/days';
import { pathOf, type Path, type Rung, type Stands } from '@/core/plan/course/way-up';
import { seedOf } from '@/core/base/fingerprint';
import { seededRandom } from '@/core/base/random';
import { assumptions, kinds, type Kind } from '@/core/skill/level/assumptions';
import { waysOn } from '@/core/skill/level/ways';
import type { Book } from '@/drills/book';
import { ageBandOf } from '@/drills/base/age-band';
import type { Step } from '@/drills/base/types';
import { goalsOf } from '@/session/base/goals';
import { attemptsADay, doneOn, levelOn, waysOf, type Skill } from '@/session/skill/judging';
import { goalOf, usualLevel } from '@/session/skill/levels';
import type { PlanPlayer } from '@/session/base/plan';

/** What a course leads to: everybody passes this step of this ladder. */
export interface CourseGoal {
  readonly drillId: string;
  readonly stepId: string;
}

/** One child's way through a course: the steps from where they stand to the goal, and how far they will probably come. */
export interface ChildPath extends Path {
  readonly playerId: string;
  /** The first is the one they stand on. Empty where they stand beyond the goal already. */
  readonly steps: readonly Step[];
}

/** How much of what sets a child apart on the steps of a ladder they have done is taken to hold for the next one. Ours. */
const theirs = 0.56;

/**
 * How far each child will probably come in the sessions of a course.
 * @param standsOn the step a child stands on; undefined for the first of the ladder
 * @param days local ISO, of the sessions still to come, in order
 * @param reachedDays on how many days a child has reached the mark of the step they stand on, as their progress has it
 */
export function coursePaths(
  book: Book,
  skill: Skill,
  players: readonly PlanPlayer[],
  standsOn: (playerId: string) => string | undefined,
  goal: CourseGoal,
  days: readonly string[],
  reachedDays: (playerId: string) => number = () => 0,
): ChildPath[] {
  return players.map((player) => {
    const ladder = book.drill(goal.drillId, player.id)?.steps ?? [];
    const to = ladder.findIndex((step) => step.id === goal.stepId);
    const from = Math.max(
      0,
      ladder.findIndex((step) => step.id === standsOn(player.id)),
    );
    const steps = ladder.slice(from, to + 1);
    const rungs = steps
      .map((step) => rungOf(skill, player, goal.drillId, ladder, step, days[0]))
      .map((rung, at) =>
        at === 0 ? { ...rung, days: Math.max(1, rung.days - reachedDays(player.id)) } : rung,
      );
    const seed = seededRandom(seedOf(`${player.id} ${goal.drillId} ${goal.stepId}`));
    return { playerId: player.id, steps, ...pathOf(rungs, days.map(dayNumber), seed) };
  });
}

function rungOf(
  skill: Skill,
  { id, age }: PlanPlayer,
  drillId: string,
  ladder: readonly Step[],
  step: Step,
  firstDay: string | undefined,
): Rung {
  const dose = step.doses[ageBandOf(age)];
  const goals = goalsOf({ step, dose }, age);
  const kind = kinds[step.measure];
  const level = levelOn(skill, id, drillId, step.id);
  return {
    goal: goalOf(step, goals.dose, goals.mark),
    attempts: attemptsADay(goals.dose, doneOn(skill, id, drillId, step.id)),
    days: Math.max(1, goals.mark.days),
    ways: level
      ? waysOf(level)
      : waysOn(
          kind,
          {
            mean: usualLevel(step) + theirs * offOn(skill, id, drillId, ladder, kind),
            variance: assumptions[kind].apart ** 2,
          },
          [],
        ),
    fromDay: level?.dated.at(-1)?.day ?? (firstDay === undefined ? 0 : dayNumber(firstDay)),
  };
}

/** How far a child lies from what is usual on the steps of a ladder they have done, on the scale of their kind. */
function offOn(skill: Skill, playerId: string, drillId: string, ladder: readonly Step[], kind: Kind): number {
  const off = ladder.flatMap((step) => {
    const last = levelOn(skill, playerId, drillId, step.id)?.followed.after.at(-1);
    return last && kinds[step.measure] === kind ? [last.level - usualLevel(step)] : [];
  });
  return off.length === 0 ? 0 : off.reduce((sum, one) => sum + one, 0) / off.length;
}

/** The step a place on a path means; the goal itself where it is passed. Undefined where nothing is left to climb. */
export const stepAt = ({ steps }: Pick<ChildPath, 'steps'>, at: number): Step | undefined =>
  steps[Math.min(at, steps.length - 1)];

/** The step each child is planned on in the session with that number: where half of what may happen has them by then. */
export function rungsIn(
  paths: readonly ChildPath[],
  index: number,
  goal: CourseGoal,
): Record<string, string> {
  return Object.fromEntries(
    paths.map((path) => [path.playerId, stepAt(path, path.before[index]?.middle ?? 0)?.id ?? goal.stepId]),
  );
}

/** "step 3", "step 3 to 5", "goal passed", by the numbers of the ladder. */
export function standsInWords(path: ChildPath, stands: Stands, ladder: readonly Step[]): string {
  const number = (at: number) => {
    const step = path.steps[at];
    return step ? String(ladder.findIndex(({ id }) => id === step.id) + 1) : 'passed';
  };
  const [low, high] = [number(stands.low), number(stands.high)];
  return low === high ? low : `${low} to ${high}`;
}
