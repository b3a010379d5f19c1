import { bundleFormat, bundleVersion, parts, thingNames, things, type Field, type Thing } from './things';

/** The description of a bundle as a JSON Schema (draft 2020-12), for programs that write or read one. */
export function bundleJsonSchema(): object {
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'A book of Vow Step, or a part of it',
    type: 'object',
    required: ['format', 'version', 'part', 'madeOn'],
    properties: {
      format: { const: bundleFormat },
      version: { const: bundleVersion },
      part: { enum: parts },
      madeOn: { type: 'string', format: 'date' },
      ...Object.fromEntries(
        thingNames.map((name) => [name, name === 'marks' ? rows(things[name]) : list(things[name])]),
      ),
    },
  };
}

const list = (thing: Thing) => ({
  description: `Each is ${thing.is}. Told apart by ${thing.key.join(' and ')}.`,
  type: 'array',
  items: {
    type: 'object',
    required: Object.entries(thing.fields).flatMap(([name, { before }]) =>
      before === undefined ? [name] : [],
    ),
    properties: Object.fromEntries(
      Object.entries(thing.fields).map(([name, field]) => [name, schemaOf(field)]),
    ),
  },
});

const rows = (thing: Thing) => ({
  description: `Each row is ${thing.is}.`,
  type: 'object',
  required: ['columns', 'rows'],
  properties: {
    columns: { const: Object.keys(thing.fields) },
    rows: {
      type: 'array',
      items: {
        type: 'array',
        prefixItems: Object.values(thing.fields).map(schemaOf),
        minItems: Object.keys(thing.fields).length,
        maxItems: Object.keys(thing.fields).length,
      },
    },
  },
});

function schemaOf(field: Field): object {
  const { is, orNull, of } = field;
  const description = of ? `${is} (the id of one of ${of})` : is;
  const value = valueOf(field);
  return { description, ...(orNull ? { anyOf: [value, { type: 'null' }] } : value) };
}

function valueOf(field: Field): object {
  switch (field.kind) {
    case 'id':
      return { type: 'string', pattern: '^[0-9A-HJKMNP-TV-Z]{26}$' };
    case 'text':
      return { type: 'string', maxLength: field.most };
    case 'word':
      return { enum: field.words };
    case 'day':
      return { type: 'string', format: 'date' };
    case 'time':
      return { type: 'string', pattern: '^([01][0-9]|2[0-3]):[0-5][0-9]$' };
    case 'moment':
      return { description: 'Unix milliseconds', type: 'integer', minimum: 0 };
    case 'flag':
      return { type: 'boolean' };
    case 'json':
      return { type: ['object', 'array'] };
    case 'whole':
      return { type: 'integer', minimum: field.min, maximum: field.max };
    case 'number':
      return { type: 'number', minimum: field.min, maximum: field.max };
  }
}
