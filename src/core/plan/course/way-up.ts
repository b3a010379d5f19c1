import { normals, type Random } from '@/core/base/random';
import { chanceOn, goOn, lifeOf, type Life } from '@/core/skill/expect/life';
import type { Goal } from '@/core/skill/expect/mark';
import type { Way } from '@/core/skill/level/ways';

/** A step on the way to the goal, as one child has it. */
export interface Rung {
  readonly goal: Goal;
  /** Attempts at it in a session. */
  readonly attempts: number;
  /** On how many days its mark has to be reached, >= 1. */
  readonly days: number;
  /** What is known of the child's level on it, each way of learning with its share; and as of which day. */
  readonly ways: readonly Way[];
  readonly fromDay: number;
}

/** Where a child will stand, as a range: rungs from 0; as many as there are rungs means that the goal is passed. */
export interface Stands {
  readonly low: number;
  readonly middle: number;
  readonly high: number;
}

export interface Path {
  /** At the beginning of each session. */
  readonly before: readonly Stands[];
  /** After the last one. */
  readonly end: Stands;
  /** Chance that the goal is passed by then. */
  readonly reached: number;
}

/** Lives played to foresee one. Ours: a share is then known to about a fortieth. */
const lives = 400;
/** A range leaves out one life in ten at each end. */
const outside = 0.1;

/**
 * How far a child will probably come: in each session they work on the rung they stand on, and where its mark has been
 * reached on as many days as it asks for they stand one rung higher in the next session: a session adds one rung at most.
 * Levels are drawn as they may be and wander on, as in {@link foresee}; on a rung nobody has seen the child on, from what
 * is believed beforehand.
 * @param rungs from the one the child stands on to the goal; none where the goal is passed
 * @param days of the sessions, counted as the log's days are, in order
 * @param random seeded: the same seed foresees the same
 */
export function pathOf(rungs: readonly Rung[], days: readonly number[], random: Random): Path {
  const draw = normals(random);
  const stood: number[][] = Array.from({ length: days.length + 1 }, () => []);
  for (let life = 0; life < lives; life++) {
    let at = 0;
    const share = (life + 0.5) / lives;
    let here = rungs[0] && begin(rungs[0], days[0] ?? 0, share, draw);
    for (const [index, day] of days.entries()) {
      stood[index]!.push(at);
      const rung = rungs[at];
      if (!rung || !here) continue;
      comeTo(here, rung, day, draw);
      if (random() < chanceOn(here.life, rung.goal, rung.attempts, draw)) here.missing -= 1;
      if (here.missing > 0) continue;
      at += 1;
      const next = rungs[at];
      here = next && begin(next, days[index + 1] ?? day, random(), draw);
    }
    stood[days.length]!.push(at);
  }
  const [end, before] = [stood.at(-1)!, stood.slice(0, -1)];
  return {
    before: before.map(standsIn),
    end: standsIn(end),
    reached: end.filter((at) => at >= rungs.length).length / lives,
  };
}

interface Here {
  readonly life: Life;
  day: number;
  missing: number;
}

/** One life's level on a rung when it is come to, on a day. @param share the place of the life among all, 0 to 1 */
function begin(rung: Rung, day: number, share: number, draw: () => number): Here {
  const here: Here = { life: lifeOf(rung.ways, share, draw), day: rung.fromDay, missing: rung.days };
  comeTo(here, rung, day, draw);
  return here;
}

function comeTo(here: Here, { goal }: Rung, day: number, draw: () => number): void {
  if (day <= here.day) return;
  goOn(here.life, goal.kind, day - here.day, draw);
  here.day = day;
}

function standsIn(all: readonly number[]): Stands {
  const sorted = [...all].sort((a, b) => a - b);
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;
  return { low: at(outside), middle: at(0.5), high: at(1 - outside) };
}
