import { beside, inTen } from './beside';

test('a difference is named only where the ranges lie apart', () => {
  // 90 of 100 against 60 of 100: 95 % ranges of some 0.83 to 0.95 and 0.50 to 0.69 (Jeffreys).
  const clear = beside([{ touches: 90, drops: 10 }], [{ touches: 60, drops: 40 }]);
  expect(clear.more).toBe('first');
  expect(clear.first.low).toBeCloseTo(0.83, 1);
  expect(clear.second.high).toBeCloseTo(0.69, 2);
  expect(beside([{ touches: 60, drops: 40 }], [{ touches: 90, drops: 10 }]).more).toBe('second');
  expect(beside([{ touches: 9, drops: 1 }], [{ touches: 6, drops: 4 }]).more).toBeNull();
});

test('what was counted on several days is added up', () => {
  const days = [
    { touches: 30, drops: 5 },
    { touches: 60, drops: 5 },
  ];
  expect(beside(days, days).first).toEqual(
    beside([{ touches: 90, drops: 10 }], [{ touches: 1, drops: 1 }]).first,
  );
});

test.each([
  [0.94, '9 of 10'],
  [0.97, 'nearly 10 of 10'],
  [1, '10 of 10'],
  [0.04, '0 of 10'],
])('a share of %s is %s', (share, words) => expect(inTen(share)).toBe(words));
