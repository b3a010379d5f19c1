import { addLoads, noLoadSum } from '@/core/dose/load';
import { doseProblems } from '@/core/dose/limits';
import type { Dose } from '@/core/dose/dose';
import { scaled } from '@/core/dose/scale';
import type { VowAim, VowSize } from '@/core/vows/vow';
import type { Book } from '@/drills/book';
import { ageBandOf } from '@/drills/base/age-band';
import type { Step } from '@/drills/base/types';
import { blockOf, type PlanPlayer, type Records } from '../base/plan';
import { timePlan } from '../plan/time-plan';

/** A step with its dose, as the child may choose it. */
export interface VowChoice {
  readonly stepId: string;
  readonly dose: Dose;
}

/** One part of a vow: a drill, the step that is planned, and what else the child may choose. */
export interface VowPart extends VowChoice {
  readonly drillId: string;
  /** Other steps or doses inside the coach's range; without the planned one. */
  readonly choices: readonly VowChoice[];
  /** The strokes of a shadow sequence, as its line; left out where there is none. */
  readonly strokes?: string;
}

/** What a player promises, apart from whose it is and when. */
export interface Vow {
  /** One drill, or a few that go together as one routine. */
  readonly parts: readonly VowPart[];
  readonly aim: VowAim;
  /** Monday is 1. */
  readonly weekdays: readonly number[];
  /** Minutes a day at most. */
  readonly minutes: number;
  /** By how much a dose may grow from week to week, 0 to 0.5. */
  readonly growth: number;
  /** "HH:MM", where it has an hour. */
  readonly atTime: string | null;
  /** Does its calendar remind? */
  readonly alarm: boolean;
  /** May the family's phone count it by ear? */
  readonly byEar: boolean;
}

/** At most so many parts make one routine: ours. */
export const mostParts = 4;
/** Sizes of a dose, as shares of the usual one. Ours: the smallest is still that drill, the largest a long go. */
const shares = [0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1, 1.1, 1.2, 1.35, 1.5, 1.75, 2, 2.5, 3, 4, 5, 6];

/** Seconds by which the time for a row goes up and down: ours. */
const capStepS = 15;

/** The dose of the same shape so many times: more sets, rounds, holds or shots; a row has longer. */
function times(dose: Dose, n: number): Dose {
  switch (dose.kind) {
    case 'reps':
      return { ...dose, sets: dose.sets * n };
    case 'hold':
      return { ...dose, holds: dose.holds * n };
    case 'timed':
    case 'course':
    case 'routine':
      return { ...dose, rounds: dose.rounds * n };
    case 'shots':
      return { ...dose, shots: dose.shots * n };
    case 'growing':
      return { ...dose, to: Math.max(1, Math.round(dose.to * Math.sqrt(n))) };
    case 'row':
      return { ...dose, capS: dose.capS * n };
  }
}

/** A share of a dose, from a fifth to six times of it: beyond double it is done over again. */
export function shareOf(dose: Dose, share: number): Dose {
  if (share === 1) return dose;
  const over = Math.ceil(share / 2);
  const one = over <= 1 ? scaled(dose, share) : times(scaled(dose, share / over), over);
  // Nobody sets a kitchen clock to 1:39.
  return one.kind === 'row'
    ? { ...one, capS: Math.max(capStepS, Math.round(one.capS / capStepS) * capStepS) }
    : one;
}

/** One size of a day: the doses of all its parts, and what they come to. */
export interface DaySize extends VowSize {
  /** Of the usual dose. */
  readonly share: number;
  /** One for each part. */
  readonly doses: readonly Dose[];
}

/** The seconds, good repetitions and load of one step at one dose for one player, by the plan's own arithmetic. */
export function costOf(
  book: Book,
  player: PlanPlayer,
  { drillId, stepId, dose }: Pick<VowPart, 'drillId' | 'stepId' | 'dose'>,
  records: Records,
): VowSize | null {
  const block = blockOf({ id: 'vow', drillId, stepId, dose });
  const [timed] = timePlan(book, [block], [player], records, 60).blocks;
  if (!timed) return null;
  return {
    seconds: timed.activeS,
    good: timed.touchesOf[player.id] ?? 0,
    load: timed.loadOf[player.id] ?? noLoadSum,
  };
}

/** All parts of a day together; null for a drill that is not in the book. */
export function dayCost(
  book: Book,
  player: PlanPlayer,
  parts: readonly Pick<VowPart, 'drillId' | 'stepId' | 'dose'>[],
  records: Records,
): VowSize | null {
  let sum: VowSize = { seconds: 0, good: 0, load: noLoadSum };
  for (const part of parts) {
    const one = costOf(book, player, part, records);
    if (!one) return null;
    sum = {
      seconds: sum.seconds + one.seconds,
      good: sum.good + one.good,
      load: addLoads(sum.load, one.load),
    };
  }
  return sum;
}

/** The sizes a day of a vow can have, the smallest first, and which of them is the dose as it was written. */
export function daySizes(
  book: Book,
  player: PlanPlayer,
  parts: readonly VowPart[],
  records: Records,
): { readonly sizes: readonly DaySize[]; readonly usual: number } {
  const sizes: DaySize[] = [];
  for (const share of shares) {
    const doses = parts.map(({ dose }) => shareOf(dose, share));
    if (doses.some((dose) => doseProblems(dose).length > 0)) continue;
    const cost = dayCost(
      book,
      player,
      parts.map((part, i) => ({ ...part, dose: doses[i]! })),
      records,
    );
    const last = sizes.at(-1);
    if (!cost) continue;
    // Sizes that give no more than the one before are left out; the dose as it was written always stands.
    if (last && cost.good <= last.good + 1e-9) {
      if (share !== 1) continue;
      sizes.pop();
    }
    sizes.push({ ...cost, share, doses });
  }
  const usual = sizes.findIndex(({ share }) => share === 1);
  return { sizes, usual: Math.max(0, usual) };
}

/** The dose of a step for an age, as a vow begins with it. */
export const usualDose = (step: Step, age: number): Dose => step.doses[ageBandOf(age)];
