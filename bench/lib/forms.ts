import { readdirSync } from 'node:fs';
import path from 'node:path';
import type { Schema, SchemaDescription } from 'yup';
import { catalogue } from '@/drills';

/*
 * A sound form for every schema there is, made of what the schema says of itself, so that a new one is fuzzed without anybody
 * thinking of it. Where a schema wants what it cannot say (a pattern, a whole drill), it stands here.
 */
const id = '01M2GVGE4066H857YDVQ6D9KCR';

/** What a text of such a name is. */
const texts: readonly (readonly [RegExp, string])[] = [
  [/day$|from|until|first|last|date|on$/i, '2026-12-01'],
  [/time$|^at$|start/i, '16:30'],
  [/Ids?$|^id$/, id],
  [/drill/i, 'palm-up-bounce'],
  [/step/i, 'row-20'],
  [/key/i, 'palm-up-bounce'],
];

type Described = SchemaDescription & {
  readonly fields?: Readonly<Record<string, Described>>;
  readonly innerType?: Described | readonly Described[];
  readonly oneOf?: readonly unknown[];
  readonly tests: readonly { readonly name?: string; readonly params?: Readonly<Record<string, unknown>> }[];
};

function sample(described: Described, name = ''): unknown {
  const { type, oneOf = [], tests, fields, innerType } = described;
  const of = (test: string, param: string) =>
    tests.find((one) => one.name === test)?.params?.[param] as number | undefined;
  if (oneOf.length > 0) return oneOf[0];
  switch (type) {
    case 'object':
      return Object.fromEntries(Object.entries(fields ?? {}).map(([key, one]) => [key, sample(one, key)]));
    case 'array': {
      const inner = Array.isArray(innerType) ? (innerType as Described[])[0] : (innerType as Described);
      return inner ? [sample(inner, name.replace(/s$/, ''))] : [];
    }
    case 'number':
      return of('min', 'min') ?? 1;
    case 'boolean':
      return true;
    case 'string':
      return texts.find(([pattern]) => pattern.test(name))?.[1] ?? 'Ada';
    default:
      return null;
  }
}

const byHand: Readonly<Record<string, unknown>> = {
  changesSchema: ['eyes up'],
  drillSchema: catalogue[0],
  bundleSchema: { format: 'vowstep-catalogue', version: 2, drills: [catalogue[0]] },
  bundleFileSchema: { format: 'vowstep-catalogue', version: 2, drills: [catalogue[0]] },
};

/** What a schema wants besides, and cannot say in a way that is read here. */
const besides: Readonly<Record<string, object>> = {
  circuitSchema: { groups: [[id]] },
  blockCorrectionSchema: { changes: [] },
  courseSchema: { fromId: null, days: ['2026-12-01', '2026-12-08', '2026-12-15', '2026-12-22'] },
  placeSchema: { quietFrom: '', quietTo: '' },
  homeSchema: { quietFrom: '', quietTo: '' },
  fitSchema: { value: 20 },
  schoolSchema: { answer: 'as the drill says' },
  trackSchema: { sequence: null },
};
const merged = (form: unknown, more: object | undefined): unknown =>
  more ? { ...(form as object), ...more } : form;

/** Every schema there is, by its name, with a form that is as sound as its own words can make it. */
export async function allForms(): Promise<readonly { name: string; schema: Schema; form: unknown }[]> {
  const folder = path.join(import.meta.dirname, '../../src/schemas');
  const files = readdirSync(folder).filter((file) => file.endsWith('.ts') && !file.includes('.test.'));
  const all: { name: string; schema: Schema; form: unknown }[] = [];
  for (const file of files) {
    const made = (await import(path.join(folder, file))) as Record<string, unknown>;
    for (const [name, schema] of Object.entries(made))
      if (/Schema$/.test(name) && typeof (schema as Schema | undefined)?.describe === 'function')
        all.push({
          name,
          schema: schema as Schema,
          form: byHand[name] ?? merged(sample((schema as Schema).describe() as Described), besides[name]),
        });
  }
  return all;
}
