import { inParts, measures, numberInWords, reaches, resultInWords, type Measure } from '../counting/measure';

export type Verdict = 'up' | 'hold' | 'back';
/** Ways of judging when to move up: see core/skill/four-schools. */
export const movingSchools = ['row', 'clock', 'best', 'sweet'] as const;
export type School = (typeof movingSchools)[number];

/** When a step is done: a result, reached on a number of different days. */
export interface Gate {
  readonly result: number;
  readonly days: number;
}

/** What a player is judged on. */
export interface Judged {
  readonly measure: Measure;
  readonly gate: Gate;
  /** True on the last step of a ladder: there is nowhere up. */
  readonly top: boolean;
  /** The best result the dose allows (all reps of a set, the whole hold); Infinity when it sets no end. */
  readonly most: number;
  /** Best result on this step; null when there is none yet. */
  readonly best: number | null;
  /** On how many different recent days the gate was reached. */
  readonly reachedDays: number;
  /** Where it takes so many repetitions to make a habit: how many were done, ever. */
  readonly habit?: { readonly reps: number; readonly done: number };
  /** The smallest step that is a new best, where it is another than the measure's: a part of a lap. */
  readonly increment?: number;
}

export interface NextTarget {
  readonly school: School;
  readonly verdict: Verdict;
  /** The result to aim at next; on `up`, the gate that was passed. */
  readonly target: number;
  /** One sentence a coach can read out. */
  readonly reason: string;
}

/**
 * The school "N in a row, on k days": up when the gate was reached on enough different days.
 * Works for every measure; on "in a row" it is the default.
 */
export function gateTarget(judged: Judged): NextTarget {
  const { measure, gate, top, reachedDays } = judged;
  const goal = resultInWords(measure, gate.result);
  const base = { school: 'row' as const, target: gate.result };
  if (isTooShort(judged)) return { ...base, verdict: 'hold', reason: tooShortReason(judged) };
  if (reachedDays >= gate.days) {
    const soFar = `Reached ${goal} on ${dayCount(reachedDays)}; the step asks for ${dayCount(gate.days)}`;
    return top
      ? { ...base, verdict: 'hold', reason: `${soFar}: the top of this ladder is done.` }
      : { ...base, verdict: 'up', reason: `${soFar}: up a step.` };
  }
  const missing = gate.days - reachedDays;
  const soFar =
    reachedDays === 0 ? `${goal} is still to come` : `Reached ${goal} on ${dayCount(reachedDays)}`;
  return {
    ...base,
    verdict: 'hold',
    reason: `${soFar}: ${missing === 1 ? 'one more day' : `${missing} more days`} of it to move up.`,
  };
}

/** The school "own best plus one": any new best is success; up when the best passes the gate. */
export function ownBestTarget(judged: Judged): NextTarget {
  const { measure, gate, top, most, best } = judged;
  const hold = (target: number, reason: string): NextTarget => ({
    school: 'best',
    verdict: 'hold',
    target,
    reason,
  });
  if (isTooShort(judged)) {
    const target = best === null || best >= most ? most : nextBest(judged, best);
    return hold(Math.min(most, target), tooShortReason(judged));
  }
  if (best === null) {
    return hold(
      gate.result,
      `No count yet: start with the step’s own mark, ${resultInWords(measure, gate.result)}.`,
    );
  }
  if (reaches(measure, best, gate.result) && !top) {
    const reason = `Best ever ${numberInWords(measure, best)} reaches the step’s ${resultInWords(measure, gate.result)}: up a step.`;
    return { school: 'best', verdict: 'up', target: gate.result, reason };
  }
  if (best >= most) {
    const ever = `Best ever ${numberInWords(measure, best)} is`;
    // A best of a longer dose is no result of this one.
    const soFar =
      best > most
        ? `${ever} more than this dose gives, ${numberInWords(measure, most)} at most`
        : `${ever} all this dose allows`;
    return hold(most, `${soFar}: more of it, or a harder form.`);
  }
  const target = nextBest(judged, best);
  const [was, next] = [best, target].map((result) => numberInWords(measure, result));
  return hold(target, `Best ever ${was}: ${next} is a new best${top ? ', and this is the top step' : ''}.`);
}

/** The least that beats a best. */
function nextBest({ measure, increment: own }: Judged, best: number): number {
  if (own !== undefined) return inParts(best + own);
  const { lowerIsBetter, increment } = measures[measure];
  // Tenths are kept whole: 12.3 - 0.1 must not read 12.200000000000001.
  return Math.round((best + (lowerIsBetter ? -increment : increment)) * 10) / 10;
}

/** A dose too small to show the mark says nothing about moving up. */
export const isTooShort = ({ measure, gate, most }: Pick<Judged, 'measure' | 'gate' | 'most'>): boolean =>
  !measures[measure].lowerIsBetter && most < gate.result;

const tooShortReason = ({ measure, gate, most }: Judged): string =>
  `Too short to pass today: this dose gives ${most} at most, and the mark is ${resultInWords(measure, gate.result)}.`;

/** A habit is made by repeating: no number moves on from it, the coach does. */
export function habitTarget({ gate, habit }: Judged, school: School): NextTarget {
  const { done, reps } = habit!;
  return {
    school,
    verdict: 'hold',
    target: gate.result,
    reason:
      done < reps
        ? `${done} of about ${reps} repetitions that make a habit: moving on is the coach’s word.`
        : `${done} repetitions, about ${reps} make a habit: move on when it looks easy.`,
  };
}

function dayCount(n: number): string {
  return n === 1 ? '1 day' : `${n} days`;
}
