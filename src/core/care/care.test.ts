import fc from 'fast-check';
import { noLoadSum, type LoadSum } from '../dose/load';
import type { Place } from '../venues/place';
import { careFor, rules } from '.';
import type { CareInput, CarePlayer, CarePlayerWork, CareWork, Warning } from './care';
import { drinkEveryS, sessionCap } from './limits';

const place: Place = {
  name: 'Yard',
  lengthM: 18,
  widthM: 12,
  ceilingM: 4.2,
  surface: 'rough concrete',
  wallM: 9,
  tables: 0,
  hazards: [],
  quietFrom: '13:00',
  quietTo: '15:00',
};
const ann: CarePlayer = {
  id: 'ann',
  name: 'Ann',
  age: 10,
  careNote: '',
  weekLoad: noLoadSum,
  dayLoad: noLoadSum,
  lastDone: {},
};
const bo: CarePlayer = { ...ann, id: 'bo', name: 'Bo', age: 14 };
const doing = (playerId: string, load: Partial<LoadSum> = {}, limit: CarePlayerWork['limit'] = null) => ({
  playerId,
  load: { ...noLoadSum, tries: 10, strongTries: 5, ...load },
  limit,
});
const work = (id: string, more: Partial<CareWork> = {}): CareWork => ({
  id,
  title: id,
  startS: 0,
  totalS: 180,
  breakS: 0,
  players: [doing('ann'), doing('bo')],
  warms: [],
  moves: [],
  ages: { from: 4, to: 16 },
  hitting: false,
  ceilingM: 2.4,
  wall: false,
  lane: { lengthM: 2, widthM: 2 },
  roomFor: null,
  atOnce: 2,
  ...more,
});
const input = (list: readonly CareWork[], more: Partial<CareInput> = {}): CareInput => ({
  kind: 'plan',
  work: list,
  players: [ann, bo],
  place: null,
  airC: null,
  startTime: '16:30',
  warmUps: { forearm: 'wrists', shoulder: 'shoulders', legs: 'shuffle' },
  ...more,
});
const said = (rule: string, list: readonly CareWork[], more: Partial<CareInput> = {}): Warning[] =>
  careFor(input(list, more)).filter((warning) => warning.rule === rule);

const fast = work('Fast hand', { players: [doing('ann', { forearm: 10 })] });
const wrists = work('Wrists', { warms: ['forearm'] });

test('a quiet plan has no warning', () => {
  expect(careFor(input([wrists, work('Bounce'), work('Rings')]))).toEqual([]);
});

describe('warm-up first (common practice)', () => {
  test('fast forearm work with nothing before it: the mend puts the series in', () => {
    expect(said('warm-up first', [fast])).toMatchObject([
      {
        severity: 'stop',
        blockId: 'Fast hand',
        origin: 'practice',
        mend: { kind: 'insert', drillId: 'wrists', before: 'Fast hand' },
        mendText: 'Put the wrist and forearm series before it',
      },
    ]);
  });
  test('the series before it, or hitting before it, is enough', () => {
    expect(said('warm-up first', [wrists, fast])).toEqual([]);
    expect(said('warm-up first', [work('Strokes', { hitting: true }), fast])).toEqual([]);
  });
  test('a series that stands later is moved, and a drill that warms by itself is no mend for itself', () => {
    expect(said('warm-up first', [fast, wrists])[0]?.mend).toEqual({
      kind: 'move',
      blockId: 'Wrists',
      before: 'Fast hand',
    });
  });
  test('overhead work asks for the shoulder, sprints for the legs', () => {
    const serve = work('Serve', { players: [doing('bo', { overheads: 8 })] });
    const run = work('Run', { moves: ['sprint'] });
    expect(said('warm-up first', [serve, run]).map((one) => one.mend)).toEqual([
      { kind: 'insert', drillId: 'shoulders', before: 'Serve' },
      { kind: 'insert', drillId: 'shuffle', before: 'Run' },
    ]);
    // Light hops are a leg warm-up themselves.
    const hops = work('Hops', {
      warms: ['legs'],
      moves: ['jump'],
      players: [doing('ann', { contacts: 10 })],
    });
    expect(said('warm-up first', [hops, run])).toEqual([]);
  });
});

describe('load caps', () => {
  // 80 to 100 contacts a session for beginners: strength-and-conditioning handbooks (NSCA), from memory.
  test('the line for the oldest is in the handbook’s range, and smaller for the small', () => {
    const lines = [5, 8, 11, 15].map((age) => sessionCap(age, 'contacts'));
    expect(lines.at(-1)).toBeGreaterThanOrEqual(80);
    expect(lines.at(-1)).toBeLessThanOrEqual(100);
    expect(lines).toEqual([...lines].sort((a, b) => a - b));
  });
  test('a hundred landings at ten are over the line of 80: the block is shortened to what is left', () => {
    const [one] = said('load caps', [
      work('Hops', { warms: ['legs'], players: [doing('ann', { contacts: 40 })] }),
      work('Jumps', { players: [doing('ann', { contacts: 60 })] }),
    ]);
    // 60 of 100 may stay 40: two thirds, drawn down to 0.65.
    expect(one).toMatchObject({
      severity: 'caution',
      playerId: 'ann',
      text: 'Ann would do 100 landings from jumps and hops in this session; at 10 the line is 80.',
      mend: { kind: 'scale', blockId: 'Jumps', share: 0.65, playerId: 'ann' },
    });
    expect(one!.source).toContain('NSCA');
  });
  test('other sessions of the same day count towards its line', () => {
    const busy = {
      ...ann,
      dayLoad: { ...noLoadSum, contacts: 50 },
      weekLoad: { ...noLoadSum, contacts: 50 },
    };
    const hops = work('Hops', { warms: ['legs'], players: [doing('ann', { contacts: 40 })] });
    expect(said('load caps', [hops], { players: [busy] })[0]?.text).toBe(
      'Ann would do 90 landings from jumps and hops today, with the other session; at 10 the line is 80.',
    );
    expect(said('load caps', [hops], { players: [ann] })).toEqual([]);
  });
  test('the week before counts: three sessions’ worth in seven days', () => {
    const tired = { ...ann, weekLoad: { ...noLoadSum, overheads: 130 } };
    const serve = work('Serve', { players: [doing('ann', { overheads: 20 })] });
    const shoulders = work('S', { warms: ['shoulder'] });
    expect(said('load caps', [shoulders, serve], { players: [tired] })[0]?.text).toContain(
      '150 overhead actions in seven days',
    );
    expect(said('load caps', [shoulders, serve], { players: [ann] })).toEqual([]);
  });
});

describe('steps with a limit of their own', () => {
  const limit = { key: 'fast heavy', triesASession: 15, daysApart: 21, fromAge: 17 };
  const heavy = (tries: number) => [wrists, work('Heavy', { players: [doing('bo', { tries }, limit)] })];
  const grown = { ...bo, age: 17 };
  test('are counted over the whole session, not in each block', () => {
    const twice = (first: number, second: number) => [
      wrists,
      work('Heavy', { players: [doing('bo', { tries: first }, limit)] }),
      work('Again', { players: [doing('bo', { tries: second }, limit)] }),
    ];
    expect(said('load caps', twice(10, 10), { players: [grown] })).toMatchObject([
      { blockId: 'Again', text: expect.stringContaining('would do 20'), mend: { kind: 'scale', share: 0.5 } },
    ]);
    expect(said('load caps', twice(15, 5), { players: [grown] })).toMatchObject([
      { blockId: 'Again', mend: { kind: 'sit-out', playerId: 'bo' } },
    ]);
    expect(said('load caps', twice(10, 5), { players: [grown] })).toEqual([]);
  });
  test('not for children (ours): the mend lets them sit it out', () => {
    expect(said('age', heavy(5))).toMatchObject([
      { severity: 'stop', playerId: 'bo', mend: { kind: 'sit-out', blockId: 'Heavy', playerId: 'bo' } },
    ]);
    expect(said('age', heavy(5), { players: [grown] })).toEqual([]);
  });
  test.each([
    [0, 1],
    [20, 1],
    [21, 0],
    [undefined, 0],
  ])('done %p days ago, 21 wanted: %d warning', (ago, n) => {
    const lastDone: Record<string, number> = ago === undefined ? {} : { 'fast heavy': ago };
    const player = { ...grown, lastDone };
    expect(said('days apart', heavy(5), { players: [player] })).toHaveLength(n);
  });
  test('fifteen a session at most (common practice)', () => {
    expect(said('load caps', heavy(15), { players: [grown] })).toEqual([]);
    expect(said('load caps', heavy(30), { players: [grown] })[0]?.mend).toEqual({
      kind: 'scale',
      blockId: 'Heavy',
      share: 0.5,
      playerId: grown.id,
    });
  });
});

test('a drill for older children: a note with everybody it is early for, and who sits it out', () => {
  const early = work('Retreat', { ages: { from: 12, to: 16 } });
  expect(said('age guide', [early])).toMatchObject([
    {
      severity: 'note',
      text: 'Retreat is usually done from 12 years on; Ann is 10: choose the lowest step, or something else.',
      mend: { kind: 'sit-out', blockId: 'Retreat', playerId: 'ann' },
    },
  ]);
  expect(said('age guide', [work('Retreat', { ages: { from: 10, to: 16 } })])).toEqual([]);
  // Who sits it out is no longer warned of.
  expect(said('age guide', [{ ...early, players: [doing('bo')] }])).toEqual([]);
});

describe('the room', () => {
  test('a toss higher than the beam', () => {
    expect(said('ceiling', [work('Toss', { ceilingM: 4.5 })], { place })[0]?.text).toBe(
      'Toss needs 4.5 m of clear height; Yard has 4.2 m.',
    );
    expect(
      said('ceiling', [work('Toss', { ceilingM: 4.5 })], { place: { ...place, ceilingM: null } }),
    ).toEqual([]);
  });
  test('no wall, and a wall in its quiet hours, by the minute it is hit', () => {
    const rally = work('Rally', { wall: true, startS: 600 });
    expect(said('wall', [rally], { place: { ...place, wallM: 0 } })).toHaveLength(1);
    expect(said('quiet hours', [rally], { place, startTime: '12:50' })).toHaveLength(1);
    expect(said('quiet hours', [rally], { place, startTime: '12:49' })).toEqual([]);
    expect(said('quiet hours', [rally], { place, startTime: '16:30' })).toEqual([]);
  });
  test('lanes that do not fit side by side mean turns', () => {
    expect(said('own lanes', [work('Swing', { roomFor: 2, atOnce: 4 })], { place })[0]?.text).toContain(
      'fit 2 times at Yard, so 4 take turns',
    );
    expect(said('own lanes', [work('Swing', { roomFor: 4, atOnce: 4 })], { place })).toEqual([]);
  });
  test('backwards where the ground is uneven', () => {
    const rough = { ...place, hazards: ['uneven ground'] as const };
    expect(
      said('clear floor', [work('Triangle', { moves: ['backwards'] })], { place: rough })[0],
    ).toMatchObject({
      severity: 'caution',
    });
    expect(said('clear floor', [work('Triangle', { moves: ['backwards'] })], { place })).toEqual([]);
  });
  test('windows in reach ask for foam', () => {
    const room = { ...place, hazards: ['windows or lamps in reach'] as const };
    expect(said('nothing breakable', [work('Bounce', { hitting: true })], { place: room })).toHaveLength(1);
  });
});

describe('time', () => {
  const long = ['a', 'b', 'c', 'd'].map((id) => work(id, { totalS: 8 * 60 }));
  test('a drink every twenty minutes: due after the second of four blocks of eight', () => {
    expect(said('drink break', long)).toMatchObject([
      { blockId: 'b', severity: 'note', mend: { kind: 'break', blockId: 'b', seconds: 60 } },
    ]);
  });
  test('once it is there, nothing is due; in the heat it is due sooner', () => {
    const drunk = long.map((one) => (one.id === 'b' ? { ...one, breakS: 60, totalS: one.totalS + 60 } : one));
    expect(said('drink break', drunk)).toEqual([]);
    expect(said('drink break', long, { airC: 33 }).map((one) => one.blockId)).toEqual(['a', 'b', 'c']);
    expect(drinkEveryS(33)).toBeLessThan(drinkEveryS(28));
    expect(drinkEveryS(28)).toBeLessThan(drinkEveryS(20));
  });
  test('very hot air stops the work', () => {
    expect(said('heat', long, { airC: 36 })[0]?.severity).toBe('stop');
    expect(said('heat', long, { airC: 30 })).toEqual([]);
  });
  test('the youngest sets how long', () => {
    const small = { ...ann, age: 5 };
    const six = [...long, ...long.map((one) => ({ ...one, id: `${one.id}2` }))];
    expect(said('total minutes', six, { players: [small, bo] })[0]?.text).toContain(
      '64 minutes are planned; for Ann, who is 5, 45',
    );
    expect(said('total minutes', six, { players: [bo] })).toEqual([]);
  });
  test('nearly all on one side asks for the other hand, in the block that has most of it', () => {
    const sided = work('Bounce', { players: [doing('ann', { tries: 90, strongTries: 90 })] });
    const even = work('Claps', { players: [doing('ann', { tries: 20, strongTries: 10 })] });
    // 100 of 110 tries.
    expect(said('both sides', [even, sided], { players: [ann] })[0]).toMatchObject({
      text: '91 % of Ann’s touches are on one side: let the other hand have some.',
      mend: { kind: 'other hand', blockId: 'Bounce' },
    });
    expect(
      said('both sides', [even, { ...sided, players: [doing('ann', { tries: 30, strongTries: 30 })] }]),
    ).toEqual([]);
  });
});

describe('an open care note', () => {
  const healing = { ...bo, careNote: 'Right wrist is healing: easy on fast hands.' };
  test('is shown with every plan', () => {
    expect(said('care note', [work('Claps')], { players: [ann, healing] })).toMatchObject([
      { severity: 'note', playerId: 'bo', blockId: null, mend: null },
    ]);
  });
  test('names the block that loads what it is about, and lets the player sit it out', () => {
    const quick = work('Fast hand', { players: [doing('bo', { forearm: 10 })] });
    expect(said('care note', [wrists, quick], { players: [healing] })).toMatchObject([
      { severity: 'caution', blockId: 'Fast hand', mend: { kind: 'sit-out', playerId: 'bo' } },
    ]);
  });
});

test('a vow at home is looked at by the same rules: quarter of an hour at most, no drink breaks', () => {
  const vow = [work('Vow', { totalS: 20 * 60, players: [doing('ann')] })];
  expect(said('total minutes', vow, { kind: 'vow', players: [ann] })).toHaveLength(1);
  expect(said('drink break', [...vow, ...vow], { kind: 'vow' })).toEqual([]);
});

test('the gravest come first, each says what it is and where it comes from, and every rule can speak', () => {
  const spoke = new Set<string>();
  const severity = { stop: 0, caution: 1, note: 2 };
  const load = fc.record({
    contacts: fc.integer({ min: 0, max: 120 }),
    overheads: fc.integer({ min: 0, max: 80 }),
    forearm: fc.integer({ min: 0, max: 60 }),
    tries: fc.integer({ min: 1, max: 200 }),
  });
  const anyWork = fc.record({
    id: fc.constantFrom('a', 'b', 'c'),
    load,
    sprint: fc.boolean(),
    wall: fc.boolean(),
    totalS: fc.integer({ min: 60, max: 1800 }),
    ceilingM: fc.constantFrom(2, 5),
    room: fc.constantFrom(null, 1),
  });
  fc.assert(
    fc.property(fc.array(anyWork, { maxLength: 6 }), fc.constantFrom(null, 20, 36), (list, airC) => {
      const works = list.map(({ id, load: l, sprint, room, ...rest }, index) =>
        work(`${id}${index}`, {
          ...rest,
          players: [doing('ann', { ...l, strongTries: l.tries })],
          moves: sprint ? ['sprint'] : [],
          roomFor: room,
          hitting: true,
        }),
      );
      const risky = { ...place, hazards: ['uneven ground', 'windows or lamps in reach'] as const };
      const warnings = careFor(
        input(works, { airC, place: risky, startTime: '13:00', players: [{ ...ann, careNote: 'Knee.' }] }),
      );
      const grades = warnings.map((one) => severity[one.severity]);
      expect(grades).toEqual([...grades].sort((a, b) => a - b));
      for (const one of warnings) {
        spoke.add(one.rule);
        expect(one.text).toMatch(/[.?]$/);
        expect((one.mend === null) === (one.mendText === null)).toBe(true);
        if (one.blockId !== null) expect(works.some((w) => w.id === one.blockId)).toBe(true);
      }
    }),
    { numRuns: 300 },
  );
  // Limited steps have their own tests.
  expect(spoke.size).toBeGreaterThanOrEqual(rules.length - 3);
});
