import { assumptions, passage, type Kind } from '../level/assumptions';
import type { State } from '../level/follow';
import type { Way } from '../level/ways';
import { chanceAt, type Goal } from './mark';

/** One of many lives a level may go on to have. */
export interface Life {
  level: number;
  gain: number;
  /** Of the way it learns ({@link State}). */
  readonly wanders: number;
  readonly scatter: number;
}

/** The way of a life: each has its share of them. @param at the place of the life among all, 0 to 1 */
function wayOf(ways: readonly Way[], at: number): State {
  let sum = 0;
  for (const { share, state } of ways) {
    sum += share;
    if (at < sum) return state;
  }
  return ways.at(-1)!.state;
}

/** A life from now on: its way, and its level and gain as they may be. */
export function lifeOf(ways: readonly Way[], at: number, draw: () => number): Life {
  const { level, gain, levelVar, both, gainVar, wanders, scatter } = wayOf(ways, at);
  const spread = Math.sqrt(levelVar);
  const tied = spread > 0 ? both / spread : 0;
  const rest = Math.sqrt(Math.max(0, gainVar - tied ** 2));
  const first = draw();
  return { level: level + spread * first, gain: gain + tied * first + rest * draw(), wanders, scatter };
}

/** Some days later. */
export function goOn(life: Life, kind: Kind, days: number, draw: () => number): void {
  const { fade, reach, loose } = passage(kind, days);
  life.level += reach * life.gain + Math.sqrt(life.wanders * loose) * draw();
  life.gain *= fade;
}

/** Chance to reach a goal on a day of a life, in one of so many attempts, in the form of that day. */
export function chanceOn(life: Life, goal: Goal, attempts: number, draw: () => number): number {
  const form = Math.sqrt(life.scatter) * assumptions[goal.kind].form * draw();
  return 1 - (1 - chanceAt(goal, life.level + form, life.scatter)) ** attempts;
}
