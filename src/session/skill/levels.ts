import { dayNumber } from '@/core/base/days';
import type { Dose } from '@/core/dose/dose';
import { boxSeconds } from '@/core/dose/facts';
import { kinds } from '@/core/skill/level/assumptions';
import { evidenceOf, type DaySums, type Evidence } from '@/core/skill/level/evidence';
import type { Dated } from '@/core/skill/level/follow';
import { logit } from '@/core/skill/level/scale';
import { squadLevels, type Level, type Series } from '@/core/skill/level/squad';
import type { Goal } from '@/core/skill/expect/mark';
import type { Book } from '@/drills/book';
import type { Step } from '@/drills/base/types';
import type { Gate } from '@/core/skill/next-target';

/** What a player did on a step on one day, in one block. */
export interface Done extends Omit<DaySums, 'boxS' | 'mostEach'> {
  readonly playerId: string;
  readonly drillId: string;
  readonly stepId: string;
  readonly day: string;
  /** '' for the step as it is; see {@link conditionOf}. */
  readonly condition: string;
  readonly dose: Dose;
  /** How much it weighs: 1, or a half where the coach said so. */
  readonly weight: number;
}

/** Seconds of the box as a level counts them: 1 where there is none. */
const boxOf = (dose: Dose): number => boxSeconds(dose) ?? 1;

/** The most one shot or repetition of a step brings. */
export const mostEach = ({ zones }: Pick<Step, 'zones'>): number => Math.max(1, zones?.[0]?.points ?? 1);

/** What was done at home is kept apart under this name. */
export const atHome = 'at home';

/** What was done with the other hand is kept apart under this name. */
export const withOtherHand = 'other hand';

/** What was different from the step as it is. */
export interface Circumstances {
  readonly feed: string | null;
  readonly ball: string | null;
  readonly eased: boolean;
  readonly home: boolean;
  readonly otherHand: boolean;
}

/** Under which name a change of ball, feed, ease, hand or place is kept apart; '' where there is none. */
export const conditionOf = ({ feed, ball, eased, home, otherHand }: Circumstances): string =>
  [
    feed && `${feed} feed`,
    ball && `${ball} ball`,
    eased && 'made easier',
    otherHand && withOtherHand,
    home && atHome,
  ]
    .filter(Boolean)
    .join(', ');

/** Where players who have just reached a step usually are, on the scale of its measure. */
export function usualLevel(step: Step): number {
  const { perTouchS, dropCostS, usualRate, gate } = step;
  const p = Math.min(0.98, Math.max(0.05, usualRate.value));
  switch (kinds[step.measure]) {
    case 'chance': {
      // A hold is a row of seconds, and it is the whole of it that usually succeeds.
      const dose = step.doses['10-12'];
      return logit(step.measure === 'hold' && dose.kind === 'hold' ? p ** (1 / dose.holdS) : p);
    }
    case 'rate':
      return Math.log(p / (perTouchS.value + (1 - p) * dropCostS.value));
    case 'share':
      return logit(Math.min(0.9, Math.max(0.1, p * 0.75)));
    case 'time':
      return Math.log(perTouchS.value * (step.lapParts ? 1 : 1.2));
    case 'spread':
      return Math.log(gate.result * 1.3);
  }
}

/** A mark as a goal: what one attempt at a dose is made of, and what it has to reach. */
export function goalOf(step: Step, dose: Dose, mark: Pick<Gate, 'result'>): Goal {
  const inARow = step.measure === 'row' || step.measure === 'hold';
  const tries =
    dose.kind === 'reps' ? dose.reps : dose.kind === 'shots' ? dose.shots : dose.kind === 'growing' ? 1 : 10;
  return {
    kind: kinds[step.measure],
    mark: mark.result,
    inARow,
    tries,
    boxS: boxOf(dose),
    mostEach: mostEach(step),
  };
}

/** Blocks of one day on the same step are one day's evidence. */
function dated(step: Step, done: readonly Done[]): Dated[] {
  const days = new Map<number, Evidence>();
  for (const one of done) {
    const evidence = evidenceOf(step.measure, {
      ...one,
      boxS: boxOf(one.dose),
      mostEach: mostEach(step),
    });
    if (!evidence) continue;
    const day = dayNumber(one.day);
    const before = days.get(day) ?? { sum: 0, of: 0 };
    const { weight } = one;
    days.set(day, {
      ...evidence,
      sum: before.sum + weight * evidence.sum,
      of: before.of + weight * evidence.of,
    });
  }
  return [...days].sort(([a], [b]) => a - b).map(([day, evidence]) => ({ day, evidence }));
}

/**
 * How good everybody is on every step they have done, from what they did.
 * @param done of all who are compared, in the order of days; steps of unknown drills are left out
 */
export function levelsOf(book: Book, done: readonly Done[]): Level[] {
  const groups = new Map<string, Done[]>();
  for (const one of done) {
    const key = `${one.playerId} ${one.drillId} ${one.stepId} ${one.condition}`;
    const group = groups.get(key);
    if (group) group.push(one);
    else groups.set(key, [one]);
  }
  const series: Series[] = [];
  for (const group of groups.values()) {
    const { playerId, drillId, stepId, condition } = group[0]!;
    const step = book.step(drillId, stepId, playerId);
    if (!step) continue;
    const days = dated(step, group);
    if (days.length === 0) continue;
    series.push({
      playerId,
      condition,
      ladder: drillId,
      step: stepId,
      kind: kinds[step.measure],
      usual: usualLevel(step),
      dated: days,
    });
  }
  return squadLevels(series);
}
