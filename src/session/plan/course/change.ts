import { shortDay } from '@/core/base/day-words';
import { percent } from '@/core/base/words';
import type { Book } from '@/drills/book';
import type { CourseGoal } from './paths';
import type { Rungs } from './plan';

/** A session of a course to come: when it is, and where everybody was and is planned. */
export interface Replanned {
  readonly day: string;
  readonly before: Rungs;
  readonly after: Rungs;
}

/** A child who is planned on another step than before: from which day on, and which instead of which. */
export interface Move {
  readonly playerId: string;
  readonly day: string;
  readonly before: string;
  readonly after: string;
}

/** Who is planned otherwise than before, each from the first session that changes for them. */
export function movesIn(sessions: readonly Replanned[], playerIds: readonly string[]): Move[] {
  return playerIds.flatMap((playerId) => {
    const first = sessions.find(({ before, after }) => before[playerId] !== after[playerId]);
    const [before, after] = [first?.before[playerId], first?.after[playerId]];
    return first && before && after ? [{ playerId, day: first.day, before, after }] : [];
  });
}

interface Child {
  readonly id: string;
  readonly name: string;
}

/** Moves child by child, in words; empty where there are none. Who is not known (any more) is left out. */
export function movesInWords(
  book: Book,
  goal: CourseGoal,
  moves: readonly Move[],
  children: readonly Child[],
): string {
  const drill = book.drill(goal.drillId);
  const at = (id: string) => drill?.steps.findIndex((step) => step.id === id) ?? -1;
  const title = (id: string) => drill?.steps[at(id)]?.title ?? 'a step of before';
  return moves
    .flatMap(({ playerId, day, before, after }) => {
      const child = children.find(({ id }) => id === playerId);
      if (!child) return [];
      const how = at(after) > at(before) ? 'is further on' : 'takes more time';
      return [`${child.name} ${how}: “${title(after)}” on ${shortDay(day)} instead of “${title(before)}”.`];
    })
    .join(' ');
}

/** "72 % to pass by the end", in words that say how sure that is. */
export const chanceInWords = (reached: number): string =>
  reached >= 0.995
    ? 'nearly sure to pass by the end'
    : reached <= 0.005
      ? 'hardly by the end'
      : `${percent(reached)} to pass by the end`;
