import fc from 'fast-check';
import type { Dose } from '../dose/dose';
import { noLoad } from '../dose/load';
import { doseWork } from '../dose/time';
import { phaseShares, sessionPhases } from './phases';
import type { PlannedBlock, PlannedPlayer } from './block-time';
import { timeBlocks } from './plan-time';
import { stationS, turnsOf } from './turns';

const pace = (successRate: number) => ({
  perTouchS: 2,
  dropCostS: 4,
  successRate,
  setUpS: 30,
  showS: 6,
  changeoverS: 15,
});
const row: Dose = { kind: 'row', target: 10, capS: 600 };
const player = (playerId: string, dose: Dose, rate = 1): PlannedPlayer => ({
  playerId,
  dose,
  pace: pace(rate),
  load: { ...noLoad, contacts: 1 },
});
const block = (players: PlannedPlayer[], more: Partial<PlannedBlock> = {}): PlannedBlock => ({
  id: 'a',
  players,
  holds: 12,
  helped: false,
  breakS: 0,
  ...more,
});

test('a row lasts as long as its slowest player; the quicker one goes on touching', () => {
  const both = block([player('sure', row), player('new', row, 0.8)]);
  const plan = timeBlocks([both, { ...both, id: 'b' }], 600);
  const [first, second] = plan.blocks;
  expect(first).toMatchObject({ slowestId: 'new', startS: 0, changeoverS: 15, turns: 1 });
  // The last block has no changeover.
  expect(second).toMatchObject({ startS: first!.totalS, changeoverS: 0 });
  expect(first!.touchesOf['sure']).toBeCloseTo(first!.workS / 2, 9);
  expect(first!.waitOf).toEqual({ sure: 0, new: 0 });
  expect(plan.totalS).toBeCloseTo(first!.totalS * 2 - 15, 9);
  expect(plan.overrunS).toBeCloseTo(plan.totalS - 600, 9);
  expect(plan.touchesOf['new']).toBeCloseTo(first!.touchesOf['new']! * 2, 9);
  expect(plan.leastServedId).toBe('new');
});

test('any other dose is done when it is done: fewer repetitions are fewer touches and less load, and a wait', () => {
  const reps = (n: number) => ({ kind: 'reps', sets: 1, reps: n, sides: 1, restS: 0 }) as const;
  const [time] = timeBlocks([block([player('ten', reps(10)), player('four', reps(4))])], 600).blocks;
  // Worked by hand: two seconds a repetition, all good.
  expect(time).toMatchObject({
    activeS: 20,
    touchesOf: { ten: 10, four: 4 },
    workOf: { ten: 20, four: 8 },
    waitOf: { ten: 0, four: 12 },
  });
  expect(time!.loadOf['four']!.tries).toBe(4);
});

test('steps of several players are shown side by side: as long as the longest of them', () => {
  const slowShow = { ...player('new', row), pace: { ...pace(1), showS: 12 } };
  expect(timeBlocks([block([player('sure', row), slowShow])], 600).blocks[0]).toMatchObject({ showS: 12 });
});

test('an empty plan fits; a block for nobody is refused', () => {
  expect(timeBlocks([], 600)).toMatchObject({ totalS: 0, overrunS: -600, leastServedId: null });
  expect(() => timeBlocks([block([])], 60)).toThrow('player');
});

/** Worked by hand: the arithmetic is written beside each row. */
describe('turns at a station', () => {
  const six = (dose: Dose) => 'abcdef'.split('').map((id) => player(id, dose));

  test('ten reps of 2 s, six players, three at once: two turns of 20 s, each waits 20 s', () => {
    const dose: Dose = { kind: 'reps', sets: 1, reps: 10, sides: 1, restS: 0 };
    const plan = timeBlocks([block(six(dose), { holds: 3 })], 600);
    const [time] = plan.blocks;
    expect(time).toMatchObject({ turns: 2, activeS: 40, totalS: 30 + 6 + 40 });
    expect(time!.waitOf).toMatchObject({ a: 20, f: 20 });
    expect(time!.touchesOf['a']).toBe(10);
  });

  test('3 boxes of 20 s with 30 s rest, two turns: a cycle is 50 s, not 40; one rests while the other works', () => {
    const dose: Dose = { kind: 'timed', rounds: 3, workS: 20, restS: 30 };
    // Cycle: max(20 + 20, 20 + 30) = 50; two cycles and the last 40.
    expect(timeBlocks([block(six(dose), { holds: 3 })], 600).blocks[0]).toMatchObject({ activeS: 140 });
    // With 10 s rest the other turn's work fills it: max(40, 30) = 40.
    const short = { ...dose, restS: 10 };
    expect(timeBlocks([block(six(short), { holds: 3 })], 600).blocks[0]).toMatchObject({ activeS: 120 });
  });

  test('ten shots with five balls, three turns: collecting comes after every turn’s balls', () => {
    const dose: Dose = { kind: 'shots', shots: 10, ballsAtHand: 5, collectS: 20 };
    // Each turn: 20 s of shots and 2 walks of 20 s; three turns.
    const [time] = timeBlocks([block(six(dose), { holds: 2, helped: true })], 900).blocks;
    expect(time).toMatchObject({ turns: 3, activeS: 180, helper: { feeds: 60, busyS: 180 } });
    expect(time!.waitOf['a']).toBe(180 - 60);
  });

  test('a break comes after the block and not after the last one; landings add up', () => {
    const dose: Dose = { kind: 'reps', sets: 1, reps: 10, sides: 1, restS: 0 };
    const one = block([player('a', dose)], { breakS: 60 });
    const plan = timeBlocks([one, { ...one, id: 'b' }], 600);
    expect(plan.blocks.map((time) => time.breakS)).toEqual([60, 0]);
    expect(plan.totalS).toBe(30 + 6 + 20 + 15 + 60 + (30 + 6 + 20));
    expect(plan.loadOf['a']).toMatchObject({ contacts: 20, tries: 20 });
  });

  test('everybody has exactly one turn, and turns differ by one player at most', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 30 }), fc.integer({ min: 1, max: 12 }), (n, holds) => {
        const players = Array.from({ length: n }, (_, i) => i);
        const turns = turnsOf(players, holds);
        expect(turns.flat()).toEqual(players);
        const sizes = turns.map((turn) => turn.length);
        expect(Math.max(...sizes)).toBeLessThanOrEqual(holds);
        expect(Math.max(...sizes) - Math.min(...sizes)).toBeLessThanOrEqual(1);
      }),
    );
  });

  test('more turns never take less time, and never more than one after the other', () => {
    const work = (dose: Dose) => doseWork(dose, pace(1));
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 5 }),
        fc.integer({ min: 1, max: 4 }),
        fc.integer({ min: 0, max: 60 }),
        (turns, rounds, restS) => {
          const one = work({ kind: 'timed', rounds, workS: 20, restS });
          const all = Array.from({ length: turns }, () => one);
          expect(stationS(all)).toBeLessThanOrEqual(turns * (one.workS + one.restS) + 1e-9);
          expect(stationS([...all, one])).toBeGreaterThanOrEqual(stationS(all) - 1e-9);
          expect(stationS([one])).toBeCloseTo(one.workS + one.restS, 9);
        },
      ),
    );
  });
});

test('shares of the phases add up to the whole, and the suggested ones too', () => {
  const shares = phaseShares([
    { phase: 'loosen', totalS: 60 },
    { phase: 'game', totalS: 180 },
  ]);
  expect(shares.find((one) => one.id === 'game')).toMatchObject({ planned: 0.75, plannedS: 180 });
  expect(shares.reduce((sum, one) => sum + one.planned, 0)).toBeCloseTo(1, 9);
  expect(sessionPhases.reduce((sum, one) => sum + one.share, 0)).toBeCloseTo(1, 9);
  expect(phaseShares([]).every((one) => one.planned === 0)).toBe(true);
});

test('who sits a block out waits as long as the others work', () => {
  const worked = block([player('p', row)], { sitting: ['q'] });
  const plan = timeBlocks([worked, { ...worked, id: 'b', sitting: [] }], 600);
  expect(plan.blocks[0]!.waitOf['q']).toBe(plan.blocks[0]!.activeS);
  expect(plan.waitOf['q']).toBe(plan.blocks[0]!.activeS);
  // They have no touches, and are not the least served of those who work.
  expect(Object.keys(plan.touchesOf)).toEqual(['p']);
});
