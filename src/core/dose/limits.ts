import { ownOf } from '../base/own';
import type { Dose, DoseKind, RoutinePart } from './dose';

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
const rounds = field('rounds', 'Rounds', '', 1, 20);

/** Ranges are ours: wide enough for any drill for a child, narrow enough to catch a slip of the finger. */
export const doseFields: Record<DoseKind, readonly DoseField[]> = {
  reps: [field('sets', 'Sets', '', 1, 20), field('reps', 'Reps a set', '', 1, 200), sides, rest],
  row: [field('target', 'Target', 'in a row', 1, 500), field('capS', 'Time cap', 's', 15, 1800)],
  // Half an hour of a workout is up to thirty short rounds.
  timed: [field('rounds', 'Rounds', '', 1, 40), field('workS', 'Work', 's', 5, 600), rest],
  hold: [field('holds', 'Holds', '', 1, 20), field('holdS', 'Hold', 's', 1, 120), sides, rest],
  shots: [
    field('shots', 'Shots', '', 1, 200),
    field('ballsAtHand', 'Balls at hand', '', 1, 100),
    field('collectS', 'A collecting walk', 's', 0, 300),
  ],
  course: [rounds, field('laps', 'Laps a round', '', 1, 50), rest],
  growing: [field('lines', 'Lines', '', 1, 10), field('to', 'Count up to', '', 1, 12), rest],
  routine: [rounds, field('changeS', 'Change', 's', 0, 60)],
};

/** The one field of a part of a routine a coach sets. */
export const partField = field('partS', 'Part', 's', 1, 120);
const mostParts = 16;
/** A part's step: "drill/step". */
const partOf = /^[\w-]{1,60}\/[a-z0-9-]{1,60}$/;

export interface DoseProblem {
  readonly field: string;
  readonly message: string;
}

/** What is wrong with one field's value, in words that name the field and the mend; null when nothing is. */
export function fieldProblem(field: DoseField, value: unknown): string | null {
  if (isWithin(value, field.min, field.max)) return null;
  return `${field.label} must be a whole number from ${field.min} to ${field.max}.`;
}

const isWithin = (value: unknown, min: number, max: number): boolean =>
  typeof value === 'number' && Number.isInteger(value) && value >= min && value <= max;

/** Every problem of a dose; empty when it is sound. */
export function doseProblems(dose: Dose): DoseProblem[] {
  const values = dose as unknown as Record<string, unknown>;
  const problems = doseFields[dose.kind].flatMap((one) => {
    const message = fieldProblem(one, values[one.name]);
    return message ? [{ field: one.name, message }] : [];
  });
  if (dose.kind === 'routine') problems.push(...partProblems(dose.parts));
  return problems;
}

function partProblems(parts: unknown): DoseProblem[] {
  if (!Array.isArray(parts) || parts.length === 0 || parts.length > mostParts)
    return [{ field: 'parts', message: `Parts must be 1 to ${mostParts} parts with a name and seconds.` }];
  const wrong = (parts as Partial<RoutinePart>[]).findIndex(
    (part) =>
      typeof part?.name !== 'string' ||
      part.name.trim() === '' ||
      part.name.length > 60 ||
      !isWithin(part.partS, partField.min, partField.max) ||
      !isWithin(part.sides, sides.min, sides.max) ||
      !(part.of === undefined || (typeof part.of === 'string' && partOf.test(part.of))),
  );
  if (wrong < 0) return [];
  const message = `Part ${wrong + 1} must have a name, ${partField.min} to ${partField.max} whole seconds, and 1 or 2 sides; where it is taken from another drill, “of” says drill/step.`;
  return [{ field: `parts.${wrong}`, message }];
}

/** Is this the name of a kind of dose? */
export const isDoseKind = (kind: unknown): kind is DoseKind => ownOf(doseFields, kind) !== undefined;

/** A dose cut down to the fields of its kind; what is no dose is given back as it is. */
export function onlyDoseFields(value: Record<string, unknown>): Record<string, unknown> {
  const known = ownOf(doseFields, value.kind);
  if (!known) return value;
  const kept = Object.fromEntries([['kind', value.kind], ...known.map(({ name }) => [name, value[name]])]);
  if (value.kind !== 'routine' || !Array.isArray(value.parts)) return kept;
  const parts = (value.parts as Partial<RoutinePart>[]).map((part) => ({
    name: part?.name,
    partS: part?.partS,
    sides: part?.sides,
    ...(part?.of !== undefined && { of: part.of }),
  }));
  return { ...kept, ...(value.counted === true && { counted: true }), parts };
}
