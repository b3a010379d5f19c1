import { done, type Outcome, type Problem } from '@/core/base/outcome';
import { isSoundText } from '@/core/base/text';
import {
  bundleFormat,
  bundleVersion,
  keyOf,
  parts,
  thingNames,
  things,
  type Bundle,
  type Entry,
  type Field,
  type Part,
  type ThingName,
  type Value,
} from './things';

/** More problems than this are not listed: the file is of another kind. */
const mostProblems = 20;
/** Entries looked at before other work goes on. */
const atOnce = 2000;

export interface Reading {
  /** Told now and then how many entries are looked at. */
  readonly onChecked?: (checked: number, of: number) => void;
  readonly signal?: AbortSignal;
  /** Lets other work go on. */
  readonly breath?: () => Promise<unknown>;
}

/**
 * Reads what a file says, already parsed: every field of every entry by its description. Whether what an entry names is
 * there is asked by whoever knows the book.
 * @returns the bundle, or what is wrong, each with its place
 */
export async function readBundle(
  input: unknown,
  { onChecked, signal, breath = () => Promise.resolve() }: Reading = {},
): Promise<Outcome<Bundle>> {
  if (!isRecord(input) || input.format !== bundleFormat)
    return wrong('file', 'This file holds no book of Vow Step: choose one that was taken away from it.');
  if (!Number.isInteger(input.version) || (input.version as number) < 1)
    return wrong('version', 'The file does not say its version: it may have been cut or changed.');
  if ((input.version as number) > bundleVersion)
    return wrong(
      'version',
      `The file is of version ${String(input.version)}, and this Vow Step reads up to ${bundleVersion}: bring it into a newer one.`,
    );
  if (!parts.includes(input.part as Part)) return wrong('part', 'The file does not say what it holds.');
  if (!isDay(input.madeOn)) return wrong('madeOn', 'The file does not say when it was made.');

  const raw = new Map<ThingName, readonly unknown[]>();
  const problems: Problem[] = [];
  for (const name of thingNames) {
    if (!Object.hasOwn(input, name)) continue;
    const list = name === 'marks' ? marksOf(input[name]) : input[name];
    if (!Array.isArray(list))
      problems.push({ field: name, message: `${name} must be a list: the file was changed.` });
    else raw.set(name, list);
  }
  const of = [...raw.values()].reduce((sum, list) => sum + list.length, 0);
  let checked = 0;
  const entries: Partial<Record<ThingName, Entry[]>> = {};
  for (const [name, list] of raw) {
    const seen = new Set<string>();
    const own: Entry[] = (entries[name] = []);
    for (const [index, one] of list.entries()) {
      const entry = readEntry(name, index, one, problems);
      if (entry) {
        const key = keyOf(name, entry);
        if (seen.has(key))
          problems.push({
            field: `${name}[${index}]`,
            message: `${name}, number ${index + 1}: it is in the file twice.`,
          });
        seen.add(key);
        own.push(entry);
      }
      if (problems.length >= mostProblems) return { ok: false, problems };
      if (++checked % atOnce === 0) {
        onChecked?.(checked, of);
        await breath();
        if (signal?.aborted) return wrong('file', 'This was left off. Nothing was brought in.');
      }
    }
  }
  if (problems.length > 0) return { ok: false, problems };
  return done({ part: input.part as Part, madeOn: input.madeOn, entries });
}

const wrong = (field: string, message: string): Outcome<never> => ({
  ok: false,
  problems: [{ field, message }],
});
const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Marks come as rows under their columns. */
function marksOf(value: unknown): unknown {
  if (!isRecord(value) || !Array.isArray(value.columns) || !Array.isArray(value.rows)) return null;
  const { columns, rows } = value as { columns: unknown[]; rows: unknown[] };
  if (!columns.every((one) => typeof one === 'string') || columns.length > 40) return null;
  return rows.map((row) =>
    Array.isArray(row) && row.length === columns.length
      ? Object.fromEntries(columns.map((column, index) => [column, (row as unknown[])[index]]))
      : null,
  );
}

function readEntry(name: ThingName, index: number, value: unknown, problems: Problem[]): Entry | null {
  const where = `${name}[${index}]`;
  const say = (field: string, message: string) =>
    problems.push({
      field: field ? `${where}.${field}` : where,
      message: `${name}, number ${index + 1}: ${message}`,
    });
  if (!isRecord(value)) {
    say('', 'this is no entry.');
    return null;
  }
  const { fields } = things[name];
  // What is not on the list is left out, whatever it is called.
  const entry: [string, Value][] = [];
  for (const [field, asked] of Object.entries(fields)) {
    const given = Object.hasOwn(value, field) ? value[field] : asked.before;
    const problem = fieldProblem(field, asked, given);
    if (problem) {
      say(field, problem);
      return null;
    }
    entry.push([field, given as Value]);
  }
  return Object.fromEntries(entry);
}

/** What is wrong with a value, in words; null when it is what was asked for. */
export function fieldProblem(name: string, field: Field, value: unknown): string | null {
  if (value === undefined) return `${name} is missing.`;
  if (value === null) return field.orNull ? null : `${name} is empty.`;
  switch (field.kind) {
    case 'id':
      return typeof value === 'string' && idPattern.test(value) ? null : `${name} must be an id of ours.`;
    case 'text':
      if (typeof value !== 'string') return `${name} must be text.`;
      if (!isSoundText(value)) return `${name} holds a broken character.`;
      return value.length <= field.most ? null : `${name} is longer than ${field.most} letters.`;
    case 'word':
      return field.words.includes(value as string)
        ? null
        : `${name} must be one of ${field.words.join(', ')}.`;
    case 'day':
      return isDay(value) ? null : `${name} must be a day, such as 2026-11-26.`;
    case 'time':
      return typeof value === 'string' && timePattern.test(value)
        ? null
        : `${name} must be a time, such as 16:30.`;
    case 'flag':
      return typeof value === 'boolean' ? null : `${name} must be true or false.`;
    case 'moment':
      return Number.isInteger(value) && (value as number) >= 0 && (value as number) <= latestMs
        ? null
        : `${name} must be milliseconds, a whole number from 0.`;
    case 'json':
      return typeof value === 'object' && soundJson(value) ? null : `${name} must be a list or an object.`;
    case 'whole':
    case 'number':
      if (typeof value !== 'number' || (field.kind === 'whole' && !Number.isInteger(value)))
        return `${name} must be a ${field.kind === 'whole' ? 'whole ' : ''}number.`;
      return value >= field.min && value <= field.max
        ? null
        : `${name} is ${value}: it must be from ${field.min} to ${field.max}.`;
  }
}

/** Ids are ULIDs; the demo's and the first book's are of the same letters. */
const idPattern = /^[0-9A-HJKMNP-TV-Z]{26}$/;
const timePattern = /^([01]\d|2[0-3]):[0-5]\d$/;
/** The end of the year 9999. */
const latestMs = 253_402_300_799_999;
const dayPattern = /^\d{4}-\d\d-\d\d$/;
const isDay = (value: unknown): value is string =>
  typeof value === 'string' &&
  dayPattern.test(value) &&
  new Date(`${value}T00:00:00Z`).toJSON()?.slice(0, 10) === value;

/** Names every object has of its own accord. */
const inherited: ReadonlySet<string> = new Set(Object.getOwnPropertyNames(Object.prototype));
const deepest = 16;

/** Is everything in it text that can be stored, under names that mean nothing else? */
function soundJson(value: unknown, depth = 0): boolean {
  if (typeof value === 'string') return isSoundText(value);
  if (typeof value !== 'object' || value === null) return true;
  if (depth > deepest) return false;
  if (Array.isArray(value)) return value.every((one) => soundJson(one, depth + 1));
  return Object.entries(value).every(
    ([key, one]) => !inherited.has(key) && isSoundText(key) && soundJson(one, depth + 1),
  );
}
