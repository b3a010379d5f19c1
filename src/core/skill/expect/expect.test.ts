import { seededRandom } from '../../base/random';
import { drawPlayer } from '../testing/own-world';
import { assumptions } from '../level/assumptions';
import type { State } from '../level/follow';
import { waysOn } from '../level/ways';
import { logit } from '../level/scale';
import { foresee } from './forecast';
import { chanceAt, chanceOf, bestAt, type Goal } from './mark';
import { binomialAtMost, normalBelow, normalPoint } from './normal';
import {
  bestRowOf,
  chanceOfRowInTime,
  chanceOfRowInTries,
  chanceOfTouch,
  minutesToRow,
  triesToRow,
} from './rows';

const sure = (p: number) => ({ mean: logit(p), variance: 0 });

// Worked out by hand: 1 - (1 - p^N)^k.
test.each([
  [0.9, 20, 5, 0.47698],
  [0.9, 10, 3, 0.7237],
  [0.9, 50, 10, 0.05036],
])('at %p a row of %p in one of %p tries comes with %p', (p, n, k, chance) => {
  expect(chanceOfRowInTries(sure(p), n, k)).toBeCloseTo(chance, 5);
});

// Sum over n of 1 - (1 - p^n)^k.
test.each([
  [0.8, 5, 9.7326],
  [0.9, 10, 27.2995],
])('at %p the best of %p rows is %p', (p, k, best) => {
  expect(bestRowOf(sure(p), k)).toBeCloseTo(best, 3);
});

test('ten or fewer of twenty at 0.8 come with 0.0025948; the normal curve is the tables’', () => {
  expect(binomialAtMost(10, 20, 0.8)).toBeCloseTo(0.0025948, 7);
  expect(binomialAtMost(20, 20, 0.8)).toBe(1);
  expect(binomialAtMost(-1, 20, 0.8)).toBe(0);
  expect(binomialAtMost(2400, 3000, 0.8)).toBeCloseTo(0.5, 1);
  // Abramowitz and Stegun, table 26.1.
  expect(normalBelow(1)).toBeCloseTo(0.8413447461, 10);
  expect(normalBelow(-1.96)).toBeCloseTo(0.0249978951, 10);
  expect(normalBelow(3)).toBeCloseTo(0.998650102, 10);
  expect([normalBelow(-9), normalBelow(9)]).toEqual([0, 1]);
});

test('not knowing the level makes long rows likelier than the middle level does, and ranges wide', () => {
  const [known, unsure] = [sure(0.9), { mean: logit(0.9), variance: 0.5 }];
  expect(chanceOfRowInTries(unsure, 40)).toBeGreaterThan(chanceOfRowInTries(known, 40));
  expect(chanceOfTouch(known)).toBeCloseTo(0.9, 12);
  const tries = triesToRow(unsure, 10);
  for (const one of Object.values(triesToRow(known, 10))) expect(one).toBeCloseTo(0.9 ** -10, 10);
  expect(tries.low).toBeLessThan(2);
  expect(tries.high).toBeGreaterThan(8);
});

test('minutes count touches and drops; a row in a time box is at most that in all the touches there are', () => {
  const pace = { perTouchS: 1, dropCostS: 4 };
  // (1 / 0.9^10 - 1) / 0.1 touches of a second, 1 / 0.9^10 - 1 drops of four.
  const drops = 0.9 ** -10 - 1;
  expect(minutesToRow(sure(0.9), 10, pace).value).toBeCloseTo((drops / 0.1 + 4 * drops) / 60, 10);
  const short = chanceOfRowInTime(sure(0.9), 10, 30, pace);
  const long = chanceOfRowInTime(sure(0.9), 10, 120, pace);
  expect(short).toBeGreaterThan(0.3);
  expect(long).toBeGreaterThan(short);
  expect(chanceOfRowInTime(sure(0.9), 10, 5, pace)).toBe(0);
});

const goal = (more: Partial<Goal>): Goal => ({
  kind: 'chance',
  mark: 8,
  inARow: false,
  tries: 10,
  boxS: 20,
  mostEach: 1,
  ...more,
});

test('each measure has its chance to reach a mark', () => {
  // 8 or more of 10 at 0.8, from a table of the binomial distribution.
  expect(chanceAt(goal({}), logit(0.8))).toBeCloseTo(0.6777995, 6);
  expect(chanceAt(goal({ inARow: true }), logit(0.8))).toBeCloseTo(0.8 ** 8, 12);
  const { noise } = assumptions.time;
  expect(chanceAt(goal({ kind: 'time', mark: 8 }), Math.log(8))).toBeCloseTo(0.5, 12);
  expect(chanceAt(goal({ kind: 'time', mark: 8 * Math.exp(noise) }), Math.log(8))).toBeCloseTo(0.8413447, 6);
  // Half a count below what is expected.
  expect(chanceAt(goal({ kind: 'rate', mark: 20.5 }), 0)).toBeCloseTo(0.5, 12);
  expect(chanceAt(goal({ kind: 'share', mark: 50.5, mostEach: 10 }), 0)).toBeCloseTo(0.5, 12);
  // Chi-squared with 9 degrees of freedom lies below 16.919 in 95 of 100, from the tables.
  const mark = Math.sqrt(16.919 / 9);
  expect(chanceAt(goal({ kind: 'spread', mark, tries: 10 }), 0)).toBeCloseTo(0.95, 2);
  expect(chanceOf(goal({}), sure(0.8), 2)).toBeCloseTo(1 - (1 - 0.6777995) ** 2, 6);
});

test.each([1, 4])('the best of a day is what is reached on every second one, in %p attempts', (attempts) => {
  for (const kind of ['rate', 'share', 'time', 'spread'] as const) {
    const { mark: _mark, ...rest } = goal({ kind, mostEach: 1, boxS: 30 });
    const level = 0.4;
    // Counts are whole: half a one below.
    const mark = bestAt(rest, level, attempts) + (kind === 'rate' || kind === 'share' ? 0.5 : 0);
    expect(chanceOf({ ...rest, mark }, { mean: level, variance: 0 }, attempts)).toBeCloseTo(0.5, 6);
  }
  const row = bestAt(goal({ inARow: true }), logit(0.9), attempts);
  expect(1 - (1 - 0.9 ** row) ** attempts).toBeCloseTo(0.5, 12);
  expect(bestAt(goal({}), 9, attempts)).toBeLessThanOrEqual(10);
  expect(normalPoint(0.975)).toBeCloseTo(1.959964, 6);
});

test('the day a mark is passed lies in its range about eight times in ten, for players drawn as the model thinks', () => {
  const random = seededRandom(5);
  let [inside, known] = [0, 0];
  for (let n = 0; n < 150; n++) {
    const drawn = drawPlayer('chance', 10, 0, random);
    const ways = waysOn('chance', { mean: drawn.usual, variance: 0.81 }, drawn.dated);
    const from = drawn.dated.at(-1)!.day;
    const days = Array.from({ length: 30 }, (_, i) => from + 3 + Math.floor(i / 2) * 7 + (i % 2) * 3);
    const aim = goal({ inARow: true, mark: 12 });
    const ahead = { days, attempts: 5, missingDays: 2 };
    const seen = foresee(ways, from, aim, ahead, seededRandom(n));
    // One true life of this player goes on, by the same rules, from the true level.
    const truth: State = {
      level: drawn.levels.at(-1)!,
      gain: drawn.gain,
      levelVar: 0,
      both: 0,
      gainVar: 0,
      wanders: 1,
      scatter: 1,
    };
    const lives = foresee([{ share: 1, state: truth }], from, aim, ahead, seededRandom(n + 1000));
    if (seen.early === null || lives.middle === null) continue;
    known += 1;
    if (lives.middle >= seen.early && lives.middle <= (seen.late ?? Infinity)) inside += 1;
  }
  expect(known).toBeGreaterThan(80);
  expect(inside / known).toBeGreaterThan(0.75);
});

test('a forecast is the same with the same seed, comes sooner for the better, and says when it lies beyond', () => {
  const state = {
    level: logit(0.9),
    gain: 0.05,
    levelVar: 0.05,
    both: 0,
    gainVar: 0.01,
    wanders: 1,
    scatter: 1,
  };
  const days = [3, 7, 10, 14, 17, 21];
  const ahead = { days, attempts: 3, missingDays: 2 };
  const aim = goal({ inARow: true, mark: 20 });
  const see = (level: number) =>
    foresee([{ share: 1, state: { ...state, level } }], 0, aim, ahead, seededRandom(1));
  expect(see(logit(0.9))).toEqual(see(logit(0.9)));
  expect(see(logit(0.97)).byTheEnd).toBeGreaterThan(see(logit(0.9)).byTheEnd);
  expect(see(logit(0.97)).middle!).toBeLessThan(21);
  expect(see(logit(0.6))).toMatchObject({ early: null, middle: null, late: null });
  // Two days are missing: the first day cannot be the one.
  expect(see(logit(0.999)).early).toBe(7);
});
