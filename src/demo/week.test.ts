import { daysAhead, turnedWeekday } from './week';

test('on a Tuesday every weekday stays as it is written', () => {
  expect([0, 1, 2, 3, 4, 5, 6].map((day) => turnedWeekday(day, '2026-12-01'))).toEqual([0, 1, 2, 3, 4, 5, 6]);
});

test('on a Saturday Tuesday’s group meets on Saturday, and Thursday’s two days later', () => {
  expect([2, 4].map((day) => turnedWeekday(day, '2027-01-02'))).toEqual([6, 1]);
});

test('a Sunday written as 7 is the same Sunday as one written as 0', () => {
  expect(turnedWeekday(7, '2026-12-03')).toBe(turnedWeekday(0, '2026-12-03'));
});

test('how far ahead a day of the demo lies does not depend on the calendar', () => {
  expect([2, 3, 4, 6, 1].map(daysAhead)).toEqual([0, 1, 2, 4, 6]);
});
