import type { Schema } from 'yup';
import { ValidationError } from 'yup';
import { done, type Outcome, type Problem } from '@/core/base/outcome';
import { misshapenIn, unsoundIn } from './bounds';

/**
 * Checks something from outside against its schema: the clean value, or every problem with its field. Lists are
 * counted before they are read, and text that cannot be stored is refused whatever field it stands in.
 */
export function check<T>(schema: Schema<T>, value: unknown): Outcome<T> {
  const given = orEmpty(schema, value);
  const problem = misshapenIn(schema, given) ?? unsoundIn(given);
  if (problem) return { ok: false, problems: [problem] };
  try {
    return done(schema.validateSync(given, { abortEarly: false, stripUnknown: true }));
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    return { ok: false, problems: problemsOf(error) };
  }
}

/** What is no object or list at all is taken as an empty one, so that the answer names the fields that are missing. */
function orEmpty(schema: Schema, value: unknown): unknown {
  if (schema.type === 'array') return Array.isArray(value) ? value : [];
  return typeof value === 'object' && value !== null && !Array.isArray(value) ? value : {};
}

function problemsOf(error: ValidationError): Problem[] {
  const all = error.inner.length > 0 ? error.inner : [error];
  const seen = new Set<string>();
  return all.flatMap(({ path = '', message }) => {
    // One sentence a field: the first is the one to mend.
    if (seen.has(path)) return [];
    seen.add(path);
    return [{ field: path, message }];
  });
}
