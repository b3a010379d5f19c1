import { chanceOfSoLittle } from '@/core/skill/change/luck';
import { chanceOf } from '@/core/skill/expect/mark';
import type { Case, Clocked, FailedUp, FourSchools, Odds } from '@/core/skill/four-schools';
import { fourSchools } from '@/core/skill/four-schools';
import { assumptions } from '@/core/skill/level/assumptions';
import { ofTheDay } from '@/core/skill/level/follow';
import { halfWidth, type Gauss } from '@/core/skill/level/scale';
import type { Level } from '@/core/skill/level/squad';
import { waysOn, type Way } from '@/core/skill/level/ways';
import type { Judged, School } from '@/core/skill/next-target';
import { measures } from '@/core/counting/measure';
import { groupBy } from '@/core/base/group-by';
import type { Drill, Step } from '@/drills/base/types';
import type { Dose } from '@/core/dose/dose';
import { attemptsIn, boxSeconds } from '@/core/dose/facts';
import { goalOf, type Done } from './levels';

/** What everybody can do, and what it was worked out from. */
export interface Skill {
  readonly levels: readonly Level[];
  readonly done: readonly Done[];
}

/** Levels and what was done, by player and step: looked up for every line of a screen. */
interface Index {
  readonly levels: ReadonlyMap<string, Level>;
  readonly done: ReadonlyMap<string, readonly Done[]>;
}
const indexes = new WeakMap<Skill, Index>();

const keyOf = (playerId: string, drillId: string, stepId: string): string =>
  `${playerId} ${drillId} ${stepId}`;

function indexOf(skill: Skill): Index {
  let index = indexes.get(skill);
  if (!index) {
    const plain = skill.levels.filter(({ condition }) => condition === '');
    index = {
      levels: new Map(plain.map((one) => [keyOf(one.playerId, one.ladder, one.step), one])),
      done: groupBy(
        skill.done.filter(({ condition }) => condition === ''),
        (one) => keyOf(one.playerId, one.drillId, one.stepId),
      ),
    };
    indexes.set(skill, index);
  }
  return index;
}

/** The level of a player on a step as it is; undefined where nothing is logged of late. */
export const levelOn = (skill: Skill, playerId: string, drillId: string, stepId: string): Level | undefined =>
  indexOf(skill).levels.get(keyOf(playerId, drillId, stepId));

/** What a player did on a step as it is, in the order of days. */
export const doneOn = (skill: Skill, playerId: string, drillId: string, stepId: string): readonly Done[] =>
  indexOf(skill).done.get(keyOf(playerId, drillId, stepId)) ?? [];

/** The last days whose attempts say how many there are to a day. Ours. */
const usualDays = 4;
/** Attempts at a row in a day where none was seen yet. Ours. */
const rowsADay = 5;

/** How many attempts at the mark a day usually brings. */
export function attemptsADay(dose: Dose, done: readonly Done[]): number {
  const days = new Map<string, number>();
  for (const { day, results } of done) days.set(day, (days.get(day) ?? 0) + results);
  const last = [...days.values()].slice(-usualDays);
  if (last.length === 0) return dose.kind === 'row' ? rowsADay : attemptsIn(dose);
  return Math.max(1, Math.round(last.reduce((sum, n) => sum + n, 0) / last.length));
}

/** The level of a day as it is believed after all that is logged. */
export const dayOf = (level: Level): Gauss => {
  const state = level.followed.after.at(-1)!;
  return ofTheDay(state, assumptions[level.kind]);
};

const knownWays = new WeakMap<Level, readonly Way[]>();

/** How a player may be learning, from all that is logged on a step: every forecast asks here. */
export function waysOf(level: Level): readonly Way[] {
  const ways = knownWays.get(level) ?? waysOn(level.kind, level.prior, level.dated);
  knownWays.set(level, ways);
  return ways;
}

/** On so many days in ten the right difficulty is reached. Ours: the middle of the band. */
const middle = ([low, high]: readonly [number, number]) => (low + high) / 2;

const knownOdds = new WeakMap<Level, Map<string, Odds>>();

/** What the level says of a mark under a dose: the same level is asked the same by every screen, and answers once. */
export function oddsOf(
  step: Step,
  dose: Dose,
  mark: number,
  level: Level,
  done: readonly Done[],
  band: readonly [number, number],
): Odds {
  const known = knownOdds.get(level) ?? new Map<string, Odds>();
  knownOdds.set(level, known);
  const key = JSON.stringify([mark, dose, band, attemptsADay(dose, done)]);
  let odds = known.get(key);
  if (!odds) {
    odds = workOutOdds(step, dose, mark, level, done, band);
    known.set(key, odds);
  }
  return odds;
}

function workOutOdds(
  step: Step,
  dose: Dose,
  mark: number,
  level: Level,
  done: readonly Done[],
  band: readonly [number, number],
): Odds {
  const attempts = attemptsADay(dose, done);
  const day = dayOf(level);
  const state = level.followed.after.at(-1)!;
  const form = assumptions[level.kind].form ** 2;
  const at = (result: number, of: Gauss = day) => chanceOf(goalOf(step, dose, { result }), of, attempts);
  const half = halfWidth[0.8] * Math.sqrt(state.levelVar);
  const [one, other] = [-half, half].map((off) => at(mark, { mean: state.level + off, variance: form })) as [
    number,
    number,
  ];
  const { lowerIsBetter } = measures[step.measure];
  return {
    chance: at(mark),
    low: Math.min(one, other),
    high: Math.max(one, other),
    attempts,
    fitting: fittingResult(mark, lowerIsBetter, middle(band), at),
    halfway: at(lowerIsBetter ? mark * 1.5 : Math.max(1, Math.ceil(mark / 2))),
    days: level.dated.length,
  };
}

/** The result on the near side of the mark that is reached on so many days; null where none is easier. */
function fittingResult(
  mark: number,
  lowerIsBetter: boolean,
  wanted: number,
  chanceAt: (result: number) => number,
): number | null {
  if (lowerIsBetter) {
    for (let times = 1.05; times <= 3; times += 0.05) {
      const result = Math.round(mark * times * 10) / 10;
      if (chanceAt(result) >= wanted) return result;
    }
    return null;
  }
  let [low, high] = [0, Math.ceil(mark)];
  while (high - low > 1) {
    const between = Math.floor((low + high) / 2);
    if (chanceAt(between) >= wanted) low = between;
    else high = between;
  }
  return low >= 1 ? low : null;
}

/** Rows are timed in one of these, seconds: the shortest in which the mark can be had. Common practice. */
const boxes = [20, 25, 30, 60] as const;

/**
 * What was done against the clock: the best in its time, of a row the touches the last day's pace gives; null where a step
 * has nothing to do with it.
 */
export function clockedOn(
  step: Step,
  { gate: { result: mark }, best }: Pick<Judged, 'gate' | 'best'>,
  done: readonly Done[],
): Clocked | null {
  const last = done.filter(({ day }) => day === done.at(-1)?.day);
  switch (step.measure) {
    case 'count':
    case 'laps':
    case 'lap':
    case 'weakest part':
      return { boxS: (last[0] && boxSeconds(last[0].dose)) ?? 1, result: best, wanted: mark };
    case 'row': {
      // A clean row of the mark takes so long; the same number of touches, drops and all, is wanted in the box.
      const clean = mark * step.perTouchS.value;
      const boxS = boxes.find((box) => box >= clean * 1.1) ?? Math.ceil(clean / 10) * 10;
      const [touches, drops] = [
        last.reduce((sum, one) => sum + one.touches, 0),
        last.reduce((sum, one) => sum + one.drops, 0),
      ];
      const seconds = touches * step.perTouchS.value + drops * step.dropCostS.value;
      return {
        boxS,
        result: touches + drops === 0 ? null : Math.floor((boxS * touches) / Math.max(1, seconds)),
        wanted: mark,
      };
    }
    default:
      return null;
  }
}

/** So many days at most on a step are the first after a step up. Ours. */
const newDays = 4;

const knownFailed = new WeakMap<Level, FailedUp>();

/** Whether a player new to a step does far worse there than those who come to it. */
export function failedOn(level: Level | undefined, isFirst: boolean): FailedUp | null {
  if (!level || isFirst || level.dated.length > newDays) return null;
  const known = knownFailed.get(level);
  if (known) return known;
  const { evidence } = level.dated[0]!;
  const all = level.dated.reduce(
    (sum, { evidence: one }) => ({ ...sum, sum: sum.sum + one.sum, of: sum.of + one.of }),
    { ...evidence, sum: 0, of: 0 },
  );
  const { mean, variance } = level.prior;
  const form = assumptions[level.kind].form ** 2 / level.dated.length;
  const failed = {
    days: level.dated.length,
    noise: chanceOfSoLittle({ mean, variance: variance + form }, all),
  };
  knownFailed.set(level, failed);
  return failed;
}

/** How a coach judges: which school proposes (null: the drill's own), and the band of the sweet spot. */
export interface Manner {
  readonly chosen: School | null;
  readonly band: readonly [number, number];
}

/** All four schools on what a player has to show on a step. */
export function schoolsOn(
  { drill, step, dose }: { readonly drill: Drill; readonly step: Step; readonly dose: Dose },
  judged: Judged,
  playerId: string,
  skill: Skill,
  { chosen, band }: Manner,
): FourSchools {
  const level = levelOn(skill, playerId, drill.id, step.id);
  const done = doneOn(skill, playerId, drill.id, step.id);
  const bottom = drill.steps[0]?.id === step.id;
  const one: Case = {
    ...judged,
    bottom,
    band,
    odds: level ? oddsOf(step, dose, judged.gate.result, level, done, band) : null,
    clock: clockedOn(step, judged, done),
    failed: failedOn(level, bottom),
  };
  return fourSchools(one, chosen);
}
