import { bundleFormat, bundleVersion, thingNames, things, type Bundle, type Entry } from './things';

/**
 * A bundle as text, piece by piece, so that a large book is never one string: the same book gives the same bytes. One
 * entry a line; marks as rows under their columns, because there are many.
 */
export function* bundleText({ part, madeOn, entries }: Bundle): Generator<string> {
  const head = { format: bundleFormat, version: bundleVersion, part, madeOn };
  yield `${JSON.stringify(head, null, 1).slice(0, -2)}`;
  for (const name of thingNames) {
    const all = entries[name];
    if (!all) continue;
    const fields = Object.keys(things[name].fields);
    if (name === 'marks') yield `,\n "marks": {"columns": ${JSON.stringify(fields)}, "rows": [`;
    else yield `,\n ${JSON.stringify(name)}: [`;
    for (const [index, entry] of all.entries())
      yield `${index === 0 ? '' : ','}\n  ${name === 'marks' ? row(entry, fields) : object(entry, fields)}`;
    yield name === 'marks' ? '\n ]}' : '\n ]';
  }
  yield '\n}\n';
}

const row = (entry: Entry, fields: readonly string[]) => JSON.stringify(fields.map((field) => entry[field]));
const object = (entry: Entry, fields: readonly string[]) =>
  JSON.stringify(Object.fromEntries(fields.map((field) => [field, entry[field]])));
