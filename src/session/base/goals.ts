import { callSchedule } from '@/core/court/calls/schedule';
import { callSets } from '@/core/counting/call-sets';
import { leastLapS } from '@/core/counting/doubtful';
import { numberInWords, measures } from '@/core/counting/measure';
import { growingSum, routineStretches, type Dose, type RoutineDose } from '@/core/dose/dose';
import { seededRandom } from '@/core/base/random';
import { isTooShort, type Gate, type Judged } from '@/core/skill/next-target';
import { ageBandOf } from '@/drills/base/age-band';
import type { AgeBand, Drill, Step } from '@/drills/base/types';
import { callsOf } from './sound';

/** Where an aim comes from. */
export type AimFrom = 'dose' | 'decided' | 'mark' | 'most';

/** What one player is to do on a step today, what to reach, and what passes the step. */
export interface Goals {
  /** What is done today. */
  readonly dose: Dose;
  /** What to reach today: never more than the dose can give. */
  readonly aim: number;
  readonly aimFrom: AimFrom;
  /** What passes the step: of the step and the player's age, whatever is done today. */
  readonly mark: Gate;
  /** The best one attempt can have under this dose; Infinity where the dose sets no end. */
  readonly most: number;
  /** True when this dose is too small to show the mark. */
  readonly tooShort: boolean;
}

/** Nobody does a step in less than this share of the time it usually takes. Ours. */
const quickest = 0.5;

/**
 * The goals of a player on a step. Every screen and every judgement asks here.
 * @param work what is done: the step, and its dose under the changes that act
 * @param age in years
 * @param decided what the last review of this step aimed at; null where there was none
 */
export function goalsOf(
  { step, dose }: { readonly step: Step; readonly dose: Dose },
  age: number,
  decided?: number | null,
): Goals {
  const mark = markFor(step, ageBandOf(age));
  const most = mostOf(step, dose);
  const { lowerIsBetter } = measures[step.measure];
  const aims = { dose, mark, most, tooShort: isTooShort({ measure: step.measure, gate: mark, most }) };
  // A row is done until it is there: its dose says what to reach.
  if (dose.kind === 'row') return { ...aims, aim: dose.target, aimFrom: 'dose' };
  const known = decided ?? null;
  const wanted = known ?? mark.result;
  if (!lowerIsBetter && wanted > most) return { ...aims, aim: most, aimFrom: 'most' };
  return { ...aims, aim: wanted, aimFrom: known === null ? 'mark' : 'decided' };
}

/**
 * What passes a step at an age. The mark is written for the largest dose (13 to 16 years); a younger player's is in the
 * proportion of their own dose to that one (in a time box and on a course, of what their age does in it), and never less than
 * what a row asks for. What is done today does not move it.
 */
export function markFor(step: Step, band: AgeBand): Gate {
  const said = step.marks?.[band];
  if (said) return said;
  const [own, written] = [step.doses[band], step.doses['13-16']];
  const { result, days } = step.gate;
  const inProportion = (given: number, full: number): Gate => ({
    days,
    result: Math.max(1, Math.round((result * given) / full)),
  });
  if (step.measure === 'steadiness') return step.gate;
  switch (own.kind) {
    case 'row': {
      if (written.kind !== 'row') return step.gate;
      const mark = inProportion(own.target, written.target);
      return { days, result: Math.max(own.target, mark.result) };
    }
    case 'reps':
      if (step.measure === 'grade')
        return written.kind === 'reps' ? inProportion(own.reps, written.reps) : step.gate;
      return { days, result: Math.min(result, own.reps) };
    case 'routine':
      // The parts are as long for the small ones, but they do less in them.
      if (own.counted) return inProportion(inABox[band], inABox['13-16']);
      return { days, result: Math.min(result, mostOf(step, own)) };
    case 'hold':
    case 'growing':
      return { days, result: Math.min(result, mostOf(step, own)) };
    case 'shots':
      return written.kind === 'shots' ? inProportion(own.shots, written.shots) : step.gate;
    case 'timed':
      // The box is as long for the small ones, but they do less in it.
      return written.kind === 'timed'
        ? inProportion(own.workS * doneInABox(step, band), written.workS)
        : step.gate;
    case 'course':
      // Nobody but the way says how much longer the younger take.
      return step.paces
        ? { days, result: Math.round(10 * (result / doneInABox(step, band))) / 10 }
        : step.gate;
  }
}

/** What a step asks for, beside somebody's best on it: never "8 of 5". */
export function needsInWords(
  { habit, measure }: Pick<Step, 'habit' | 'measure'>,
  { result, days }: Gate,
): string {
  if (habit) return `of about ${habit.reps}`;
  const wanted = numberInWords(measure, result);
  return days > 1 ? `needs ${wanted} on ${days} days` : `needs ${wanted}`;
}

/** The least seconds a lap of a drill can take somebody of an age; 0 where nothing of it is a lap. A shorter one is doubtful. */
export const leastLapOf = (steps: readonly Step[], age: number): number =>
  leastLapS(
    steps.filter(({ measure }) => measure === 'lap').map((step) => markFor(step, ageBandOf(age)).result),
  );

/**
 * How much of what the oldest do in a time box is asked of the younger: ours. Reaction and movement are slower the younger
 * a child is; the pace of a step is written for all of them.
 */
const inABox: Readonly<Record<AgeBand, number>> = { '4-6': 0.6, '7-9': 0.75, '10-12': 0.9, '13-16': 1 };

/** The share of what the oldest do in a time box that is asked of an age: where there is a way to run, by how fast they are. */
const doneInABox = ({ paces }: Step, band: AgeBand): number =>
  paces ? paces['13-16'] / paces[band] : inABox[band];

/** The best result one attempt at a dose can have; Infinity where the dose sets no end. */
export function mostOf(step: Step, dose: Dose): number {
  switch (dose.kind) {
    case 'row':
      return dose.target;
    case 'reps':
    case 'shots':
      return (dose.kind === 'reps' ? dose.reps : dose.shots) * (step.zones?.[0]?.points ?? 1);
    case 'hold':
      return dose.holdS;
    case 'growing':
      return dose.lines * growingSum(dose.to);
    case 'routine':
      return mostOfRoutine(step, dose);
    case 'timed':
      return step.measure === 'steadiness' ? Infinity : mostInTime(step, dose.workS);
    case 'course':
      return Infinity;
  }
}

/** The best one go of a routine can have: its parts, or the touches of all of them or of the shortest. */
function mostOfRoutine(step: Step, dose: RoutineDose): number {
  if (!dose.counted) return routineStretches(dose).length;
  const each = dose.parts.flatMap(({ partS, sides }) => Array.from({ length: sides }, () => partS));
  const all = each.reduce((sum, seconds) => sum + seconds, 0);
  return mostInTime(step, step.measure === 'weakest part' ? Math.min(...each) : all);
}

const fastestS = ({ paces, perTouchS }: Step): number =>
  Math.min(...Object.values(paces ?? {}), perTouchS.value);

/** How often a step can be done in a time box: as often as it is called, or as fast as anybody could. */
function mostInTime(step: Step, workS: number): number {
  const calls = callsOf(step);
  if (!calls) return Math.max(1, Math.floor(workS / (fastestS(step) * quickest)));
  const { set, ...plan } = calls;
  const options = callSets[set].length;
  // How many there are does not hang on chance: only their order does.
  return Math.max(1, callSchedule({ ...plan, options, forS: workS }, seededRandom(0)).length);
}

/** What a player on this step is judged on, with what they have to show. */
export function judgedOn(
  drill: Drill,
  step: Step,
  { mark, most }: Pick<Goals, 'mark' | 'most'>,
  shown: Pick<Judged, 'best' | 'reachedDays'> & { readonly reps?: number } = { best: null, reachedDays: 0 },
): Judged {
  const top = drill.steps.at(-1)?.id === step.id;
  const { best, reachedDays, reps = 0 } = shown;
  const habit = step.habit && { reps: step.habit.reps, done: reps };
  return {
    measure: step.measure,
    gate: mark,
    top,
    most,
    best,
    reachedDays,
    ...(habit && { habit }),
    ...(step.lapParts && { increment: 1 / step.lapParts.parts }),
  };
}
