import { daysLater, isFirstDay, mondayOf, mostWeeks, sameWeekdayAfter, weekOf, weeklyDays } from './weekly';

test('days of the calendar: over a month, a leap day, the end of a year, and the nights the clocks change', () => {
  expect(daysLater('2026-11-26', 7)).toBe('2026-12-03');
  expect(daysLater('2028-02-27', 2)).toBe('2028-02-29');
  expect(daysLater('2026-12-31', 1)).toBe('2027-01-01');
  expect(daysLater('2026-03-28', 7)).toBe('2026-04-04');
  expect(daysLater('2026-10-24', 7)).toBe('2026-10-31');
});

test('week by week until a day, that day included; once where there is none', () => {
  expect(weeklyDays('2026-12-03', '2026-12-17')).toEqual(['2026-12-03', '2026-12-10', '2026-12-17']);
  expect(weeklyDays('2026-12-03', '2026-12-16')).toEqual(['2026-12-03', '2026-12-10']);
  for (const until of ['', '2026-12-01', '2026-12-03'])
    expect(weeklyDays('2026-12-03', until)).toEqual(['2026-12-03']);
  expect(weeklyDays('2026-12-03', '2036-01-01')).toHaveLength(mostWeeks);
});

test('the next same weekday is after today, however long ago it was held', () => {
  // 2026-11-26 is a Thursday.
  expect(sameWeekdayAfter('2026-11-26', '2026-11-26')).toBe('2026-12-03');
  expect(sameWeekdayAfter('2026-11-19', '2026-11-26')).toBe('2026-12-03');
  expect(sameWeekdayAfter('2026-11-17', '2026-11-26')).toBe('2026-12-01');
  expect(sameWeekdayAfter('2026-12-10', '2026-11-26')).toBe('2026-12-17');
});

test('a week begins on the day it is said to: Monday by ISO 8601, or Sunday, or Saturday', () => {
  // 2026-11-26 is a Thursday, 2026-11-29 a Sunday.
  expect(weekOf('2026-11-26')).toBe(mondayOf('2026-11-26'));
  expect(weekOf('2026-11-26', 'sunday')).toBe('2026-11-22');
  expect(weekOf('2026-11-29', 'sunday')).toBe('2026-11-29');
  expect(weekOf('2026-11-29')).toBe('2026-11-23');
  expect(weekOf('2026-11-29', 'saturday')).toBe('2026-11-28');
  expect(['monday', 'toString', 'Monday', '', 1].map(isFirstDay)).toEqual([true, false, false, false, false]);
});
