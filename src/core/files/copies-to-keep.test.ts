import fc from 'fast-check';
import { copiesToKeep, isDay } from './copies-to-keep';
import { daysLater, mondayOf } from '../plan/weekly';

/** A Friday. */
const today = '2026-11-27';
const back = (n: number) => daysLater(today, -n);

test('a copy a day for two months: seven days, and the newest of the weeks before', () => {
  const made = Array.from({ length: 60 }, (_, n) => back(n));
  expect([...copiesToKeep(made, today)].sort()).toEqual([
    // Sundays end their weeks; the week of the 16th has its last days among the seven.
    '2026-11-08',
    '2026-11-15',
    '2026-11-21',
    '2026-11-22',
    '2026-11-23',
    '2026-11-24',
    '2026-11-25',
    '2026-11-26',
    '2026-11-27',
  ]);
});

test('a copy now and then: nothing of the last weeks goes that is the only one of its week', () => {
  expect([...copiesToKeep(['2026-11-03', '2026-11-10', '2026-11-12', '2026-10-30'], today)].sort()).toEqual([
    '2026-11-03',
    '2026-11-12',
  ]);
});

test('whatever was made, today’s stays, at most eleven stay, and each week that had one has one', () => {
  fc.assert(
    fc.property(fc.uniqueArray(fc.integer({ min: 0, max: 80 })), (ages) => {
      const made = ages.map(back);
      const kept = copiesToKeep(made, today);
      expect(kept.size).toBeLessThanOrEqual(11);
      if (made.includes(today)) expect(kept).toContain(today);
      for (const day of made.filter((one) => mondayOf(one) >= daysLater(mondayOf(today), -21)))
        expect([...kept].some((one) => mondayOf(one) === mondayOf(day))).toBe(true);
    }),
  );
});

test.each([
  ['2026-11-27', true],
  ['2026-13-01', false],
  ['20261127', false],
  ['', false],
])('is %p a day: %p', (text, is) => expect(isDay(text)).toBe(is));
