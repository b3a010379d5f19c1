import fc from 'fast-check';
import { parseApart } from './parse-apart';

const bytes = (text: string) => new TextEncoder().encode(text);

test('it says what the parser of this thread says', async () => {
  await fc.assert(
    fc.asyncProperty(fc.json({ maxDepth: 4 }), async (text) => {
      expect(await parseApart(bytes(text))).toEqual({ value: JSON.parse(text) as unknown });
    }),
    { numRuns: 25 },
  );
}, 30_000);

test('a long list, and one within a thing, come over in order', async () => {
  const rows = Array.from({ length: 4321 }, (_, at) => [at, `row ${at}`]);
  const file = { format: 'x', players: rows, marks: { columns: ['a', 'b'], rows } };
  expect(await parseApart(bytes(JSON.stringify(file)))).toEqual({ value: file });
  expect(await parseApart(bytes(JSON.stringify(rows)))).toEqual({ value: rows });
});

test('a key that is a trap is a key like any other', async () => {
  const read = await parseApart(bytes('{"__proto__": {"polluted": 1}, "a": {"__proto__": [1]}}'));
  expect(Object.keys(read!.value as object)).toEqual(['__proto__', 'a']);
  expect(({} as { polluted?: number }).polluted).toBeUndefined();
  expect(Object.getPrototypeOf(read!.value)).toBe(Object.prototype);
});

test.each([
  ['nothing', ''],
  ['half a file', '{"players": [1, 2'],
  ['words', 'hello'],
])('%s is no JSON', async (_what, text) => expect(await parseApart(bytes(text))).toBeUndefined());

test('other work goes on while a large file is read', async () => {
  const rows = Array.from({ length: 60_000 }, (_, at) => ({ id: at, name: `name ${at}`, of: [1, 2, 3] }));
  const file = bytes(JSON.stringify({ marks: { columns: [], rows } }));
  let turns = 0;
  let reading = true;
  const other = () => {
    turns++;
    if (reading) setImmediate(other);
  };
  other();
  const read = await parseApart(file);
  reading = false;
  expect((read!.value as { marks: { rows: unknown[] } }).marks.rows).toHaveLength(60_000);
  // At least one turn for every thousand entries.
  expect(turns).toBeGreaterThan(60);
});

test('it can be left off', async () => {
  const leaving = new AbortController();
  const rows = Array.from({ length: 50_000 }, (_, at) => ({ id: at }));
  const read = parseApart(bytes(JSON.stringify(rows)), leaving.signal);
  leaving.abort();
  expect(await read).toBeUndefined();
  expect(await parseApart(bytes('1'), leaving.signal)).toBeUndefined();
});
