import { counted } from '../words';

/** What a step is measured by. See {@link measures} for how each is gathered. */
export type Measure = 'row' | 'count' | 'reps' | 'points' | 'grade' | 'hold' | 'lap' | 'laps' | 'steadiness';

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
  hold: higher('single', 'hold', 's held'),
  grade: higher('round', 'catch', 'quality points'),
  lap: lower('lap', 's a lap'),
  steadiness: { ...lower('touch', 'cm spread'), gathering: 'round' },
};

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

/** "14 in a row", "23 points". */
export function resultInWords(measure: Measure, result: number): string {
  return `${result} ${measures[measure].unit}`;
}
