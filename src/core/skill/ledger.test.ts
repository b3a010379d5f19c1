import { ledgerForecast, rateWeeks } from './ledger';

test('a steady rate: what is left over it, and what five minutes more a day do', () => {
  const seen = ledgerForecast(800, 2000, [100, 100, 100, 100], 3);
  expect(seen.perWeek.value).toBe(100);
  expect(seen.weeksLeft!.value).toBe(12);
  // 35 minutes a week at 3 s each are 700 more.
  expect(seen.weeksWithMore).toBeCloseTo(1200 / 800, 12);
  expect(seen.weeksLeft!.low).toBeLessThan(12);
  expect(seen.weeksLeft!.high).toBeGreaterThan(12);
});

test('the wilder the weeks, the wider the range; only the last weeks count', () => {
  const width = (weeks: number[]) => {
    const { weeksLeft } = ledgerForecast(0, 1000, weeks, 3);
    return weeksLeft!.high - weeksLeft!.low;
  };
  expect(width([20, 180, 20, 180])).toBeGreaterThan(width([100, 100, 100, 100]));
  const old = [...Array<number>(10).fill(5000), ...Array<number>(rateWeeks).fill(100)];
  expect(ledgerForecast(0, 1000, old, 3).perWeek.value).toBe(100);
});

test('reached is reached, and nothing done has no date', () => {
  expect(ledgerForecast(2100, 2000, [50], 3).weeksLeft).toEqual({ value: 0, low: 0, high: 0 });
  expect(ledgerForecast(10, 2000, [0, 0, 0], 3).weeksLeft).toBeNull();
  expect(ledgerForecast(10, 2000, [0, 0, 0], 3).weeksWithMore).toBeCloseTo(1990 / 700, 10);
  expect(ledgerForecast(0, 2000, [], 3).weeksLeft).toBeNull();
});
