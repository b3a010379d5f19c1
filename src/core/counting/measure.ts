import { counted } from '../base/words';

/** What a step is measured by. See {@link measures} for how each is gathered. */
export type Measure =
  'row' | 'count' | 'reps' | 'points' | 'grade' | 'hold' | 'lap' | 'laps' | 'steadiness' | 'weakest part';

/**
 * How the log turns into attempts:
 * - `row`: a drop ends the attempt
 * - `round`: everything in one round (time box, set, ten shots) adds up
 * - `single`: every mark is an attempt of its own
 */
export type Gathering = 'row' | 'round' | 'single';

export interface MeasureFacts {
  readonly gathering: Gathering;
  readonly lowerIsBetter: boolean;
  /** What the result counts, after the number: "14 in a row". */
  readonly unit: string;
  /** What one good mark is called: touch, rep, hit. */
  readonly noun: string;
  /** The smallest step that is a new best, in the result's own unit. */
  readonly increment: number;
}

const higher = (gathering: Gathering, noun: string, unit: string): MeasureFacts => ({
  gathering,
  noun,
  unit,
  lowerIsBetter: false,
  increment: 1,
});
const lower = (noun: string, unit: string): MeasureFacts => ({
  gathering: 'single',
  noun,
  unit,
  lowerIsBetter: true,
  increment: 0.1,
});

export const measures: Record<Measure, MeasureFacts> = {
  row: higher('row', 'touch', 'in a row'),
  count: higher('round', 'touch', 'in the time'),
  reps: higher('round', 'rep', 'reps'),
  points: higher('round', 'hit', 'points'),
  laps: higher('round', 'lap', 'laps'),
  'weakest part': higher('round', 'touch', 'in the weakest part'),
  hold: higher('single', 'hold', 's held'),
  grade: higher('round', 'catch', 'quality points'),
  // A lap, or whatever is done against the watch in one go.
  lap: lower('lap', 's'),
  steadiness: { ...lower('touch', 'cm spread'), gathering: 'round' },
};

/** Is a result read off in tenths? The others are whole numbers. */
export const inTenths = (measure: Measure): boolean =>
  measure === 'lap' || measure === 'steadiness' || measure === 'hold';

/** "1 touch", "3 touches", "2 holds". */
export function marksInWords(measure: Measure, n: number): string {
  const { noun } = measures[measure];
  return counted(n, noun, noun.endsWith('ch') ? `${noun}es` : `${noun}s`);
}

/** The better of two results; a missing one loses. */
export function better(measure: Measure, a: number | null, b: number | null): number | null {
  if (a === null) return b;
  if (b === null) return a;
  return measures[measure].lowerIsBetter ? Math.min(a, b) : Math.max(a, b);
}

/** Does a result reach a gate or target? */
export function reaches(measure: Measure, result: number, target: number): boolean {
  return measures[measure].lowerIsBetter ? result <= target : result >= target;
}

/** Laps to a hundredth, so that halves, thirds and quarters add up to whole ones. */
export const inParts = (laps: number): number => Math.round((Math.round(laps * 12) / 12) * 100) / 100;

const glyphs: Readonly<Record<string, string>> = {
  '0.25': '¼',
  '0.33': '⅓',
  '0.5': '½',
  '0.67': '⅔',
  '0.75': '¾',
};

/** A result as a number to read: laps in parts are "3⅓". */
export function numberInWords(measure: Measure, result: number): string {
  if (measure !== 'laps' || Number.isInteger(result)) return String(result);
  const whole = Math.floor(result);
  const part = glyphs[String(Math.round((result - whole) * 100) / 100)];
  if (!part) return String(Math.round(result * 100) / 100);
  return whole === 0 ? part : `${whole}${part}`;
}

/** "14 in a row", "23 points". */
export function resultInWords(measure: Measure, result: number): string {
  const { unit } = measures[measure];
  return `${numberInWords(measure, result)} ${result === 1 ? (ones[unit] ?? unit) : unit}`;
}

/** Units of one. */
const ones: Readonly<Record<string, string>> = {
  reps: 'rep',
  points: 'point',
  laps: 'lap',
  'quality points': 'quality point',
};
