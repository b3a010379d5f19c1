import { amountOf, withAmount } from './amount';
import { doseInWords, type Dose } from './dose';
import { doseFields, doseProblems, onlyDoseFields } from './limits';
import { doseTime, type Pace } from './time';

const pace: Pace = { perTouchS: 2, dropCostS: 4, successRate: 0.8, setUpS: 30, showS: 0, changeoverS: 15 };
const sure = { ...pace, successRate: 1 };

/** Worked by hand: the arithmetic is written beside each row. */
describe('dose to time', () => {
  test.each<[string, Dose, Pace, Partial<ReturnType<typeof doseTime>>]>([
    [
      '3 sets of 10 on both sides, 20 s rest: 60 reps x 2 s, 5 rests',
      { kind: 'reps', sets: 3, reps: 10, sides: 2, restS: 20 },
      pace,
      { workS: 120, restS: 100, touches: 48, totalS: 265 },
    ],
    [
      '3 boxes of 20 s: a try costs 2 + 0.2 x 4 = 2.8 s, so 60 / 2.8 x 0.8 good ones',
      { kind: 'timed', rounds: 3, workS: 20, restS: 15 },
      pace,
      { workS: 60, restS: 30, touches: (60 / 2.8) * 0.8, totalS: 135 },
    ],
    [
      '3 holds of 10 s each side, 5 s between: 6 x 10 and 5 x 5',
      { kind: 'hold', holds: 3, holdS: 10, sides: 2, restS: 5 },
      sure,
      { workS: 60, restS: 25, touches: 6, totalS: 130 },
    ],
    [
      'ten shots with five balls: two walks of 20 s',
      { kind: 'shots', shots: 10, ballsAtHand: 5, collectS: 20 },
      pace,
      { workS: 20, collectS: 40, touches: 8, totalS: 105 },
    ],
    [
      'eleven shots with five balls: a third walk for the last ball',
      { kind: 'shots', shots: 11, ballsAtHand: 5, collectS: 20 },
      pace,
      { collectS: 60 },
    ],
    [
      '2 rounds of 3 laps, 30 s between: 6 x 2 s and one rest',
      { kind: 'course', rounds: 2, laps: 3, restS: 30 },
      sure,
      { workS: 12, restS: 30, tries: 6, bouts: 2, totalS: 87 },
    ],
    [
      'growing to 6 on two lines: 2 x 21 hops (common practice)',
      { kind: 'growing', lines: 2, to: 6, restS: 15 },
      sure,
      { tries: 42, touches: 42, workS: 84, restS: 5 * 15, bouts: 6 },
    ],
    [
      'growing to 6 on three lines: 3 x 21 hops (common practice)',
      { kind: 'growing', lines: 3, to: 6, restS: 15 },
      sure,
      { tries: 63, restS: 5 * 15 },
    ],
    [
      'reach 10 s, arm across 10 s each side, 3 s to change: three stretches and two changes',
      {
        kind: 'routine',
        rounds: 1,
        changeS: 3,
        parts: [
          { name: 'Reach', partS: 10, sides: 1 },
          { name: 'Arm', partS: 10, sides: 2 },
        ],
      },
      sure,
      { workS: 30, restS: 6, tries: 3, totalS: 81 },
    ],
    [
      'showing comes before the work',
      { kind: 'row', target: 10, capS: 120 },
      { ...sure, showS: 6 },
      { showS: 6, totalS: 30 + 6 + 20 + 15 },
    ],
    [
      'a sure hand: exactly the row',
      { kind: 'row', target: 10, capS: 120 },
      sure,
      { workS: 20, touches: 10, capped: false },
    ],
    [
      // p 0.8, N 10: 41.57 tries, 8.31 drops (Feller): 83.13 + 33.25 s.
      'ten in a row at 0.8',
      { kind: 'row', target: 10, capS: 600 },
      pace,
      { capped: false },
    ],
  ])('%s', (_name, dose, given, expected) => {
    expect(doseTime(dose, given)).toMatchObject(expected);
  });

  test('ten in a row at 0.8 takes 116.4 s and gives 33.25 good touches', () => {
    // A cap that hardly ever bites: with one of ten minutes it is 116.0 s.
    const time = doseTime({ kind: 'row', target: 10, capS: 1800 }, pace);
    expect(time.workS).toBeCloseTo(41.566 * 2 + 8.313 * 4, 1);
    expect(time.touches).toBeCloseTo(41.566 - 8.313, 2);
  });

  test('a row out of reach ends at its cap', () => {
    expect(doseTime({ kind: 'row', target: 100, capS: 90 }, pace)).toMatchObject({
      workS: expect.closeTo(90, 6),
      capped: true,
    });
    expect(doseTime({ kind: 'row', target: 500, capS: 90 }, { ...pace, successRate: 0 })).toMatchObject({
      workS: expect.closeTo(90, 6),
      touches: 0,
    });
  });
});

describe('limits', () => {
  const sound: Dose = { kind: 'row', target: 20, capS: 120 };

  test.each([-3, 0, 2.5, 501, Number.NaN, Infinity])('a target of %d is refused with its range', (target) => {
    expect(doseProblems({ ...sound, target })).toEqual([
      { field: 'target', message: 'Target must be a whole number from 1 to 500.' },
    ]);
  });

  test('a sound dose has no problem, and each bound is inside', () => {
    for (const [kind, fields] of Object.entries(doseFields)) {
      for (const end of ['min', 'max'] as const) {
        const parts = kind === 'routine' ? [['parts', [{ name: 'Reach', partS: 10, sides: 1 }]]] : [];
        const dose = Object.fromEntries([
          ['kind', kind],
          ...fields.map((f) => [f.name, f[end]]),
          ...parts,
        ]) as Dose;
        expect(doseProblems(dose)).toEqual([]);
        expect(doseInWords(dose)).toMatch(/\d/);
      }
    }
  });
});

describe('a routine’s parts', () => {
  const routine = (parts: unknown): Dose => ({ kind: 'routine', rounds: 1, changeS: 0, parts }) as Dose;
  test.each([
    [undefined, 'Parts must be'],
    [[], 'Parts must be'],
    [Array.from({ length: 17 }, () => ({ name: 'a', partS: 1, sides: 1 })), 'Parts must be'],
    [[{ name: '', partS: 5, sides: 1 }], 'Part 1 must have a name'],
    [
      [
        { name: 'a', partS: 5, sides: 1 },
        { name: 'b', partS: 0, sides: 1 },
      ],
      'Part 2 must have',
    ],
    [[{ name: 'a', partS: 5, sides: 3 }], '1 or 2 sides'],
    [[null], 'Part 1'],
  ])('%j is refused', (parts, message) => {
    expect(doseProblems(routine(parts))[0]?.message).toContain(message);
  });

  test('what does not belong to a dose is cut off', () => {
    expect(onlyDoseFields({ kind: 'row', target: 5, capS: 60, sets: 9, evil: true })).toEqual({
      kind: 'row',
      target: 5,
      capS: 60,
    });
    expect(
      onlyDoseFields({
        kind: 'routine',
        rounds: 1,
        changeS: 2,
        parts: [{ name: 'a', partS: 1, sides: 1, x: 1 }],
      }),
    ).toEqual({ kind: 'routine', rounds: 1, changeS: 2, parts: [{ name: 'a', partS: 1, sides: 1 }] });
    expect(onlyDoseFields({ kind: 'odd', a: 1 })).toEqual({ kind: 'odd', a: 1 });
  });
});

test('one number of a dose is each player’s own; a shared clock is not', () => {
  const row: Dose = { kind: 'row', target: 20, capS: 120 };
  expect(amountOf(row)).toBe(20);
  expect(withAmount(row, 8)).toEqual({ kind: 'row', target: 8, capS: 120 });
  expect(withAmount(row, null)).toBe(row);
  expect(withAmount(row, 9999)).toMatchObject({ target: 500 });
  const box: Dose = { kind: 'timed', rounds: 2, workS: 20, restS: 10 };
  expect(amountOf(box)).toBeNull();
  expect(withAmount(box, 5)).toBe(box);
});

// Trade arithmetic, worked out by an independent simulation: 65.5 s and 53.5 touches, not 79.5 s.
test('a row near its cap takes the mean of the time as the cap cuts it', () => {
  const near = { perTouchS: 0.8, dropCostS: 3, successRate: 0.9, setUpS: 0, showS: 0, changeoverS: 0 };
  const { workS, touches } = doseTime({ kind: 'row', target: 20, capS: 120 }, near);
  expect(workS).toBeCloseTo(65.5, 1);
  expect(touches).toBeCloseTo(53.5, 0);
});
