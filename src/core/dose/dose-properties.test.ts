import fc from 'fast-check';
import { seededRandom } from '../base/random';
import type { Dose } from './dose';
import { doseFields, doseProblems } from './limits';
import { breathless, scaled } from './scale';
import { doseTime, type Pace } from './time';

const pace = fc.record<Pace>({
  perTouchS: fc.double({ min: 0.3, max: 8, noNaN: true }),
  dropCostS: fc.double({ min: 0, max: 10, noNaN: true }),
  successRate: fc.double({ min: 0.05, max: 1, noNaN: true }),
  setUpS: fc.integer({ min: 0, max: 120 }),
  showS: fc.integer({ min: 0, max: 20 }),
  changeoverS: fc.integer({ min: 0, max: 60 }),
});
const parts = [
  { name: 'Reach', partS: 10, sides: 1 },
  { name: 'Lean', partS: 5, sides: 2 },
];
const dose = fc.oneof(
  ...Object.entries(doseFields).map(([kind, fields]) =>
    fc
      .record(Object.fromEntries(fields.map(({ name, min, max }) => [name, fc.integer({ min, max })])))
      .map((values) => ({ kind, ...values, ...(kind === 'routine' && { parts }) }) as unknown as Dose),
  ),
);

test('parts are never negative and add up to the total', () => {
  fc.assert(
    fc.property(dose, pace, (d, p) => {
      const { setUpS, showS, workS, restS, collectS, changeoverS, totalS, touches, tries } = doseTime(d, p);
      expect(tries).toBeGreaterThanOrEqual(touches - 1e-9);
      for (const part of [setUpS, showS, workS, restS, collectS, changeoverS, touches])
        expect(part).toBeGreaterThanOrEqual(0);
      expect(Number.isFinite(totalS)).toBe(true);
      expect(setUpS + showS + workS + restS + collectS + changeoverS).toBeCloseTo(totalS, 6);
    }),
    { numRuns: 1000 },
  );
});

test('a row never lasts longer than its cap, and a longer row never takes less', () => {
  fc.assert(
    fc.property(
      pace,
      fc.integer({ min: 1, max: 60 }),
      fc.integer({ min: 15, max: 600 }),
      (p, target, capS) => {
        const short = doseTime({ kind: 'row', target, capS }, p);
        const long = doseTime({ kind: 'row', target: target + 1, capS }, p);
        expect(short.workS).toBeLessThanOrEqual(capS + 1e-9);
        expect(long.workS).toBeGreaterThanOrEqual(short.workS - 1e-9);
      },
    ),
    { numRuns: 500 },
  );
});

test('a surer hand gets more good touches out of the same work', () => {
  fc.assert(
    fc.property(dose, pace, (d, p) => {
      fc.pre(d.kind !== 'row');
      const better = { ...p, successRate: Math.min(1, p.successRate + 0.05) };
      expect(doseTime(d, better).touches).toBeGreaterThanOrEqual(doseTime(d, p).touches - 1e-9);
    }),
    { numRuns: 500 },
  );
});

test.each([
  [0.8, 10, 1.2, 4],
  [0.9, 20, 0.6, 3],
  [0.6, 5, 2, 6],
])(
  'played touch by touch: at %d, %d in a row takes what is booked',
  (successRate, target, perTouchS, dropCostS) => {
    const random = seededRandom(11);
    const rows = 4000;
    let seconds = 0;
    let good = 0;
    for (let i = 0; i < rows; i++)
      for (let row = 0; row < target;) {
        seconds += perTouchS;
        if (random() < successRate) [row, good] = [row + 1, good + 1];
        else [row, seconds] = [0, seconds + dropCostS];
      }
    const booked = doseTime(
      { kind: 'row', target, capS: 100_000 },
      { perTouchS, dropCostS, successRate, setUpS: 0, showS: 0, changeoverS: 0 },
    );
    expect(seconds / rows / booked.workS).toBeCloseTo(1, 1);
    expect(good / rows / booked.touches).toBeCloseTo(1, 1);
  },
);

test('played touch by touch: a time box gives the touches that were told', () => {
  const random = seededRandom(12);
  const boxes = 6000;
  const [perTouchS, dropCostS, successRate, workS] = [0.55, 3, 0.9, 20];
  let good = 0;
  for (let i = 0; i < boxes; i++)
    for (let atS = perTouchS; atS < workS; atS += perTouchS)
      if (random() < successRate) good += 1;
      else atS += dropCostS;
  const told = doseTime(
    { kind: 'timed', rounds: 1, workS, restS: 0 },
    { perTouchS, dropCostS, successRate, setUpS: 0, showS: 0, changeoverS: 0 },
  );
  // The box ends in the middle of something: within one touch and half a drop.
  expect(Math.abs(good / boxes - told.touches)).toBeLessThan(1.6);
});

test('breathless: the same shape, sound, and never more work', () => {
  fc.assert(
    fc.property(dose, pace, (d, p) => {
      const short = breathless(d);
      expect(short.kind).toBe(d.kind);
      expect(doseProblems(short)).toEqual([]);
      expect(doseTime(short, p).workS).toBeLessThanOrEqual(doseTime(d, p).workS + 1e-9);
      expect(Object.keys(short)).toEqual(Object.keys(d));
    }),
    { numRuns: 1000 },
  );
});

test.each([
  [
    { kind: 'reps', sets: 2, reps: 10, sides: 1, restS: 20 },
    { reps: 6, sets: 2, restS: 20 },
  ],
  [
    { kind: 'timed', rounds: 3, workS: 30, restS: 20 },
    { workS: 18, rounds: 3 },
  ],
  [
    { kind: 'row', target: 20, capS: 120 },
    { target: 12, capS: 72 },
  ],
  [
    { kind: 'shots', shots: 10, ballsAtHand: 5, collectS: 20 },
    { shots: 6, ballsAtHand: 5 },
  ],
  // 21 hops on a line; six tenths are 12.6, and 1 to 5 are 15 (the root of 0.6 is 0.77: 4.6).
  [
    { kind: 'growing', lines: 2, to: 6, restS: 15 },
    { to: 5, lines: 2 },
  ],
  [
    { kind: 'hold', holds: 3, holdS: 10, sides: 2, restS: 5 },
    { holdS: 6, holds: 3 },
  ],
] as [Dose, Partial<Dose>][])('breathless by hand: %j', (d, expected) => {
  expect(breathless(d)).toMatchObject(expected);
});

test('a share outside 0.1 to 2 is a fault of ours', () => {
  expect(() => scaled({ kind: 'row', target: 5, capS: 60 }, 0)).toThrow('share');
  expect(() => scaled({ kind: 'row', target: 5, capS: 60 }, Number.NaN)).toThrow('share');
});
