import { isSchema, type Schema } from 'yup';
import type { Problem } from '@/core/base/outcome';
import { isSoundText } from '@/core/base/text';

/*
 * What is looked at before a schema walks through a value from outside: Yup reads every element of a list before it says
 * that there are too many, stumbles over a list where text is due, and knows nothing of text that cannot be stored.
 */

/** Nothing of ours is nested deeper: a plan, its blocks, a dose, its parts and their fields are six. */
const deepest = 16;

/** Names every object has of its own accord: a field of such a name would be taken for something else. */
const inherited: ReadonlySet<string> = new Set(Object.getOwnPropertyNames(Object.prototype));

const step = (path: string, key: string | number): string =>
  typeof key === 'number' ? `${path}[${key}]` : path === '' ? key : `${path}.${key}`;

/** The last field of a path as it is called on a form: `steps[0].careNote` is "Care note". */
function inWords(path: string): string {
  const [last = ''] = path.split('.').slice(-1);
  const words = last
    .replace(/\[\d+\]/g, '')
    .replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`)
    .trim();
  return words === '' ? 'This' : words[0]!.toUpperCase() + words.slice(1);
}

/** The first thing in a value that cannot be taken whatever it is for: text that is not well-formed, nesting without end. */
export function unsoundIn(value: unknown, path = '', depth = 0): Problem | null {
  if (typeof value === 'string')
    return isSoundText(value)
      ? null
      : {
          field: path,
          message: `${inWords(path)} holds a broken character (half of an emoji, or a zero letter): type it again.`,
        };
  if (typeof value !== 'object' || value === null) return null;
  if (depth > deepest) return { field: path, message: `${path} is nested too deeply.` };
  if (Array.isArray(value)) {
    for (const [index, one] of value.entries()) {
      const problem = unsoundIn(one, step(path, index), depth + 1);
      if (problem) return problem;
    }
    return null;
  }
  for (const [key, one] of Object.entries(value)) {
    if (inherited.has(key) || !isSoundText(key))
      return { field: path, message: 'A field has a name that cannot be taken: leave it out.' };
    const problem = unsoundIn(one, step(path, key), depth + 1);
    if (problem) return problem;
  }
  return null;
}

interface Walked extends Schema {
  readonly innerType?: unknown;
  readonly fields?: Readonly<Record<string, unknown>>;
}

const kinds: Readonly<Record<string, { readonly fits: (value: object) => boolean; readonly is: string }>> = {
  string: { fits: () => false, is: 'text' },
  number: { fits: () => false, is: 'a number' },
  boolean: { fits: () => false, is: 'yes or no' },
  array: { fits: Array.isArray, is: 'a list' },
  object: { fits: (value) => !Array.isArray(value), is: 'a set of fields' },
};

/**
 * The first thing of another kind than its schema wants (a list where text is due, at which Yup's own transforms
 * stumble), or the first list that is longer than it allows; null when there is none.
 */
export function misshapenIn(schema: Schema, value: unknown, path = ''): Problem | null {
  const { type, innerType, fields } = schema as Walked;
  const kind = Object.hasOwn(kinds, type) ? kinds[type]! : undefined;
  if (!kind || value === null || value === undefined) return null;
  // Texts that say a number or a list of their own are left to Yup, but no text is taken for a list.
  const simple = typeof value !== 'object';
  if (simple ? type === 'array' || type === 'object' : !kind.fits(value))
    return { field: path, message: `${inWords(path)} must be ${kind.is}.` };
  if (simple) return null;
  if (Array.isArray(value)) {
    const most = mostOf(schema);
    if (most && value.length > most.count) return { field: path, message: most.message };
    if (!isSchema(innerType)) return null;
    for (const [index, one] of value.entries()) {
      const at = step(path, index);
      if (one === null || one === undefined)
        return { field: at, message: `${inWords(path)}: number ${index + 1} is missing.` };
      const problem = misshapenIn(innerType as Schema, one, at);
      if (problem) return problem;
    }
    return null;
  }
  for (const [key, field] of Object.entries(fields ?? {})) {
    if (!isSchema(field) || !Object.hasOwn(value, key)) continue;
    const problem = misshapenIn(field as Schema, (value as Record<string, unknown>)[key], step(path, key));
    if (problem) return problem;
  }
  return null;
}

/** How many a list may hold, and what it says when it holds more. */
function mostOf(schema: Schema): { count: number; message: string } | null {
  for (const { OPTIONS } of schema.tests) {
    if (OPTIONS?.name !== 'max') continue;
    const { params, message } = OPTIONS;
    const count = (params as { max?: unknown } | undefined)?.max;
    if (typeof count !== 'number') continue;
    return { count, message: typeof message === 'string' ? message : `At most ${count} at a time.` };
  }
  return null;
}
