import fc from 'fast-check';
import { plainBook } from '@/drills';
import { changedDose, changedRate, changedTempo, changes, findChange, isEased } from './changes';
import { easings, spices } from './types';

test('every spice and easing has its effect, and nothing else has', () => {
  expect(changes.map((change) => change.id)).toEqual([...spices, ...easings]);
  expect(findChange('upside down')).toBeUndefined();
  for (const change of changes) expect(change.text).toMatch(/^[A-Z].*\.$/);
});

test('a spice is never easier, an easing never harder; each changes something', () => {
  for (const { kind, odds, tempo, amount } of changes) {
    if (kind === 'spice') expect(odds).toBeLessThanOrEqual(1);
    else expect(odds).toBeGreaterThanOrEqual(1);
    expect(odds !== 1 || tempo !== 1 || amount !== 1).toBe(true);
  }
});

test('worked by hand: at 0.8 the odds are 4; the other hand takes 0.4 of them', () => {
  // 4 x 0.4 = 1.6, and 1.6 / 2.6 = 0.615.
  expect(changedRate(0.8, ['other hand'])).toBeCloseTo(1.6 / 2.6, 9);
  // A bigger ball: 4 x 1.8 = 7.2, and 7.2 / 8.2.
  expect(changedRate(0.8, ['bigger ball'])).toBeCloseTo(7.2 / 8.2, 9);
  expect(changedTempo(2, ['slower'])).toBeCloseTo(2.6, 9);
  expect(changedDose({ kind: 'row', target: 20, capS: 120 }, ['other hand'])).toEqual({
    kind: 'row',
    target: 12,
    capS: 72,
  });
  expect(changedDose({ kind: 'row', target: 20, capS: 120 }, ['bigger ball'])).toMatchObject({ target: 20 });
});

test('the order of changes does not matter, and none changes nothing', () => {
  const some = fc.subarray([...spices, ...easings], { maxLength: 4 });
  fc.assert(
    fc.property(some, fc.double({ min: 0.01, max: 0.99, noNaN: true }), (ids, rate) => {
      const back = [...ids].reverse();
      expect(changedRate(rate, ids)).toBeCloseTo(changedRate(rate, back), 9);
      expect(changedRate(rate, ids)).toBeGreaterThan(0);
      expect(changedRate(rate, ids)).toBeLessThan(1);
    }),
  );
  expect(changedRate(0.7, [])).toBe(0.7);
  expect([changedRate(0, ['closer']), changedRate(1, ['faster'])]).toEqual([0, 1]);
});

test('an easing makes the count another thing; fewer of the same does not', () => {
  expect(isEased(['bigger ball'])).toBe(true);
  expect(isEased(['fewer'])).toBe(false);
  expect(isEased(['other hand', 'faster'])).toBe(false);
});

test('drills name only changes that there are, and each of them is used', () => {
  const used = new Set(plainBook.drills.flatMap((drill) => [...drill.spices, ...drill.easings]));
  expect(used.size).toBe(spices.length + easings.length);
});
