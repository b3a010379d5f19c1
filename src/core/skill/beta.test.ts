import fc from 'fast-check';
import { betaBelow, betaQuantile, shareOf } from './beta';
import { binomialAtMost } from './expect/normal';
import { logGamma } from './log-gamma';

test('18 of 20 on a flat prior: Beta(19, 3), equal tails of 95 %', () => {
  // Quantiles of an independent library, to five places.
  expect(betaQuantile(0.025, 19, 3)).toBeCloseTo(0.69623, 5);
  expect(betaQuantile(0.975, 19, 3)).toBeCloseTo(0.96951, 5);
});

test('81 of 263 by Jeffreys’ prior', () => {
  const { value, low, high } = shareOf(81, 263);
  expect(low).toBeCloseTo(0.25452, 5);
  expect(high).toBeCloseTo(0.36565, 5);
  expect(value).toBeCloseTo(81.5 / 264, 12);
  expect(shareOf(0, 0)).toEqual({ value: 0.5, low: 0, high: 1 });
});

test('is the tail of a binomial distribution, summed by itself: P(X >= k) = I_p(k, n - k + 1)', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 80 }),
      fc.integer({ min: 1, max: 80 }),
      fc.double({ min: 0.01, max: 0.99, noNaN: true }),
      (a, b, p) => {
        const [k, n] = [Math.min(a, b), Math.max(a, b)];
        expect(betaBelow(p, k, n - k + 1)).toBeCloseTo(1 - binomialAtMost(k - 1, n, p), 9);
        const x = betaQuantile(p, a, b);
        expect(betaBelow(x, a, b)).toBeCloseTo(p, 9);
      },
    ),
  );
  expect([betaBelow(-1, 2, 3), betaBelow(2, 2, 3)]).toEqual([0, 1]);
});

test('the gamma function is the factorials, and the root of pi at a half', () => {
  expect(Math.exp(logGamma(6))).toBeCloseTo(120, 9);
  expect(Math.exp(logGamma(0.5))).toBeCloseTo(Math.sqrt(Math.PI), 12);
  expect(Math.exp(logGamma(0.25)) / 3.625609908221908).toBeCloseTo(1, 12);
});
