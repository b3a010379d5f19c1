import fc from 'fast-check';
import type { Dose } from '@/core/dose/dose';
import { noLoad } from '@/core/dose/load';
import { doseWork } from '@/core/dose/time';
import type { PlannedBlock, PlannedPlayer } from '../block-time';
import { timeBlocks } from '../plan-time';
import type { CircuitPart } from './circuit';
import { spreadOf, visitOf } from './circuit-time';

const pace = (successRate = 1) => ({
  perTouchS: 2,
  dropCostS: 4,
  successRate,
  setUpS: 30,
  showS: 6,
  changeoverS: 15,
});
const reps = (n: number): Dose => ({ kind: 'reps', sets: 1, reps: n, sides: 1, restS: 0 });
const player = (playerId: string, dose: Dose, rate = 1): PlannedPlayer => ({
  playerId,
  dose,
  pace: pace(rate),
  load: { ...noLoad, contacts: 1 },
});
const part = (at: number, more: Partial<CircuitPart> = {}): CircuitPart => ({
  id: 'c',
  at,
  of: 3,
  stationS: 60,
  changeS: 20,
  times: 1,
  order: 'balanced',
  helper: '',
  groups: [['a'], ['b'], ['c']],
  ...more,
});
const station = (at: number, dose: Dose, more: Partial<CircuitPart> = {}, holds = 12): PlannedBlock => {
  const circuit = part(at, more);
  return {
    id: `s${at}`,
    holds,
    helped: false,
    breakS: 0,
    circuit,
    players: circuit.groups.flat().map((id) => player(id, dose)),
  };
};
const three = (doses: readonly [Dose, Dose, Dose], more: Partial<CircuitPart> = {}) =>
  doses.map((dose, at) => station(at, dose, more));

test('three stations worked by hand: side by side, one clock, set up one after the other', () => {
  const plan = timeBlocks(three([reps(10), reps(20), reps(30)]), 600);
  const [first, second, third] = plan.blocks;
  // Three set-ups of 30 s and three showings of 6 s; three visits of 60 s and two walks of 20 s; it is the last.
  expect(plan.totalS).toBe(3 * 30 + 3 * 6 + 3 * 60 + 2 * 20);
  for (const one of plan.blocks) expect(one).toMatchObject({ startS: 0, totalS: plan.totalS, activeS: 220 });
  expect(plan.blocks.reduce((sum, one) => sum + one.ownS, 0)).toBeCloseTo(plan.totalS, 9);
  expect([first, second, third].map((one) => one!.station)).toEqual(
    [20, 40, 60].map((needS, at) => ({ id: 'c', at, of: 3, stationS: 60, changeS: 20, rounds: 3, needS })),
  );
  // Two seconds a repetition: 20, 40 and 60 s of a minute; nobody waits for the walk.
  expect(plan.touchesOf).toEqual({ a: 60, b: 60, c: 60 });
  expect(plan.waitOf).toEqual({ a: 60, b: 60, c: 60 });
  expect(plan.loadOf['a']!.tries).toBe(60);
});

test('a circuit stands in its place in the session, and is cleared away and drunk after once', () => {
  const alone: PlannedBlock = {
    id: 'x',
    holds: 12,
    helped: false,
    breakS: 0,
    players: [player('a', reps(5))],
  };
  const circuit = three([reps(10), reps(10), reps(10)]).map((one, at) => ({ ...one, breakS: at * 30 }));
  const plan = timeBlocks([alone, ...circuit, { ...alone, id: 'y' }], 600);
  const [before, first, , last, after] = plan.blocks;
  expect(first!.startS).toBe(before!.totalS);
  expect(first!.totalS).toBe(108 + 220 + 15 + 60);
  expect(last!.startS).toBe(first!.startS);
  expect(after!.startS).toBe(first!.startS + first!.totalS);
  expect(plan.totalS).toBeCloseTo(
    plan.blocks.reduce((sum, one) => sum + one.ownS, 0),
    9,
  );
});

test('what takes longer than the visit is cut short by the signal; a row is begun again until it', () => {
  const row: Dose = { kind: 'row', target: 10, capS: 600 };
  const [long, again] = timeBlocks(
    [
      station(0, reps(60), { of: 2, groups: [['a'], ['b']] }),
      station(1, row, { of: 2, groups: [['a'], ['b']] }),
    ],
    600,
  ).blocks;
  // 60 repetitions take 120 s, and there are 60.
  expect(long).toMatchObject({
    touchesOf: { a: 30, b: 30 },
    workOf: { a: 60, b: 60 },
    waitOf: { a: 0, b: 0 },
  });
  expect(long!.station!.needS).toBe(120);
  const once = doseWork(row, pace());
  expect(again!.touchesOf['a']).toBeCloseTo((once.touches * 60) / once.workS, 9);
  expect(again!.waitOf['a']).toBe(0);
});

test('a group larger than a station holds takes turns in its visit', () => {
  const groups = [
    ['a', 'b', 'c'],
    ['d', 'e', 'f'],
  ];
  const [one] = timeBlocks(
    [0, 1].map((at) => station(at, reps(10), { of: 2, groups }, 1)),
    600,
  ).blocks;
  expect(one).toMatchObject({ turns: 3, visitS: 60 });
  // Everybody is through in 3 x 20 s, works 20 of them and waits 40.
  expect(one!.station!.needS).toBe(60);
  expect(one!.touchesOf['b']).toBe(10);
  expect(one!.waitOf['b']).toBe(40);
});

test('a group too many rests, and that is waiting; so is a free station to nobody', () => {
  const groups = [['a'], ['b'], ['c']];
  const plan = timeBlocks(
    [0, 1].map((at) => station(at, reps(30), { of: 2, groups })),
    600,
  );
  // Three rounds of 60 s, two of them at work.
  expect(plan.waitOf).toEqual({ a: 60, b: 60, c: 60 });
  const few = timeBlocks(three([reps(30), reps(30), reps(30)], { groups: [['a']] }), 600);
  expect(few.waitOf).toEqual({ a: 0 });
});

test('who sits a station out waits there; who is in no group comes nowhere', () => {
  const [first, second] = [0, 1].map((at) => station(at, reps(30), { of: 2, groups: [['a', 'b'], ['c']] }));
  const out = {
    ...first!,
    players: first!.players.filter(({ playerId }) => playerId !== 'b'),
    sitting: ['b'],
  };
  const stray = { ...second!, players: [...second!.players, player('z', reps(30))] };
  const plan = timeBlocks([out, stray], 600);
  expect(plan.touchesOf).toEqual({ a: 60, b: 30, c: 60, z: 0 });
  expect(plan.waitOf['b']).toBe(60);
});

test('who is in a group and does not come is waited for by nobody, and waits for nobody', () => {
  const groups = [['a', 'gone'], ['b'], ['c']];
  const stations = [0, 1].map((at) => station(at, reps(30), { of: 2, groups }));
  const there = stations.map((one) => ({
    ...one,
    players: one.players.filter(({ playerId }) => playerId !== 'gone'),
  }));
  expect(timeBlocks(there, 600).waitOf).toEqual({ a: 60, b: 60, c: 60 });
});

test('going round twice doubles what everybody does', () => {
  const once = timeBlocks(three([reps(10), reps(20), reps(30)]), 600);
  const twice = timeBlocks(three([reps(10), reps(20), reps(30)], { times: 2 }), 600);
  for (const id of ['a', 'b', 'c']) expect(twice.touchesOf[id]).toBe(2 * once.touchesOf[id]!);
});

test('everybody who does the same at every station touches as much: the spread says how far apart they are', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 2, max: 6 }),
      fc.integer({ min: 1, max: 12 }),
      fc.integer({ min: 1, max: 40 }),
      (of, players, n) => {
        const ids = Array.from({ length: players }, (_, index) => `p${index}`);
        const groups = Array.from({ length: Math.min(of, players) }, (_, group) =>
          ids.filter((_id, index) => index % Math.min(of, players) === group),
        );
        const stations = Array.from({ length: of }, (_, at) => station(at, reps(n), { of, groups }));
        const spread = spreadOf(timeBlocks(stations, 600).blocks);
        expect(spread.share).toBeCloseTo(0, 9);
        expect(spread.most).toBeCloseTo(of * Math.min(n, 30), 9);
      },
    ),
  );
  expect(spreadOf([{ touchesOf: { a: 10, b: 30 } }, { touchesOf: { a: 20 } }])).toEqual({
    least: 30,
    most: 30,
    share: 0,
  });
  expect(spreadOf([{ touchesOf: { a: 10, b: 30 } }]).share).toBe(1);
  expect(spreadOf([])).toEqual({ least: 0, most: 0, share: 0 });
});

test('a visit nobody comes to needs no time', () => {
  expect(visitOf([], 3)).toEqual({ turns: [], needS: 0 });
});
