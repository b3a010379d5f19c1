import { mean, standardDeviation } from 'simple-statistics';
import { normal, seededRandom, wholeBetween } from './random';

const draws = <T>(n: number, draw: () => T): T[] => Array.from({ length: n }, draw);

test('the same seed gives the same numbers, another seed others', () => {
  expect(draws(5, seededRandom(7))).toEqual(draws(5, seededRandom(7)));
  expect(draws(5, seededRandom(7))).not.toEqual(draws(5, seededRandom(8)));
});

test('numbers lie in [0, 1) and fill it evenly', () => {
  const numbers = draws(40_000, seededRandom(1));
  expect(Math.min(...numbers)).toBeGreaterThanOrEqual(0);
  expect(Math.max(...numbers)).toBeLessThan(1);
  // Ten bins of 4000: chi-squared with 9 degrees of freedom stays under 21.67 in 99 of 100 cases (standard table).
  const bins = Array<number>(10).fill(0);
  for (const number of numbers) bins[Math.floor(number * 10)]! += 1;
  expect(bins.reduce((sum, bin) => sum + (bin - 4000) ** 2 / 4000, 0)).toBeLessThan(21.67);
});

test('neighbours tell nothing of each other', () => {
  const numbers = draws(20_000, seededRandom(3));
  const products = numbers.slice(1).map((number, i) => (number - 0.5) * (numbers[i]! - 0.5));
  // Serial correlation of independent numbers: within three standard errors of nothing.
  expect(Math.abs(mean(products) * 12)).toBeLessThan(3 / Math.sqrt(products.length));
});

test('normal draws have their mean and spread', () => {
  const random = seededRandom(5);
  const numbers = draws(20_000, () => normal(random, 3, 2));
  expect(mean(numbers)).toBeCloseTo(3, 1);
  expect(standardDeviation(numbers)).toBeCloseTo(2, 1);
  // 68.27 % within one spread (standard table).
  expect(numbers.filter((n) => Math.abs(n - 3) < 2).length / numbers.length).toBeCloseTo(0.6827, 1);
});

test('whole numbers reach both ends and nothing beyond', () => {
  const random = seededRandom(9);
  expect(new Set(draws(500, () => wholeBetween(random, 2, 5)))).toEqual(new Set([2, 3, 4, 5]));
});
