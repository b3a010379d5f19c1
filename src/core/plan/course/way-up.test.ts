import fc from 'fast-check';
import { seededRandom } from '@/core/base/random';
import { logit } from '@/core/skill/level/scale';
import { pathOf, type Rung } from './way-up';

const still = { gain: 0, levelVar: 0, both: 0, gainVar: 0, wanders: 1, scatter: 1 };

/** A row of 10 in one try, at a level that is known for certain and does not move. */
const rung = (p: number, more: Partial<Rung> = {}): Rung => ({
  goal: { kind: 'chance', mark: 10, inARow: true, tries: 10, boxS: 1, mostEach: 1 },
  attempts: 1,
  days: 1,
  fromDay: 0,
  ways: [{ share: 1, state: { level: logit(p), ...still } }],
  ...more,
});
const weeks = (n: number) => Array.from({ length: n }, (_, index) => 7 * (index + 1));

test('who is sure to pass goes up one rung a session, and no more', () => {
  const sure = [rung(1 - 1e-9), rung(1 - 1e-9), rung(1 - 1e-9)];
  const path = pathOf(sure, weeks(5), seededRandom(1));
  expect(path.before.map(({ middle }) => middle)).toEqual([0, 1, 2, 3, 3]);
  expect(path).toMatchObject({ end: { low: 3, middle: 3, high: 3 }, reached: 1 });
});

test('who cannot pass stays, and says so', () => {
  const path = pathOf([rung(1e-3), rung(0.9)], weeks(4), seededRandom(1));
  expect(path.before.every(({ high }) => high === 0)).toBe(true);
  expect(path).toMatchObject({ end: { high: 0 }, reached: 0 });
});

test('a mark that asks for two days takes two sessions', () => {
  const path = pathOf([rung(1 - 1e-9, { days: 2 })], weeks(3), seededRandom(1));
  expect(path.before.map(({ middle }) => middle)).toEqual([0, 0, 1]);
});

test('the chance is the one worked out by hand where the level stands still', () => {
  // Form of a day and wandering move the level, so the hand-worked case has neither: a goal of one touch at a half each day.
  const half = rung(0.5, {
    goal: { kind: 'chance', mark: 1, inARow: true, tries: 1, boxS: 1, mostEach: 1 },
  });
  // One day: chance of a touch is a half by symmetry, whatever the form of the day. 400 lives know it to 0.025.
  expect(pathOf([half], [0], seededRandom(3)).reached).toBeGreaterThan(0.42);
  expect(pathOf([half], [0], seededRandom(3)).reached).toBeLessThan(0.58);
});

test('nothing to climb is passed; no sessions leave everybody where they are', () => {
  expect(pathOf([], weeks(2), seededRandom(1))).toMatchObject({ end: { low: 0, high: 0 }, reached: 1 });
  expect(pathOf([rung(0.9)], [], seededRandom(1))).toEqual({
    before: [],
    end: { low: 0, middle: 0, high: 0 },
    reached: 0,
  });
});

test('a path never goes down, holds its middle in its range, and is the same with the same seed', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 0.3, max: 0.99, noNaN: true }), { minLength: 1, maxLength: 5 }),
      fc.integer({ min: 1, max: 12 }),
      fc.integer({ min: 1, max: 99 }),
      (levels, sessions, seed) => {
        const rungs = levels.map((p) =>
          rung(p, {
            ways: [
              { share: 1, state: { ...still, level: logit(p), gain: 0.1, levelVar: 0.2, gainVar: 0.01 } },
            ],
            attempts: 4,
          }),
        );
        const path = pathOf(rungs, weeks(sessions), seededRandom(seed));
        const all = [...path.before, path.end];
        for (const [index, { low, middle, high }] of all.entries()) {
          expect(low <= middle && middle <= high && high <= rungs.length && high <= index).toBe(true);
          if (index > 0) expect(middle).toBeGreaterThanOrEqual(all[index - 1]!.middle);
        }
        expect(pathOf(rungs, weeks(sessions), seededRandom(seed))).toEqual(path);
      },
    ),
    { numRuns: 30 },
  );
});

test('more sessions never make the goal less likely', () => {
  const rungs = [rung(0.85, { attempts: 3 }), rung(0.8, { attempts: 3 })];
  const chances = [2, 4, 8, 12].map((n) => pathOf(rungs, weeks(n), seededRandom(5)).reached);
  for (const [index, chance] of chances.entries())
    if (index > 0) expect(chance).toBeGreaterThanOrEqual(chances[index - 1]! - 0.05);
});
