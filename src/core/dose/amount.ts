import type { Dose } from './dose';
import { doseFields } from './limits';

/**
 * The one number of a dose that is each player's own: the row to reach, the reps of a set, the shots.
 * The shape around it (sets, sides, rests, caps, time boxes) belongs to the block, because the group shares its clock.
 */
const amountField = {
  row: 'target',
  reps: 'reps',
  hold: 'holdS',
  shots: 'shots',
  course: 'laps',
  growing: 'to',
  timed: null,
  routine: null,
} as const;

/** The limits of each kind's own amount, found once. */
const limitsOf = Object.fromEntries(
  Object.entries(amountField).map(([kind, name]) => [
    kind,
    doseFields[kind as Dose['kind']].find((field) => field.name === name),
  ]),
);

/** What the amount of a dose may be; null where the dose has none of its own. */
export function amountLimits({ kind }: Dose): { readonly min: number; readonly max: number } | null {
  const limits = limitsOf[kind];
  return limits ? { min: limits.min, max: limits.max } : null;
}

/** A dose's own amount; null for a time box or a routine, which everybody shares. */
export function amountOf(dose: Dose): number | null {
  const name = amountField[dose.kind];
  return name === null ? null : (dose as unknown as Record<string, number>)[name]!;
}

/** The same shape with another amount, clamped to the limits of its kind; shared doses stay as they are. */
export function withAmount(dose: Dose, amount: number | null): Dose {
  const name = amountField[dose.kind];
  if (name === null || amount === null) return dose;
  const { min, max } = limitsOf[dose.kind]!;
  const within = Math.min(max, Math.max(min, Math.round(amount)));
  return within === (dose as unknown as Record<string, number>)[name] ? dose : { ...dose, [name]: within };
}
