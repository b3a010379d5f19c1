import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { normal, seededRandom } from '../../base/random';
import { logit } from '../level/scale';
import { changeIn, type Point } from './change';
import { learningCurves, type Practised } from './curve';
import { chanceOfShortRow, chanceOfSoLittle, onceIn } from './luck';

const sure = (p: number) => ({ mean: logit(p), variance: 0 });

test('a row of three after rows of twenty: as often as chance has it', () => {
  // 1 - p^4 of rows end at three or before.
  expect(chanceOfShortRow(sure(0.97), 3)).toBeCloseTo(1 - 0.97 ** 4, 12);
  expect(onceIn(chanceOfShortRow(sure(0.97), 3), 'try', 'tries')).toBe('once in nine tries');
});

test.each([
  [0.8, 'in most days'],
  [0.5, 'in about every second day'],
  [0.11, 'once in nine days'],
  [0.07, 'once in 14 days'],
  [0.012, 'once in 85 days'],
  [0.0001, 'less than once in a thousand days'],
])('%p is %p', (chance, words) => expect(onceIn(chance, 'day')).toBe(words));

test('how likely so poor a day is: exact for touches, the curve for the rest; for times, long is poor', () => {
  expect(chanceOfSoLittle(sure(0.8), { kind: 'chance', sum: 10, of: 20 })).toBeCloseTo(0.0025948, 7);
  const at = { mean: 0, variance: 0 };
  expect(chanceOfSoLittle(at, { kind: 'time', sum: 0, of: 4 })).toBeCloseTo(0.5, 12);
  expect(chanceOfSoLittle(at, { kind: 'time', sum: 1, of: 4 })).toBeLessThan(0.001);
  expect(chanceOfSoLittle(at, { kind: 'rate', sum: 10, of: 20 })).toBeLessThan(0.01);
  expect(chanceOfSoLittle(at, { kind: 'share', sum: 5, of: 10 })).toBeCloseTo(0.5, 12);
  expect(chanceOfSoLittle(at, { kind: 'spread', sum: 30, of: 9 })).toBeLessThan(0.01);
  // Where the level is hardly known, a poor day is no surprise.
  expect(
    chanceOfSoLittle({ mean: logit(0.8), variance: 1 }, { kind: 'chance', sum: 10, of: 20 }),
  ).toBeGreaterThan(0.08);
});

describe('changes', () => {
  const course = (seed: number, mean: (day: number) => number, spread = 0.2, n = 22): Point[] => {
    const random = seededRandom(seed);
    return Array.from({ length: n }, (_, i) => {
      const day = Math.floor(i / 2) * 7 + (i % 2) * 3;
      return { day, mean: normal(random, mean(day), spread), variance: spread ** 2 };
    });
  };
  const found = (mean: (day: number) => number, better: 1 | -1 = 1) =>
    Array.from({ length: 40 }, (_, seed) => changeIn(course(seed + 1, mean), better)?.kind ?? 'none');
  const share = (kinds: string[], kind: string) => kinds.filter((one) => one === kind).length / kinds.length;

  test('a steady course, straight or fading, is left alone', () => {
    for (const mean of [() => 1, (d: number) => 0.02 * d, (d: number) => 0.5 * Math.log1p(d / 7)])
      expect(share(found(mean), 'none')).toBeGreaterThan(0.94);
  });

  test('a plateau, a jump and a slide are found for what they are', () => {
    expect(
      share(
        found((d) => 0.06 * Math.min(d, 30)),
        'plateau',
      ),
    ).toBeGreaterThan(0.75);
    expect(
      share(
        found((d) => (d < 35 ? 0 : 1)),
        'jump',
      ),
    ).toBeGreaterThan(0.75);
    expect(
      share(
        found((d) => 0.03 * d - 0.09 * Math.max(0, d - 35)),
        'slide',
      ),
    ).toBeGreaterThan(0.75);
  });

  test('where less is better, a slide goes up', () => {
    expect(
      share(
        found((d) => -0.03 * d + 0.09 * Math.max(0, d - 35), -1),
        'slide',
      ),
    ).toBeGreaterThan(0.75);
  });

  test('says where it begins', () => {
    const change = changeIn(course(3, (d) => (d < 35 ? 0 : 1)));
    expect(change).toMatchObject({ kind: 'jump', fromDay: 35 });
  });

  test('a few days, or days that scatter far, carry nothing', () => {
    expect(changeIn(course(1, (d) => (d < 14 ? 0 : 2), 0.2, 7))).toBeNull();
    const wild = course(1, () => 0, 0.2).map((point, i) => ({ ...point, mean: i % 2 === 0 ? 1 : -1 }));
    expect(changeIn(wild)).toBeNull();
  });
});

describe('learning curves', () => {
  const curve = (law: 'power' | 'exponential', noise: number, seed = 1): Practised[] => {
    const random = seededRandom(seed);
    return Array.from({ length: 24 }, (_, i) => {
      const n = i + 1;
      const value = 0.1 + (law === 'power' ? 0.6 * n ** -0.8 : 0.6 * Math.exp(-0.25 * n));
      return { n, value: normal(random, value, noise), variance: 0.01 ** 2 };
    });
  };

  test.each(['power', 'exponential'] as const)('%s: the numbers it was made of, and no rival', (law) => {
    const { better, ratio, [law]: own } = learningCurves(curve(law, 0))!;
    expect(better).toBe(law);
    expect(ratio).toBeGreaterThan(100);
    expect(own.floor).toBeCloseTo(0.1, 3);
    expect(own.drop).toBeCloseTo(0.6, 3);
    expect(own.rate).toBeCloseTo(law === 'power' ? 0.8 : 0.25, 3);
  });

  test('with noise, what a general least-squares package finds', () => {
    for (const seed of [1, 2, 3]) {
      const points = curve('exponential', 0.01, seed);
      const { exponential } = learningCurves(points)!;
      const other = levenbergMarquardt(
        { x: points.map(({ n }) => n), y: points.map(({ value }) => value) },
        ([floor, drop, rate]: number[]) =>
          (n: number) =>
            floor! + drop! * Math.exp(-rate! * n),
        { initialValues: [0.2, 0.5, 0.2], damping: 0.01, maxIterations: 500, gradientDifference: 1e-6 },
      );
      const [floor, drop, rate] = other.parameterValues;
      expect(exponential.floor).toBeCloseTo(floor!, 4);
      expect(exponential.drop).toBeCloseTo(drop!, 3);
      expect(exponential.rate).toBeCloseTo(rate!, 3);
    }
  });

  test('no learning is no curve, and five days are too few', () => {
    const random = seededRandom(4);
    const flat = Array.from({ length: 20 }, (_, i) => ({
      n: i + 1,
      value: normal(random, 0.3, 0.05),
      variance: 0.05 ** 2,
    }));
    expect(learningCurves(flat)!.better).toBeNull();
    expect(learningCurves(flat.slice(0, 5))).toBeNull();
  });
});
