import { chanceOfRow as chance, expectedDropsToRow, expectedTouchesToRow } from './row-odds';
import { seededRandom } from '../base/random';

describe('tries to reach a row', () => {
  // W. Feller, An Introduction to Probability Theory, vol. 1, ch. XIII: (p^-N - 1) / (1 - p).
  test.each([
    [0.5, 5, 62],
    [0.8, 10, 41.57],
    [0.9, 20, 72.25],
    [0.95, 20, 35.79],
    [0.98, 100, 327.02],
  ])('at p %d, %d in a row takes %d tries', (p, n, tries) => {
    expect(expectedTouchesToRow(p, n)).toBeCloseTo(tries, 2);
  });

  test('a sure hand needs exactly the row, no hand never gets there', () => {
    expect(expectedTouchesToRow(1, 12)).toBe(12);
    expect(expectedDropsToRow(1, 12)).toBe(0);
    expect(expectedTouchesToRow(0, 1)).toBe(Infinity);
    expect(expectedTouchesToRow(0.3, 0)).toBe(0);
  });

  test('agrees with play by play', () => {
    const random = seededRandom(7);
    const rows = 20_000;
    let tries = 0;
    let drops = 0;
    for (let i = 0; i < rows; i++) {
      for (let row = 0; row < 6; tries++) {
        if (random() < 0.7) row += 1;
        else [row, drops] = [0, drops + 1];
      }
    }
    expect(tries / rows / expectedTouchesToRow(0.7, 6)).toBeCloseTo(1, 1);
    expect(drops / rows / expectedDropsToRow(0.7, 6)).toBeCloseTo(1, 1);
  });

  test('refuses what is no rate or no row', () => {
    expect(() => expectedTouchesToRow(1.2, 3)).toThrow('from 0 to 1');
    expect(() => expectedTouchesToRow(0.5, -1)).toThrow('whole number');
    expect(() => chance(0.5, 1.5, 3)).toThrow('whole number');
  });
});

describe('chance of a row', () => {
  // Same source (success runs); the first is also counted by hand: 112 of 1024 sequences.
  test.each([
    [0.5, 5, 10, 0.109375, 9],
    [0.5, 7, 100, 0.31752, 5],
    [0.9, 20, 100, 0.7753, 5],
  ])('p %d, run of %d in %d', (p, k, n, expected, digits) => {
    expect(chance(p, k, n)).toBeCloseTo(expected, digits);
  });

  test('by counting every sequence of twelve', () => {
    let hits = 0;
    for (let bits = 0; bits < 4096; bits++) if (bits.toString(2).includes('1111')) hits += 1;
    expect(chance(0.5, 4, 12)).toBeCloseTo(hits / 4096, 12);
  });

  test('edges', () => {
    expect(chance(0.4, 0, 0)).toBe(1);
    expect(chance(0.4, 3, 2)).toBe(0);
    expect(chance(1, 5, 5)).toBe(1);
  });
});
