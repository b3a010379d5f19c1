import { fitKeys } from '@/core/players/fit';
import Ajv from 'ajv/dist/2020';
import { catalogue } from '@/drills';
import { cards } from '@/drills/base/cards';
import { kitThings } from '@/drills/base/kit';
import * as types from '@/drills/base/types';
import { measures } from '@/core/counting/measure';
import { doseFields } from '@/core/dose/limits';
import published from '../../docs/catalogue.schema.json';
import { bundleOf } from '@/server/drills/drill-file';
import { check } from './check';
import { bundleSchema } from './drill';

/* The published JSON Schema, read by a validator that is not ours (ajv), says the same as the schema of the doors. */
const ajv = new Ajv({ allErrors: true, strict: true, strictTypes: false, strictRequired: false });
const passes = ajv.compile(published);
const taken = (file: unknown) => check(bundleSchema, file).ok;
const carry = catalogue.find((drill) => drill.id === 'carry')!;
const rings = catalogue.find((drill) => drill.id === 'ring-target')!;

test('the whole catalogue passes', () => {
  passes(bundleOf(catalogue));
  expect(passes.errors ?? []).toEqual([]);
  expect(taken(bundleOf(catalogue))).toBe(true);
});

/** A drill changed at a path. */
function at(path: string, value: unknown, from: types.Drill = carry): unknown {
  const drill = JSON.parse(JSON.stringify(from)) as Record<string, unknown>;
  const keys = path.split('.');
  const last = keys.pop()!;
  const holder = keys.reduce<Record<string, unknown>>((so, key) => so[key] as Record<string, unknown>, drill);
  if (value === undefined) delete holder[last];
  else holder[last] = value;
  return bundleOf([drill as unknown as types.Drill]);
}

test.each([
  'id',
  'title',
  'family',
  'sports',
  'ages',
  'trains',
  'purpose',
  'setUp',
  'feed',
  'hold',
  'stance',
  'dropRule',
  'space',
  'kit',
  'players',
  'helper',
  'cards',
  'warms',
  'fit',
  'setUpS',
  'changeoverS',
  'checkpoints',
  'faults',
  'care',
  'spices',
  'easings',
  'recap',
  'steps',
  'steps.0.id',
  'steps.0.title',
  'steps.0.task',
  'steps.0.change',
  'steps.0.cue',
  'steps.0.measure',
  'steps.0.gate',
  'steps.0.doses',
  'steps.0.doses.4-6',
  'steps.0.perTouchS',
  'steps.0.load',
  'steps.0.moves',
  'steps.0.perTouchS.origin',
  'kit.0.item',
  'recap.homeChallenge',
])('without %s both refuse', (path) => {
  expect([passes(at(path, undefined)), taken(at(path, undefined))]).toEqual([false, false]);
});

test.each<[string, unknown]>([
  ['id', 'a b'],
  ['title', ''],
  ['title', 'x'.repeat(61)],
  ['family', 'dance'],
  ['sports', []],
  ['sports', ['golf']],
  ['sports', ['tennis', 'tennis']],
  ['ages.from', 2],
  ['ages.to', 7.5],
  ['trains', ['luck']],
  ['feed.how', 'cannon'],
  ['hold', 'teeth'],
  ['space.lengthM', 0],
  ['space.needs', ['pool']],
  ['kit.0.item', 'unicorn'],
  ['kit.0.count', 0],
  ['kit.0.standIns', ['unicorn']],
  ['players.max', 13],
  ['helper', 'sleeps'],
  ['cards', ['ace']],
  ['fit', ['mood']],
  ['setUpS.value', 'long'],
  ['setUpS.origin', 'rumour'],
  ['checkpoints', ['One only.']],
  ['faults', []],
  ['care', []],
  ['spices', ['chilli']],
  ['recap.questions', []],
  ['steps', []],
  ['steps.0.id', 'A B'],
  ['steps.0.cue', 'x'.repeat(71)],
  ['steps.0.measure', 'mood'],
  ['steps.0.gate.days', 0],
  ['steps.0.doses.4-6', { kind: 'reps', sets: 0, reps: 1, sides: 1, restS: 0 }],
  ['steps.0.doses.4-6', { kind: 'wish' }],
  ['steps.0.load.strongSide', 2],
  ['steps.0.moves', ['fly']],
])('%s as %j: both refuse', (path, value) => {
  expect([passes(at(path, value)), taken(at(path, value))]).toEqual([false, false]);
});

test.each<[string, unknown, types.Drill]>([
  ['bounceRule', 'any bounce', carry],
  ['steps.0.perTouchS.note', 'timed with a stopwatch', carry],
  [
    'steps.0.zones',
    [
      { label: 'In', points: 1 },
      { label: 'Out', points: 0 },
    ],
    rings,
  ],
  ['steps.0.limit', { triesASession: 5, daysApart: 2, fromAge: 12, origin: 'ours' }, carry],
])('%s may be %j for both', (path, value, drill) => {
  expect([passes(at(path, value, drill)), taken(at(path, value, drill))]).toEqual([true, true]);
});

test('its lists are the lists of the code', () => {
  const { drill, step, dose, kitThing } = published.$defs;
  const sorted = (list: readonly string[]) => [...list].sort();
  const same = (inFile: readonly string[], inCode: readonly string[]) =>
    expect(sorted(inFile)).toEqual(sorted(inCode));
  same(
    kitThing.enum,
    kitThings.map((thing) => thing.name),
  );
  same(
    drill.properties.cards.items.enum,
    cards.map((card) => card.id),
  );
  same(drill.properties.fit.items.enum, fitKeys);
  same(drill.properties.trains.items.enum, types.focuses);
  same(drill.properties.spices.items.enum, types.spices);
  same(drill.properties.easings.items.enum, types.easings);
  same(drill.properties.hold.enum, types.holds);
  same(drill.properties.stance.enum, types.stances);
  same(drill.properties.family.enum, types.families);
  same(step.properties.measure.enum, Object.keys(measures));
  same(
    dose.oneOf.map((one) => one.properties.kind.const),
    Object.keys(doseFields),
  );
});
