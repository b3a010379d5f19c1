import Ajv2020 from 'ajv/dist/2020';
import fc from 'fast-check';
import { getTableColumns, sql } from 'drizzle-orm';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { bundleJsonSchema } from '@/formats/bundle/json-schema';
import { bundleText } from '@/formats/bundle/write';
import { thingNames, things, type Part } from '@/formats/bundle/things';
import { tableOf } from '@/data/bundle';
import { demoScratch } from '@/demo/testing/demo-scratch';
import type { Context } from '../base/context';
import { refreshAttempts } from '../court/results';
import { savePlayer, removePlayer } from '../players/squad';
import { eraseForGood } from '../players/erase';
import { problem, scratch, value } from '../testing/scratch';
import { lookAtBundle, takeOverBundle, undoTakeOver } from './bring-in';
import { bundleFor, bundleStream } from './bundle';

const text = async (context: Context, part: Part = 'book', id = ''): Promise<string> =>
  [...bundleText(value(await bundleFor(context, part, id)))].join('');
const parsed = (file: string) => JSON.parse(file) as Record<string, never> & { players: { name: string }[] };
const bring = (context: Context, file: unknown, replace = false) =>
  takeOverBundle(context, file, { replace, name: 'file.json' });

let demo: Awaited<ReturnType<typeof scratch>>;
let book: string;
beforeAll(async () => {
  demo = await demoScratch(2);
  await refreshAttempts(demo.context.db);
  book = await text(demo.context);
}, 120_000);
afterAll(() => demo.close());

test('the stream of a book is the very same bytes, of one moment', async () => {
  let streamed = '';
  let pieces = 0;
  for await (const piece of bundleStream(demo.context, 'book')) {
    streamed += piece;
    // What is written meanwhile is of another moment.
    if (pieces++ === 5) await demo.context.db.run(sql`update player set care_note = care_note || 'x'`);
  }
  await demo.context.db.run(sql`update player set care_note = rtrim(care_note, 'x')`);
  expect(streamed).toBe(book);
});

/** Results and plans as they stand in a book. */
const results = async ({ db }: Context) => ({
  attempts: await db.all(sql`select * from attempt order by block_id, player_id, number`),
  blocks: await db.all(sql`select * from block order by id`),
  parts: await db.all(
    sql`select block_id, player_id, step_id, amount, sits_out from block_player order by 1, 2`,
  ),
});

test('a thing’s fields are its table’s columns, but what the book keeps for itself', () => {
  const kept: Record<string, string[]> = { marks: ['seq'], parts: ['stale'], sessions: ['savedAs'] };
  for (const name of thingNames)
    expect([name, Object.keys(things[name].fields)]).toEqual([
      name,
      Object.keys(getTableColumns(tableOf[name])).filter((column) => !kept[name]?.includes(column)),
    ]);
});

test('the published schema is the one it is read by, and a whole book keeps to it', () => {
  const published = JSON.parse(
    readFileSync(path.join(process.cwd(), 'docs/book.schema.json'), 'utf8'),
  ) as object;
  // npm run -s formats > docs/book.schema.json
  expect(published).toEqual(bundleJsonSchema());
  const ajv = new Ajv2020({ strict: false, formats: { date: /^\d{4}-\d\d-\d\d$/ } });
  const check = ajv.compile(published);
  expect(check(JSON.parse(book)) || check.errors).toBe(true);
});

test('taken away, brought into an empty book, taken away again: the same bytes, the same results and plans', async () => {
  const box = await scratch();
  const took = value(await bring(box.context, JSON.parse(book)));
  expect(took.counts.every(({ same, differ, leftOut }) => same + differ + leftOut === 0)).toBe(true);
  await refreshAttempts(box.context.db);
  expect(await text(box.context)).toBe(book);
  expect(await results(box.context)).toEqual(await results(demo.context));
  // Once more: there is nothing to do, and nothing is done.
  const again = value(await bring(box.context, JSON.parse(book)));
  expect(again.id).toBeNull();
  expect(again.counts.every(({ added, differ }) => added + differ === 0)).toBe(true);
  // And back: the book is as empty as before.
  value(await undoTakeOver(box.context, took.id!));
  expect(Object.values(await results(box.context)).flat()).toEqual([]);
  expect(problem(await undoTakeOver(box.context, took.id!))).toContain('already');
  box.close();
}, 120_000);

test.each<Part>(['drills', 'places', 'session', 'child'])(
  'a part that is %s goes over and stays the same',
  async (part) => {
    const [row] = await demo.context.db.all<{ id: string }>(
      part === 'session'
        ? sql`select id from session where state = 'finished' limit 1`
        : sql`select id from player limit 1`,
    );
    const file = await text(demo.context, part, row!.id);
    const box = await scratch();
    value(await bring(box.context, JSON.parse(file)));
    expect(await text(box.context, part, row!.id)).toBe(file);
    // Of other children a child's file says nothing.
    if (part === 'child') expect(parsed(file).players).toHaveLength(1);
    box.close();
  },
);

test('what says something else here is left, or becomes as the file says; undo puts it back', async () => {
  const box = await scratch();
  const id = value(
    await savePlayer(box.context, { name: 'Ilva', birthYear: 2016, sport: 'tennis', hand: 'left' }),
  ).id;
  const file = parsed(await text(box.context, 'child', id));
  const other = { ...file, players: file.players.map((one) => ({ ...one, name: 'Ilva Two' })) };
  const name = async () =>
    (await box.context.db.all<{ name: string }>(sql`select name from player`))[0]!.name;
  const look = value(await lookAtBundle(box.context, other));
  expect(look.counts.find(({ thing }) => thing === 'players')).toMatchObject({ differ: 1, added: 0 });
  expect(look.lines).toContainEqual({ what: 'Ilva Two', why: 'says something else here.' });
  value(await bring(box.context, other));
  expect(await name()).toBe('Ilva');
  const took = value(await bring(box.context, other, true));
  expect(await name()).toBe('Ilva Two');
  value(await undoTakeOver(box.context, took.id!));
  expect(await name()).toBe('Ilva');
  // What was changed since is not thrown away.
  const once = value(await bring(box.context, other, true));
  value(
    await savePlayer(box.context, { name: 'Ilva Three', birthYear: 2016, sport: 'tennis', hand: 'left' }, id),
  );
  expect(problem(await undoTakeOver(box.context, once.id!))).toContain('changed or used since');
  expect(await name()).toBe('Ilva Three');
  box.close();
});

test('a child removed for good here stays removed', async () => {
  const box = await scratch();
  const id = value(
    await savePlayer(box.context, {
      name: 'Ilva',
      birthYear: 2016,
      sport: 'tennis',
      hand: 'left',
      focus: 'Quiet arm',
    }),
  ).id;
  const file = JSON.parse(await text(box.context, 'child', id)) as object;
  // A file changed them once, and how they were before is kept: it goes too.
  const other = JSON.parse(JSON.stringify(file).replace('left', 'right')) as object;
  expect(value(await bring(box.context, other, true)).id).not.toBeNull();
  value(await removePlayer(box.context, id, true));
  value(await eraseForGood(box.context, id, { name: 'Ilva', sure: true }));
  const took = value(await bring(box.context, file, true));
  expect(took.id).toBeNull();
  expect(took.lines).toContainEqual({
    what: 'A child',
    why: 'was removed for good here, and stays removed.',
  });
  for (const table of ['player', 'focus', 'take_over', 'audit'])
    expect(JSON.stringify(await box.context.db.all(sql.raw(`select * from ${table}`)))).not.toContain('Ilva');
  expect(await box.context.db.all(sql`select * from focus`)).toEqual([]);
  box.close();
});

test('a whole book of before a removal comes in after it: what was removed stays out, and all else is there', async () => {
  const box = await demoScratch(2);
  const { db } = box.context;
  await refreshAttempts(db);
  const [child] = await db.all<{ id: string; name: string }>(
    sql`select p.id, p.name from player p where exists (select 1 from touch_event where player_id = p.id and kind = 'note')
        and exists (select 1 from vow where player_id = p.id) limit 1`,
  );
  const { id, name } = child!;
  await db.run(
    sql`insert or ignore into ledger (focus_id, goal, counts) select id, 100, '[]' from focus where player_id = ${id} limit 1`,
  );
  const file = await text(box.context, 'child', id);
  expect((JSON.parse(file) as { ledgers: object[] }).ledgers.length).toBeGreaterThan(0);
  const before = await text(box.context);
  expect(before).toContain(name);
  value(await eraseForGood(box.context, id, { name }));
  const after = await text(box.context);
  for (const replace of [false, true]) {
    const took = value(await bring(box.context, JSON.parse(before), replace));
    expect(took.lines).toContainEqual({
      what: 'A child',
      why: 'was removed for good here, and stays removed.',
    });
    expect(took.counts.find(({ thing }) => thing === 'vows')!.leftOut).toBeGreaterThan(0);
    expect(await text(box.context)).toBe(after);
  }
  // The child's own file too, with all that hangs on it.
  expect(value(await bring(box.context, JSON.parse(file), true)).id).toBeNull();
  expect(await text(box.context)).toBe(after);
  // An empty book learns nothing of it either: what was counted comes under no name, and comes again.
  const empty = await scratch();
  value(await bring(empty.context, JSON.parse(after)));
  expect(await text(empty.context)).toBe(after);
  empty.close();
  box.close();
}, 120_000);

describe('what is no book of ours is refused with the reason, and nothing is written', () => {
  const whole = () => JSON.parse(book) as Record<string, never>;
  const first = <T>(name: string, change: (entry: Record<string, unknown>) => T) => {
    const file = whole() as Record<string, Record<string, unknown>[]>;
    return { ...file, [name]: file[name]!.map((entry, index) => (index === 0 ? change(entry) : entry)) };
  };
  const marks = (change: (row: unknown[]) => unknown) => {
    const file = whole() as unknown as { marks: { columns: string[]; rows: unknown[][] } };
    return {
      ...file,
      marks: { ...file.marks, rows: [change(file.marks.rows[0]!), ...file.marks.rows.slice(1)] },
    };
  };
  test.each<[string, () => unknown, string]>([
    ['nothing', () => null, 'no book of Vow Step'],
    ['a list', () => [], 'no book of Vow Step'],
    ['another format', () => ({ format: 'recipes' }), 'no book of Vow Step'],
    ['no version', () => ({ ...whole(), version: undefined }), 'does not say its version'],
    ['version 99', () => ({ ...whole(), version: 99 }), 'is of version 99'],
    ['a part there is none of', () => ({ ...whole(), part: 'kitchen' }), 'what it holds'],
    ['a day there is none of', () => ({ ...whole(), madeOn: '2026-02-30' }), 'when it was made'],
    ['a thing that is no list', () => ({ ...whole(), players: {} }), 'players must be a list'],
    ['marks without columns', () => ({ ...whole(), marks: [] }), 'marks must be a list'],
    [
      'a child twice',
      () => ({
        ...whole(),
        players: [...(whole().players as unknown as unknown[]), (whole().players as unknown as unknown[])[0]],
      }),
      'it is in the file twice',
    ],
    ['a missing field', () => first('players', ({ name: _, ...rest }) => rest), 'name is missing'],
    ['an empty field', () => first('players', (one) => ({ ...one, name: null })), 'name is empty'],
    ['half a letter', () => first('players', (one) => ({ ...one, name: '\ud83c' })), 'broken character'],
    ['a long name', () => first('players', (one) => ({ ...one, name: 'x'.repeat(61) })), 'longer than 60'],
    [
      'a sport of no list',
      () => first('players', (one) => ({ ...one, sport: 'golf' })),
      'must be one of tennis',
    ],
    [
      'a proto',
      () => first('places', (one) => ({ ...one, hazards: JSON.parse('[{"__proto__": 1}]') as unknown })),
      'list or an object',
    ],
    [
      'hazards of no list',
      () => first('places', (one) => ({ ...one, hazards: ['lions'] })),
      'Hazards must be of',
    ],
    [
      'a dose without end',
      () => first('blocks', (one) => ({ ...one, dose: { kind: 'row', target: 1e9, capS: 1 } })),
      'blocks, number 1',
    ],
    [
      'a drill that is none',
      () => first('blocks', (one) => ({ ...one, sessionId: '0'.repeat(26) })),
      'neither in the file nor in the book',
    ],
    [
      'a mark of no kind',
      () => marks((row) => row.map((cell, index) => (index === 3 ? 'dance' : cell))),
      'kind must be one of',
    ],
    [
      'a ledger that counts nothing',
      () => first('ledgers', (one) => ({ ...one, counts: { drill: 'carry' } })),
      'counts must be a list',
    ],
    ['a short row', () => marks((row) => row.slice(1)), 'this is no entry'],
  ])('%s', async (_what, make, words) => {
    const box = await scratch();
    const outcome = await bring(box.context, make(), true);
    expect(problem(outcome)).toContain(words);
    expect(Object.values(await results(box.context)).flat()).toEqual([]);
    expect(await box.context.db.all(sql`select * from take_over`)).toEqual([]);
    box.close();
  });

  test('a mark that is known with other contents', async () => {
    const outcome = await bring(
      demo.context,
      marks((row) => row.map((cell, index) => (index === 9 ? Number(cell) + 1 : cell))),
    );
    expect(problem(outcome)).toContain('only added to');
  });

  test('a file that is left off in the middle', async () => {
    const box = await scratch();
    const stop = new AbortController();
    const outcome = await takeOverBundle(
      box.context,
      whole(),
      { replace: false, name: 'x' },
      {
        signal: stop.signal,
        onChecked: () => stop.abort(),
      },
    );
    expect(problem(outcome)).toContain('left off');
    expect(Object.values(await results(box.context)).flat()).toEqual([]);
    box.close();
  });
});

test('whatever a player’s words say, they come through a file as they were', async () => {
  const box = await scratch();
  const empty = await scratch();
  let n = 0;
  await fc.assert(
    fc.asyncProperty(fc.string({ unit: 'grapheme', maxLength: 40 }), async (words) => {
      const name = `N${(n += 1)}${words}`.trim();
      if (/\0/.test(name)) return;
      const saved = await savePlayer(box.context, {
        name,
        birthYear: 2016,
        sport: 'tennis',
        hand: 'left',
        careNote: words,
      });
      if (!saved.ok) return;
      const file = await text(box.context, 'child', saved.value.id);
      value(await bring(empty.context, JSON.parse(file)));
      expect(await text(empty.context, 'child', saved.value.id)).toBe(file);
    }),
    { numRuns: 40 },
  );
  box.close();
  empty.close();
}, 60_000);
