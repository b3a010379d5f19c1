import { Budget } from './budget';

test('so many at once, then so many a second; others are not touched', () => {
  const budget = new Budget(3, 2);
  const take = (nowMs: number, who = 'a') => budget.take(who, nowMs);
  expect([take(0), take(0), take(0), take(0)]).toEqual([true, true, true, false]);
  expect(take(0, 'b')).toBe(true);
  expect([take(500), take(500)]).toEqual([true, false]);
  // Waiting saves up no more than a burst.
  expect([1, 2, 3, 4].map(() => take(60_000))).toEqual([true, true, true, false]);
});

test('who asked first is forgotten first', () => {
  const budget = new Budget(1, 0, 2);
  expect([budget.take('a', 0), budget.take('b', 0), budget.take('c', 0)]).toEqual([true, true, true]);
  expect([budget.take('c', 0), budget.take('a', 0)]).toEqual([false, true]);
});
