import { bearable, Budget } from './budget';

test('so many at once, then so many a second; others are not touched', () => {
  const budget = new Budget({ burst: 3, perSecond: 2 });
  const take = (nowMs: number, who = 'a') => budget.take(who, nowMs);
  expect([take(0), take(0), take(0), take(0)]).toEqual([true, true, true, false]);
  expect(take(0, 'b')).toBe(true);
  expect([take(500), take(500)]).toEqual([true, false]);
  // Waiting saves up no more than a burst.
  expect([1, 2, 3, 4].map(() => take(60_000))).toEqual([true, true, true, false]);
});

test('who asked first is forgotten first', () => {
  const budget = new Budget({ burst: 1, perSecond: 0 }, 2);
  expect([budget.take('a', 0), budget.take('b', 0), budget.take('c', 0)]).toEqual([true, true, true]);
  expect([budget.take('c', 0), budget.take('a', 0)]).toEqual([false, true]);
});

test('a server with no time to give lets one address ask a tenth of what it may while there is time', () => {
  expect(bearable(0)).toEqual({ burst: 3000, perSecond: 300 });
  expect(bearable(0.7)).toEqual({ burst: 3000, perSecond: 300 });
  expect(bearable(1)).toEqual({ burst: 300, perSecond: 30 });
  let busy = 0;
  const budget = new Budget(() => bearable(busy));
  const taken = (nowMs: number) =>
    Array.from({ length: 4000 }, () => budget.take('a', nowMs)).filter(Boolean).length;
  expect(taken(0)).toBe(3000);
  expect(taken(1000)).toBe(300);
  busy = 1;
  expect(taken(2000)).toBe(30);
  // Somebody else's is not touched, and a file costs a part.
  expect(budget.take('b', 2000, 0.1)).toBe(true);
  expect(budget.left('b', 2000)).toBeCloseTo(299.9);
});
