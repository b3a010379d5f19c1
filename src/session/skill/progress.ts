import { alone } from '@/core/skill/level/evidence';
import { assumptions } from '@/core/skill/level/assumptions';
import { ofTheDay, smoothed } from '@/core/skill/level/follow';
import { halfWidth, type Gauss } from '@/core/skill/level/scale';
import type { Level } from '@/core/skill/level/squad';
import { levelAfter } from '@/core/skill/level/ways';
import { changeIn, type Change } from '@/core/skill/change/change';
import { chanceOfShortRow, chanceOfSoLittle } from '@/core/skill/change/luck';
import { learningCurves, type Curves } from '@/core/skill/change/curve';
import { foresee, type Forecast } from '@/core/skill/expect/forecast';
import { bestAt } from '@/core/skill/expect/mark';
import {
  bestRowOf,
  chanceOfRowInTime,
  chanceOfRowInTries,
  chanceOfTouch,
  minutesToRow,
  triesToRow,
  type Ranged,
} from '@/core/skill/expect/rows';
import { measures } from '@/core/counting/measure';
import { seededRandom } from '@/core/base/random';
import type { Step } from '@/drills/base/types';
import type { Goals } from '../base/goals';
import { attemptsADay, dayOf, doneOn, levelOn, waysOf, type Skill } from './judging';
import { dayNumber } from '@/core/base/days';
import { atHome, goalOf } from './levels';

/** A day on the chart, as the best result to expect of it: by its own counts, and by the level with its range. */
export interface ChartDay {
  readonly day: number;
  readonly shown: number;
  readonly level: number;
  readonly low: number;
  readonly high: number;
}

/** A day to come: the level to expect, with its range of 80 %. */
export type FanDay = Omit<ChartDay, 'shown'>;

/** What rows are to be expected today. */
export interface RowsToExpect {
  readonly touch: number;
  readonly oneTry: number;
  /** In a usual day's tries, and how many those are. */
  readonly inTries: number;
  readonly tries: number;
  readonly inFiveMinutes: number;
  readonly triesNeeded: Ranged;
  readonly minutesNeeded: Ranged;
  /** The best row of a usual day. */
  readonly best: number;
  /** A row that looks like a bad day, and how often chance alone brings one as short: a fifth of the mark. */
  readonly short: number;
  readonly shortChance: number;
}

export interface StepProgress {
  /** Of rows; null for every other measure. */
  readonly rows: RowsToExpect | null;
  readonly past: readonly ChartDay[];
  readonly fan: readonly FanDay[];
  /** Null where it was not asked for: it costs more than all the rest. */
  readonly forecast: Forecast | null;
  /** Attempts a day, and how many more days the mark is wanted on. */
  readonly attempts: number;
  readonly missingDays: number;
  /** The mark was reached on all the days it asks for. */
  readonly passed: boolean;
  /** The days the forecast counts on: how many of them are planned, the rest by the usual rhythm. */
  readonly days: readonly number[];
  readonly planned: number;
  readonly change: Change | null;
  readonly curves: Curves | null;
  /** Chance of a day as poor as the last one, from all before; null where there was nothing before. */
  readonly luck: number | null;
  readonly littleData: boolean;
}

/** Under so many days the ranges say little. Ours. */
const enoughDays = 4;
/** A forecast looks so many days ahead at most. Ours: a term. */
export const horizonDays = 112;
/** How often it was practised is read from so many days. Ours. */
const rhythmDays = 35;

/**
 * Days on which a step will be practised: those planned, then on at the rhythm of the last five weeks.
 * @param practised days it was done on, in order
 * @param planned days it is planned on, later than today, in order
 */
export function daysAhead(
  practised: readonly number[],
  planned: readonly number[],
  today: number,
): { readonly days: number[]; readonly planned: number } {
  const recent = practised.filter((day) => day > today - rhythmDays);
  const days = [...planned];
  if (recent.length >= 2) {
    const every = Math.max(1, (recent.at(-1)! - recent[0]!) / (recent.length - 1));
    let next = Math.max(days.at(-1) ?? today, today) + every;
    while (next <= today + horizonDays) {
      days.push(Math.round(next));
      next += every;
    }
  }
  return { days, planned: planned.length };
}

/** Where a player stands on a step, whether it has moved, and when its mark will be passed. */
export function progressOn(
  skill: Skill,
  playerId: string,
  drillId: string,
  step: Step,
  { dose, mark }: Pick<Goals, 'dose' | 'mark'>,
  reachedDays: number,
  plannedDays: readonly number[],
  today: number,
  { foreseeing = true, homeToo = false }: { readonly foreseeing?: boolean; readonly homeToo?: boolean } = {},
): StepProgress | null {
  const level = levelOn(skill, playerId, drillId, step.id);
  if (!level) return null;
  const done = doneOn(skill, playerId, drillId, step.id);
  const goal = goalOf(step, dose, mark);
  const { kind } = level;
  const { form } = assumptions[kind];
  const attempts = attemptsADay(dose, done);
  const inResults = (value: number) => bestAt(goal, value, attempts);
  const spanned = ({ mean, variance }: Gauss, width: number) => {
    const half = width * Math.sqrt(variance);
    const [one, other] = [inResults(mean - half), inResults(mean + half)];
    return { level: inResults(mean), low: Math.min(one, other), high: Math.max(one, other) };
  };
  const levels = smoothed(level.followed);
  const past = level.dated.map(({ day, evidence }, i) => ({
    day,
    shown: inResults(alone(evidence).mean),
    ...spanned(levels[i]!, halfWidth[0.95]),
  }));
  const passed = reachedDays >= mark.days;
  const missingDays = Math.max(1, mark.days - reachedDays);
  // How often the ladder is practised, on whichever step.
  // A mark that court days show is not foreseen on days at home.
  const ladder = skill.done.filter(
    (one) =>
      one.playerId === playerId && one.drillId === drillId && (homeToo || !one.condition.endsWith(atHome)),
  );
  const practised = [...new Set(ladder.map(({ day }) => dayNumber(day)))];
  const ahead = daysAhead(practised, plannedDays, today);
  const lastDay = level.dated.at(-1)!.day;
  const fan: FanDay[] = [];
  for (const day of ahead.days)
    fan.push({ day, ...spanned(levelAfter(waysOf(level), day - lastDay, kind), halfWidth[0.8]) });
  const before = level.followed.before.at(-1)!;
  return {
    past,
    fan,
    forecast: foreseeing
      ? foresee(
          waysOf(level),
          lastDay,
          goal,
          { days: ahead.days, attempts, missingDays },
          seededRandom(lastDay),
        )
      : null,
    attempts,
    missingDays,
    passed,
    ...ahead,
    rows: step.measure === 'row' ? rowsToExpect(dayOf(level), mark.result, attempts, step) : null,
    change: changeIn(pointsOf(level), measures[step.measure].lowerIsBetter ? -1 : 1),
    curves: learningCurves(
      pointsOf(level).map(({ mean, variance }, i) => ({ n: i + 1, value: -mean, variance })),
    ),
    luck:
      level.dated.length < 2
        ? null
        : chanceOfSoLittle(ofTheDay(before, { form }), level.dated.at(-1)!.evidence),
    littleData: level.dated.length < enoughDays,
  };
}

function rowsToExpect(day: Gauss, n: number, tries: number, step: Step): RowsToExpect {
  const pace = { perTouchS: step.perTouchS.value, dropCostS: step.dropCostS.value };
  const short = Math.floor(n / 5);
  return {
    touch: chanceOfTouch(day),
    oneTry: chanceOfRowInTries(day, n),
    inTries: chanceOfRowInTries(day, n, tries),
    tries,
    inFiveMinutes: chanceOfRowInTime(day, n, 300, pace),
    triesNeeded: triesToRow(day, n),
    minutesNeeded: minutesToRow(day, n, pace),
    best: bestRowOf(day, tries),
    short,
    shortChance: chanceOfShortRow(day, short),
  };
}

/** Each day's level by its own evidence, as changes are sought in. */
const pointsOf = (level: Level) =>
  level.dated.map(({ day, evidence }) => {
    const { mean, variance } = alone(evidence);
    return { day, mean, variance: variance + assumptions[level.kind].form ** 2 };
  });
