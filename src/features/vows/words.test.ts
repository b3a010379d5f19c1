import fc from 'fast-check';
import { keepingOf } from '@/core/vows/keeping';
import { keptWords } from './words';

const days = (...list: number[]) => list.map((day) => ({ day, share: 1 }));

test.each([
  [
    'a planned day not done is not hidden by another day that was',
    [1, 3, 5],
    days(1, 4, 5),
    '2 of 3 days kept, 1 other day kept.',
  ],
  ['all of them', [1, 3, 5], days(1, 3, 5), '3 of 3 days kept, 3 in a row now.'],
  [
    'begun is not kept',
    [1, 3],
    [
      { day: 1, share: 0.5 },
      { day: 3, share: 1 },
    ],
    '1 of 2 days kept, 1 begun.',
  ],
  ['before its first day', [9], [], 'It has not begun yet.'],
  ['kept early', [9], days(6), '1 other day kept.'],
] as const)('%s', (_, planned, done, words) => {
  expect(keptWords({ keeping: keepingOf(planned, done, [], 7) })).toBe(words);
});

test('however it was kept, it never says that more was kept than asked for', () => {
  const list = fc
    .uniqueArray(fc.integer({ min: 0, max: 30 }), { maxLength: 20 })
    .map((all) => all.sort((a, b) => a - b));
  fc.assert(
    fc.property(list, list, fc.integer({ min: 0, max: 30 }), (planned, done, today) => {
      const keeping = keepingOf(planned, days(...done.filter((day) => day <= today)), [], today);
      expect(keeping.keptOfAsked).toBeLessThanOrEqual(keeping.asked);
      expect(keeping.keptOfAsked).toBe(planned.filter((day) => day <= today && done.includes(day)).length);
      expect(keeping.keptOfAsked + keeping.missed).toBe(keeping.asked);
    }),
  );
});
