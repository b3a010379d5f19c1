import { doseInWords, type Dose } from './dose';
import { doseFields, doseProblems } from './limits';
import { doseTime, type Pace } from './time';

const pace: Pace = { perTouchS: 2, dropCostS: 4, successRate: 0.8, setUpS: 30, changeoverS: 15 };
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
    const time = doseTime({ kind: 'row', target: 10, capS: 600 }, pace);
    expect(time.workS).toBeCloseTo(41.566 * 2 + 8.313 * 4, 1);
    expect(time.touches).toBeCloseTo(41.566 - 8.313, 2);
  });

  test('a row out of reach ends at its cap', () => {
    expect(doseTime({ kind: 'row', target: 100, capS: 90 }, pace)).toMatchObject({ workS: 90, capped: true });
    expect(doseTime({ kind: 'row', target: 500, capS: 90 }, { ...pace, successRate: 0 })).toMatchObject({
      workS: 90,
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
        const dose = Object.fromEntries([['kind', kind], ...fields.map((f) => [f.name, f[end]])]) as Dose;
        expect(doseProblems(dose)).toEqual([]);
        expect(doseInWords(dose)).toMatch(/\d/);
      }
    }
  });
});
