import fc from 'fast-check';
import type { Schema } from 'yup';
import { plainBook, catalogue } from '@/drills';
import { blockOf } from '@/session/base/plan';
import { eventWith } from '@/core/counting/testing/event';
import { check } from './check';
import { decisionsSchema } from './decision';
import { bundleFormat, bundleSchema, bundleVersion, drillSchema } from './drill';
import { kitSchema, placeSchema } from './place';
import { playerSchema } from './player';
import { fitSchema, schoolSchema } from './school';
import { sessionSchema } from './booking';
import { planSchema } from './session';
import { feederSchema, settingForm } from './setting';
import { standingSchema } from './standing';
import { checkBatch } from './touches';
import { trackSchema } from './track';

/* Every door, with whatever a stranger may send: an answer in words, never a fault. */
const id = (n: number) => `01ARZ3NDEKTSV4RRFFQ69G5F${String(n).padStart(2, '0')}`;
const nowMs = Date.UTC(2026, 10, 26);
const drill = catalogue.find((one) => one.id === 'ring-target')!;
const booking = {
  title: 'Thursday',
  day: '2026-11-26',
  startTime: '16:30',
  bookedMin: 60,
  coach: '',
  placeName: '',
  placeId: null,
  airC: null,
  playerIds: [id(1)],
};
const wall = {
  kind: 'wall',
  shot: 'one bounce',
  ball: 'red',
  distanceM: 3,
  markM: 1,
  bandFromM: 0.8,
  bandToM: 1.4,
  hitsPerMin: 40,
};
const machine = {
  ball: 'yellow',
  speedMps: 12,
  elevationDeg: 10,
  spinPerMin: 0,
  sideDeg: 0,
  intervalS: 3,
  scatterPercent: 2,
  scatterDeg: 1,
};
const routine = plainBook.drills
  .flatMap((one) => one.steps.map((step) => ({ drillId: one.id, step })))
  .find(({ step }) => step.doses['7-9'].kind === 'routine')!;
const block = {
  ...blockOf({
    id: id(2),
    drillId: routine.drillId,
    stepId: routine.step.id,
    dose: routine.step.doses['7-9'],
    setting: wall as never,
  }),
  own: [{ playerId: id(1), stepId: routine.step.id, amount: null, out: false }],
};

const doors: readonly (readonly [name: string, schema: Schema, sample: unknown])[] = [
  [
    'player',
    playerSchema(2026) as never,
    { name: 'Ada', birthYear: 2016, sport: 'tennis', hand: 'right', careNote: 'x', focus: 'y' },
  ],
  ['session', sessionSchema as never, booking],
  ['plan', planSchema(plainBook) as never, { ...booking, revision: 1, blocks: [block] }],
  [
    'place',
    placeSchema as never,
    { name: 'Hall', lengthM: 24, widthM: 7, surface: 'wood', wallM: 9, tables: 2, hazards: [] },
  ],
  ['kit', kitSchema as never, { racket: 4, ball: null }],
  ['drill', drillSchema as never, drill],
  [
    'bundle',
    bundleSchema as never,
    { format: bundleFormat, version: bundleVersion, drills: [drill, routine && catalogue[0]] },
  ],
  ['school', schoolSchema as never, { scope: 'coach', key: '', question: 'order', answer: 'swing first' }],
  ['fit', fitSchema as never, { key: 'hoopM', value: 2 }],
  ['standing', standingSchema as never, { playerId: id(1), drillId: 'ring-target', stepId: 'x' }],
  ['decisions', decisionsSchema as never, [{ blockId: id(1), playerId: id(2), verdict: 'up', target: 3 }]],
  ['setting', settingForm as never, { setting: wall }],
  [
    'feeder in a block',
    settingForm as never,
    { setting: { kind: 'feeder', name: '', machine, apexS: 1, bounceS: 2, contactS: 3 } },
  ],
  [
    'feeder',
    feederSchema as never,
    {
      name: 'Deep',
      drillId: 'ring-target',
      settings: { machine, place: { mouthM: 1, playerM: 10, court: 'none' } },
    },
  ],
  ['track', trackSchema as never, { format: 'wav', tempoPerMin: '90', set: 'sides', seed: '3' }],
];

const nasty: fc.Arbitrary<unknown> = fc.oneof(
  fc.constantFrom<unknown>(
    '__proto__',
    'constructor',
    'hasOwnProperty',
    'toString',
    '',
    ' ',
    'x'.repeat(5000),
    'half \ud83c',
    'zero \0',
    '%E0%A4%A',
    null,
    true,
    -1,
    0.5,
    1e308,
    ['a list'],
    [['deep']],
    {},
    { kind: 'constructor' },
    { kind: '__proto__' },
    JSON.parse('{"__proto__":{"polluted":1},"constructor":{"prototype":{}}}'),
    Array.from({ length: 20_000 }, () => ({})),
  ),
  fc.jsonValue({ maxDepth: 4 }) as fc.Arbitrary<unknown>,
);

/** Every place in a sample, as the keys that lead there. */
function placesIn(value: unknown, path: readonly (string | number)[] = []): (readonly (string | number)[])[] {
  const here = [path];
  if (Array.isArray(value)) return [...here, ...value.flatMap((one, n) => placesIn(one, [...path, n]))];
  if (typeof value !== 'object' || value === null) return here;
  return [...here, ...Object.entries(value).flatMap(([key, one]) => placesIn(one, [...path, key]))];
}

function replaced(value: unknown, [key, ...rest]: readonly (string | number)[], by: unknown): unknown {
  if (key === undefined) return by;
  if (Array.isArray(value)) return value.map((one, n) => (n === key ? replaced(one, rest, by) : one));
  const record = value as Record<string, unknown>;
  return { ...record, [key]: replaced(record[key], rest, by) };
}

test.each(doors)('%s: the sample is taken', (_name, schema, sample) => {
  expect(check(schema, sample)).toMatchObject({ ok: true });
});

test.each(doors)(
  '%s: whatever stands in any field, the answer is a value or words',
  (_name, schema, sample) => {
    const places = placesIn(sample);
    fc.assert(
      fc.property(fc.constantFrom(...places), nasty, (place, by) => {
        const outcome = check(schema, replaced(sample, place, by));
        if (outcome.ok) return;
        expect(outcome.problems.length).toBeGreaterThan(0);
        for (const { message } of outcome.problems) expect(message).toMatch(/\S/);
      }),
      { numRuns: 300 },
    );
    expect(({} as { polluted?: unknown }).polluted).toBeUndefined();
  },
);

const broken = ['half \ud83c', '\udfbe half', 'zero \0'];
test.each(
  doors.flatMap(([name, schema, sample]) => broken.map((text) => [name, text, schema, sample] as const)),
)('%s: %j is refused in every text', (_name, text, schema, sample) => {
  // What is no set of fields at all is taken as an empty one: the sample itself is left out.
  for (const place of placesIn(sample).slice(1)) {
    const outcome = check(schema, replaced(sample, place, text));
    if (outcome.ok) throw new Error(`It is taken at ${place.join('.')}.`);
  }
});

describe('lists are counted before they are read', () => {
  const read = { count: 0 };
  const trap = new Proxy({}, { get: () => (read.count++, undefined), ownKeys: () => (read.count++, []) });
  const many = (length: number) => Array.from({ length }, () => trap);
  beforeEach(() => (read.count = 0));

  test.each([
    ['plan', planSchema(plainBook), { ...booking, revision: 1, blocks: many(41) }, 'Blocks: at most 40'],
    ['session', sessionSchema, { ...booking, playerIds: many(13) }, 'Players: at most 12'],
    ['decisions', decisionsSchema, many(501), 'Decisions: at most 500'],
    [
      'bundle',
      bundleSchema,
      { format: bundleFormat, version: 2, drills: many(101) },
      'Drills: at most a hundred',
    ],
    ['drill', drillSchema, { ...drill, care: many(13) }, 'Care: write one to eight'],
    ['drill', drillSchema, { ...drill, cards: many(21) }, 'Cards: at most'],
    ['place', placeSchema, { hazards: many(50) }, 'Hazards'],
  ] as const)('%s', (_name, schema, value, message) => {
    const outcome = check(schema as never, value);
    expect(outcome.ok ? '' : outcome.problems[0]!.message).toContain(message);
    expect(read.count).toBe(0);
  });
});

test('touches: whatever stands in any field, the answer is a value or words', () => {
  const sample = { events: [eventWith(), eventWith({ kind: 'note', text: 'x', by: 'y' })] };
  expect(checkBatch(sample, nowMs)).toMatchObject({ ok: true });
  fc.assert(
    fc.property(fc.constantFrom(...placesIn(sample)), nasty, (place, by) => {
      const outcome = checkBatch(replaced(sample, place, by), nowMs);
      if (!outcome.ok)
        expect(outcome.problems[0]!.message).toMatch(/^(Event \d+ of \d+ is not sound: |events )/);
    }),
    { numRuns: 1000 },
  );
});

test('what is nested without end is refused', () => {
  let deep: unknown = 'x';
  for (let n = 0; n < 50_000; n++) deep = [deep];
  expect(check(sessionSchema as never, { ...booking, strange: deep })).toMatchObject({ ok: false });
});

test('a broken character is named by its field', () => {
  const outcome = check(playerSchema(2026) as never, { name: 'Ada', careNote: 'half \ud83c' });
  expect(outcome).toMatchObject({
    problems: [{ field: 'careNote', message: expect.stringContaining('Care note holds a broken character') }],
  });
});
