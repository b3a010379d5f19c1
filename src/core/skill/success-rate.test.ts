import { successRate } from './success-rate';
import { wilsonInterval } from './wilson';

describe('Wilson interval', () => {
  // E. B. Wilson 1927, 95 %; the first as computed from the published formula, the second the usual worked example.
  test.each([
    [18, 20, 0.699, 0.9721],
    [81, 263, 0.2553, 0.3662],
  ])('%d of %d', (successes, tries, low, high) => {
    const interval = wilsonInterval(successes, tries);
    expect(interval.low).toBeCloseTo(low, 4);
    expect(interval.high).toBeCloseTo(high, 4);
  });

  test('knows nothing without tries and stays inside 0 to 1', () => {
    expect(wilsonInterval(0, 0)).toEqual({ low: 0, high: 1 });
    expect(wilsonInterval(5, 5).high).toBe(1);
    expect(wilsonInterval(0, 5).low).toBeCloseTo(0, 12);
  });
});

describe('success rate', () => {
  test('starts at the usual rate and says there is little data', () => {
    expect(successRate({ touches: 0, drops: 0 }, 0.8)).toMatchObject({
      value: 0.8,
      littleData: true,
      tries: 0,
    });
  });

  test('moves to the own record as tries gather', () => {
    expect(successRate({ touches: 45, drops: 5 }, 0.5).value).toBeCloseTo(50 / 60, 10);
    expect(successRate({ touches: 900, drops: 100 }, 0.5)).toMatchObject({ littleData: false });
    expect(successRate({ touches: 900, drops: 100 }, 0.5).value).toBeCloseTo(0.9, 1);
  });
});
