import fc from 'fast-check';
import { pack, unpack } from './packed';
import { tabled, untabled } from './tables';

const mark = (n: number) => ({
  id: `mark-${n}`,
  playerId: n % 3 === 0 ? null : `child-${n % 3}`,
  kind: 'touch',
  value: n % 2 === 0 ? null : n,
  atMs: 1_700_000_000_000 + 400 * n,
});
const marks = (n: number) => Array.from({ length: n }, (_, at) => mark(at));

test('a long list of like things is a table, and comes out as it went in', () => {
  const view = { title: 'On court', blocks: [{ events: marks(200) }], few: marks(3) };
  const { value, tables } = tabled(view);
  expect(tables).toEqual([['blocks', 0, 'events']]);
  expect((value as { few: unknown }).few).toEqual(view.few);
  expect(JSON.stringify(unpack(pack(view)))).toBe(JSON.stringify(view));
  expect(pack(view).length).toBeLessThan(0.4 * JSON.stringify(view).length);
});

test('what repeats is there once', () => {
  const { value } = tabled(marks(20));
  expect(value).toMatchObject({
    fields: ['id', 'playerId', 'kind', 'value', 'atMs'],
    rows: 20,
    columns: [
      { length: 20 },
      { of: [null, 'child-1', 'child-2'] },
      { of: ['touch'], at: null },
      { length: 20 },
      { length: 20 },
    ],
  });
});

test('what is not alike, or holds more than plain values, stays as it is', () => {
  const unlike = [...marks(20), { id: 'other' }];
  const deep = marks(20).map((one) => ({ ...one, inside: [1] }));
  const turned = [...marks(19), Object.fromEntries(Object.entries(mark(19)).reverse())];
  for (const list of [unlike, deep, turned]) {
    expect(tabled(list).tables).toEqual([]);
    expect(JSON.stringify(unpack(pack(list)))).toBe(JSON.stringify(list));
  }
  // A field that is there and says nothing is none to JSON.
  const blank = marks(20).map((one) => ({ ...one, under: undefined }));
  expect(unpack(pack(blank))).toEqual(marks(20));
});

test('whatever JSON can say comes out as it went in', () => {
  const row = fc.record({ a: fc.string(), b: fc.option(fc.integer()), __c: fc.boolean() });
  const anything = fc.oneof(
    fc.jsonValue(),
    fc.record({ list: fc.array(row, { minLength: 14, maxLength: 40 }), rest: fc.jsonValue() }),
  );
  fc.assert(
    fc.property(anything, (value) => {
      const text = JSON.stringify(value);
      expect(JSON.stringify(untabled(JSON.parse(JSON.stringify(tabled(value)))))).toBe(text);
    }),
  );
});
