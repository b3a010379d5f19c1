import { mixed } from 'yup';
import type { Dose } from '@/core/dose/dose';
import { doseFields, doseProblems, isDoseKind, onlyDoseFields } from '@/core/dose/limits';

/**
 * A dose of the core, checked against the limits of its kind and cut down to its fields.
 * @param name what it is called in what is said about it
 * @param names whether problems of single fields are said with that name too
 */
export const doseSchema = (name: string, names = false) =>
  mixed<Dose>()
    .required(`${name} is missing: set how much.`)
    .test('dose', (value, context) => {
      if (!isDoseKind((value as { kind?: unknown } | undefined)?.kind))
        return context.createError({
          message: `${name} must be one of ${Object.keys(doseFields).join(', ')}.`,
        });
      const first = doseProblems(value as Dose)[0];
      if (!first) return true;
      return context.createError({ message: names ? `${name}: ${first.message}` : first.message });
    })
    .transform((value: unknown) =>
      typeof value === 'object' && value !== null ? onlyDoseFields(value as Record<string, unknown>) : value,
    );
