import {
  bundleFormat,
  bundleVersion,
  thingNames,
  things,
  type Bundle,
  type Entry,
  type ThingName,
} from './things';

/**
 * A bundle as text, piece by piece, so that a large book is never one string: the same book gives the same bytes. One
 * entry a line; marks as rows under their columns, because there are many.
 */
export function* bundleText({ part, madeOn, entries }: Bundle): Generator<string> {
  yield bundleHead(part, madeOn);
  for (const name of thingNames) {
    const all = entries[name];
    if (!all) continue;
    yield thingHead(name);
    for (const [index, entry] of all.entries()) yield entryText(name, entry, index === 0);
    yield thingEnd(name);
  }
  yield bundleEnd;
}

/** The pieces of {@link bundleText}, for whoever does not have the whole of it at once. */
export const bundleHead = (part: Bundle['part'], madeOn: string): string =>
  JSON.stringify({ format: bundleFormat, version: bundleVersion, part, madeOn }, null, 1).slice(0, -2);
export const bundleEnd = '\n}\n';

const columns = (name: ThingName): string[] => Object.keys(things[name].fields);
export const thingHead = (name: ThingName): string =>
  name === 'marks'
    ? `,\n "marks": {"columns": ${JSON.stringify(columns(name))}, "rows": [`
    : `,\n ${JSON.stringify(name)}: [`;
export const thingEnd = (name: ThingName): string => (name === 'marks' ? '\n ]}' : '\n ]');
export function entryText(name: ThingName, entry: Entry, isFirst: boolean): string {
  const fields = columns(name);
  return `${isFirst ? '' : ','}\n  ${name === 'marks' ? row(entry, fields) : object(entry, fields)}`;
}

const row = (entry: Entry, fields: readonly string[]) => JSON.stringify(fields.map((field) => entry[field]));
const object = (entry: Entry, fields: readonly string[]) =>
  JSON.stringify(Object.fromEntries(fields.map((field) => [field, entry[field]])));
