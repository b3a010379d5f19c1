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
  /** The smallest step that is a new best, in the result's own unit. */
  readonly increment: number;
}

const facts = (gathering: Gathering, unit: string, lowerIsBetter = false, increment = 1): MeasureFacts => ({
  gathering,
  unit,
  lowerIsBetter,
  increment,
});

export const measures: Record<Measure, MeasureFacts> = {
  row: facts('row', 'in a row'),
  count: facts('round', 'in the time'),
  reps: facts('round', 'reps'),
  points: facts('round', 'points'),
  laps: facts('round', 'laps'),
  hold: facts('single', 's held'),
  grade: facts('single', 'quality'),
  lap: facts('single', 's a lap', true, 0.1),
  steadiness: facts('single', 'cm spread', true, 0.1),
};

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
