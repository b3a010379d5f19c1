import fc from 'fast-check';
import { eventWith } from '@/core/counting/testing/event';
import { longestRecord } from '@/core/counting/event';
import { asBegun, beginBlock, begunOf, readBegun, underOf, writeBegun } from './begun';
import { makeBook, plainBook } from '@/drills/book';
import { blockOf, workOf } from '../base/plan';

const step = plainBook.step('ring-target', 'underarm-throw')!;
const block = {
  ...blockOf({ id: 'b', drillId: 'ring-target', stepId: step.id, dose: step.doses['10-12'] }),
  own: [{ playerId: 'p', stepId: step.id, amount: 7, out: false }],
};
const players = [
  { id: 'p', age: 11, target: 20, ball: 'orange' },
  { id: 'q', age: 5, target: null, ball: null },
];
const at = { day: '2026-11-26', place: 'Hall', placeId: null, coach: 'Kit' };
const shape = { turns: 1, turnS: 90, atOnce: 2 };

test('a record says what the block is for everybody, and is read as it was written', () => {
  const begun = beginBlock(plainBook, block, players, shape, at);
  expect(readBegun(writeBegun(begun))).toEqual(begun);
  expect(begun.players).toEqual([
    { playerId: 'p', stepId: step.id, amount: 7, out: false, target: 20, ball: 'orange' },
    { playerId: 'q', stepId: step.id, amount: 10, out: false, target: null, ball: null },
  ]);
});

test('what was begun stays, whatever becomes of the plan and the schools', () => {
  const begun = beginBlock(plainBook, block, players, shape, at);
  const elsewhere = plainBook.step('palm-up-bounce', 'row-20')!;
  const changed = {
    ...block,
    drillId: 'palm-up-bounce',
    stepId: elsewhere.id,
    dose: elsewhere.doses['7-9'],
    own: [],
  };
  const other = makeBook({
    own: [],
    retired: [],
    choices: [{ scope: 'coach', key: '', question: 'targetScoring', answer: 'one if it lands' }],
  });
  const was = workOf(plainBook, block, 'p')!;
  const is = workOf(other, asBegun(changed, begun), 'p')!;
  expect([is.drill.id, is.step.id, is.dose]).toEqual([was.drill.id, was.step.id, was.dose]);
  expect(is.step.zones).toEqual(was.step.zones);
  // Without the record the new school gives other points.
  expect(workOf(other, block, 'p')!.step.zones).not.toEqual(was.step.zones);
  expect(asBegun(changed, null)).toBe(changed);
});

test('of several records the one with the lowest id holds; what cannot be read is passed over', () => {
  const record = (id: number, stepId: string) =>
    eventWith({
      id: `01ARZ3NDEKTSV4RRFFQ69G5F${id}0`,
      playerId: null,
      kind: 'begun',
      text: writeBegun({ ...beginBlock(plainBook, block, players, shape, at), stepId }),
    });
  const broken = { ...record(1, 'x'), text: '{"drillId":' };
  expect(begunOf([record(3, 'later'), record(2, 'first'), broken])!.stepId).toBe('first');
  expect(begunOf([eventWith()])).toBeNull();
});

test.each([
  null,
  '',
  '[]',
  'null',
  '{}',
  '{"drillId":"x"}',
  JSON.stringify({ ...beginBlock(plainBook, block, players, shape, at), dose: { kind: 'constructor' } }),
  JSON.stringify({ ...beginBlock(plainBook, block, players, shape, at), players: [null] }),
  JSON.stringify({ ...beginBlock(plainBook, block, players, shape, at), scoring: { zones: { x: 'y' } } }),
])('%j is no record', (text) => expect(readBegun(text)).toBeNull());

test('whatever a device sends as a record, it is read or it is none', () => {
  fc.assert(
    fc.property(fc.jsonValue(), (value) => {
      const begun = readBegun(JSON.stringify(value));
      expect(begun === null || typeof begun.drillId === 'string').toBe(true);
    }),
  );
});

test('the longest record there is fits into an event', () => {
  const zones = Array.from({ length: 6 }, (_, n) => ({ label: 'x'.repeat(30), points: n }));
  const begun = beginBlock(
    plainBook,
    block,
    Array.from({ length: 12 }, (_, n) => ({
      id: `01ARZ3NDEKTSV4RRFFQ69G5F${10 + n}`,
      age: 5 + n,
      target: 123.5,
      ball: 'yellow',
    })),
    shape,
    at,
  );
  const parts = Array.from({ length: 16 }, () => ({ name: 'x'.repeat(60), partS: 120, sides: 2 as const }));
  const long = {
    ...begun,
    dose: { kind: 'routine' as const, rounds: 20, changeS: 60, parts },
    scoring: {
      ...begun.scoring,
      zones: Object.fromEntries(Array.from({ length: 6 }, (_, n) => [`${n}`.repeat(60), zones])),
    },
  };
  expect(writeBegun(long).length).toBeLessThan(longestRecord);
});

test('a fingerprint follows drill, own step and changes, and nothing else', () => {
  const under = underOf(block, 'p');
  expect(underOf({ ...block, stepId: 'other' }, 'p')).toBe(under);
  expect(underOf({ ...block, changes: [] }, 'p')).toBe(under);
  for (const other of [
    { ...block, drillId: 'carry' },
    { ...block, changes: ['walking'] },
    { ...block, own: [{ ...block.own[0]!, stepId: 'other' }] },
  ])
    expect(underOf(other, 'p')).not.toBe(under);
  expect(underOf({ ...block, changes: ['a', 'b'] }, 'q')).toBe(
    underOf({ ...block, changes: ['b', 'a'] }, 'q'),
  );
});
