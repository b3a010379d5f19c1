import { normals, type Random } from '../../random';
import { assumptions, passage, type Kind } from '../../skill/level/assumptions';
import { later, type State } from '../../skill/level/follow';
import { chanceAt, type Goal } from '../../skill/expect/mark';

/** A step on the way to the goal, as one child has it. */
export interface Rung {
  readonly kind: Kind;
  readonly goal: Goal;
  /** Attempts at it in a session. */
  readonly attempts: number;
  /** On how many days its mark has to be reached, >= 1. */
  readonly days: number;
  /** What is known of the child's level on it, and as of which day. */
  readonly state: State;
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
    let here = rungs[0] && begin(rungs[0], days[0] ?? 0, draw);
    for (const [index, day] of days.entries()) {
      stood[index]!.push(at);
      const rung = rungs[at];
      if (!rung || !here) continue;
      if (day > here.day) move(here, rung.kind, day, draw);
      const once = chanceAt(rung.goal, here.level + assumptions[rung.kind].form * draw());
      if (random() < 1 - (1 - once) ** rung.attempts) here.missing -= 1;
      if (here.missing > 0) continue;
      at += 1;
      const next = rungs[at];
      here = next && begin(next, days[index + 1] ?? day, draw);
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
  level: number;
  gain: number;
  day: number;
  missing: number;
}

/** One life's level on a rung when it is come to, on a day. */
function begin({ kind, state, fromDay, days }: Rung, day: number, draw: () => number): Here {
  const now = day > fromDay ? later(state, day - fromDay, kind) : state;
  const spread = Math.sqrt(now.levelVar);
  const tied = spread > 0 ? now.both / spread : 0;
  const first = draw();
  const rest = Math.sqrt(Math.max(0, now.gainVar - tied ** 2));
  return {
    level: now.level + spread * first,
    gain: now.gain + tied * first + rest * draw(),
    day,
    missing: days,
  };
}

function move(here: Here, kind: Kind, day: number, draw: () => number): void {
  const { fade, reach, loose } = passage(kind, day - here.day);
  here.level += reach * here.gain + Math.sqrt(loose) * draw();
  here.gain *= fade;
  here.day = day;
}

function standsIn(all: readonly number[]): Stands {
  const sorted = [...all].sort((a, b) => a - b);
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;
  return { low: at(outside), middle: at(0.5), high: at(1 - outside) };
}
