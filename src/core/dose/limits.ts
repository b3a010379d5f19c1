import type { Dose, DoseKind } from './dose';

/** The range and name of one field of a dose: the one home of these limits, for forms and for the server. */
export interface DoseField {
  readonly name: string;
  readonly label: string;
  /** Shown behind the label; empty where the label says it all. */
  readonly unit: string;
  readonly min: number;
  readonly max: number;
}

const field = (name: string, label: string, unit: string, min: number, max: number): DoseField => ({
  name,
  label,
  unit,
  min,
  max,
});

const sides = field('sides', 'Sides', '', 1, 2);
const rest = field('restS', 'Rest', 's', 0, 600);

/** Ranges are ours: wide enough for any drill for a child, narrow enough to catch a slip of the finger. */
export const doseFields: Record<DoseKind, readonly DoseField[]> = {
  reps: [field('sets', 'Sets', '', 1, 20), field('reps', 'Reps a set', '', 1, 200), sides, rest],
  row: [field('target', 'Target', 'in a row', 1, 500), field('capS', 'Time cap', 's', 15, 1800)],
  timed: [field('rounds', 'Rounds', '', 1, 20), field('workS', 'Work', 's', 5, 600), rest],
  hold: [field('holds', 'Holds', '', 1, 20), field('holdS', 'Hold', 's', 1, 120), sides, rest],
  shots: [
    field('shots', 'Shots', '', 1, 200),
    field('ballsAtHand', 'Balls at hand', '', 1, 100),
    field('collectS', 'A collecting walk', 's', 0, 300),
  ],
};

export interface DoseProblem {
  readonly field: string;
  readonly message: string;
}

/** What is wrong with one field's value, in words that name the field and the mend; null when nothing is. */
export function fieldProblem(field: DoseField, value: unknown): string | null {
  if (typeof value === 'number' && Number.isInteger(value) && value >= field.min && value <= field.max)
    return null;
  return `${field.label} must be a whole number from ${field.min} to ${field.max}.`;
}

/** Every problem of a dose; empty when it is sound. */
export function doseProblems(dose: Dose): DoseProblem[] {
  const values = dose as unknown as Record<string, unknown>;
  return doseFields[dose.kind].flatMap((field) => {
    const message = fieldProblem(field, values[field.name]);
    return message ? [{ field: field.name, message }] : [];
  });
}
