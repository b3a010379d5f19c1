import type { Dose } from '../dose/dose';
import { fixedTries, roundsOf, triesARound } from '../dose/facts';
import { ruleOf, type CountKind } from './event';
import { measures, resultInWords, type Measure } from './measure';

/** The most one attempt can be, and the least. */
export interface AttemptLimits {
  /** Marks of one attempt: reps of a set, shots at a ring; Infinity where the clock or a drop ends it. */
  readonly tries: number;
  /** What its zones or grades are worth; null where it has none. A miss is worth nothing, whatever stands here. */
  readonly points: readonly number[] | null;
  /** The highest result; Infinity where nothing sets an end. */
  readonly most: number;
  /** Seconds the quickest lap takes; 0 where that is not known. */
  readonly leastS: number;
}

export const noLimits: AttemptLimits = { tries: Infinity, points: null, most: Infinity, leastS: 0 };

/** Marks one attempt has room for, from the dose. */
export const triesOf = (dose: Dose): number =>
  dose.kind === 'shots' ? dose.shots : (triesARound(dose) ?? Infinity);

/** Marks the whole dose has room for: of holds as many as there are. */
export function triesInAll(dose: Dose): number {
  if (dose.kind === 'routine') return triesOf(dose) * roundsOf(dose);
  return fixedTries(dose) ?? triesOf(dose) * roundsOf(dose);
}

/**
 * What a dose allows one attempt, by itself: how fast anybody can be is not asked here.
 * @param points of the zones or grades of the step; null where it has none
 */
export function limitsOfDose(
  dose: Dose,
  measure: Measure,
  points: readonly number[] | null,
  leastS = 0,
): AttemptLimits {
  const tries = measures[measure].gathering === 'single' ? Infinity : triesOf(dose);
  const scored = measure === 'points' || measure === 'grade';
  const most = scored
    ? tries * Math.max(0, ...(points ?? [Infinity]))
    : measure === 'reps'
      ? tries
      : Infinity;
  return { tries, points, most: dose.kind === 'hold' && measure === 'hold' ? dose.holdS : most, leastS };
}

/** Is it one try, and not a whole attempt or dose that was told? */
const isOneTry = (kind: CountKind): boolean => ruleOf(kind).count?.of === 'try';

/** Is a zone or grade none of those there are? */
const isStrange = ({ points }: AttemptLimits, kind: CountKind, value: number | null): boolean =>
  ruleOf(kind).count?.success === 'by value' &&
  points !== null &&
  value !== null &&
  value > 0 &&
  !points.includes(value);

export interface Counting {
  readonly kind: CountKind;
  readonly value: number | null;
  /** Marks of the attempt it would belong to. */
  readonly tries: number;
}

/** Does a mark have no place in its attempt: a zone that is not there, or one more than the dose has? The reducer passes it over. */
export const isSurplus = (limits: AttemptLimits, { kind, value, tries }: Counting): boolean =>
  isOneTry(kind) && (tries >= limits.tries || isStrange(limits, kind, value));

/** How much of a dose is done. */
export interface DoneSoFar {
  /** Marks so far; of what is measured one by one (holds, laps) the attempts. */
  readonly tries: number;
  /** Marks the dose has room for (see {@link triesInAll}). */
  readonly inAll: number;
}

/** Marks somebody has made in a block: of what is measured one by one the attempts. */
export const triesSoFar = (
  measure: Measure,
  {
    touches,
    drops,
    attempts,
  }: { readonly touches: number; readonly drops: number; readonly attempts: readonly unknown[] },
): number => (measures[measure].gathering === 'single' ? attempts.length : touches + drops);

/** "10 of 10: done", where nothing more is taken; null before that. */
export const doneInWords = ({ tries, inAll }: DoneSoFar): string | null =>
  tries >= inAll ? `${inAll} of ${inAll}: done` : null;

/** Why a mark is not taken; null when it is. */
export function refusalOf(
  limits: AttemptLimits,
  done: DoneSoFar,
  { kind, value }: Pick<Counting, 'kind' | 'value'>,
): string | null {
  if (!isOneTry(kind)) return null;
  if (isStrange(limits, kind, value))
    return `Not counted: nothing here is worth ${value}. There is ${limits.points!.join(', ')} and a miss.`;
  const all = doneInWords(done);
  return all && `${all}. Undo takes the last one back.`;
}

/** Why a result cannot be typed; null when it can. */
export const tooHigh = (measure: Measure, most: number, result: number): string | null =>
  result > most ? `At most ${resultInWords(measure, most)} can be reached in one attempt.` : null;
