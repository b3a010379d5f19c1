import { howMany, howManyInWords } from './how-many';
import { follow, type Candidate, type Rhythm } from './rhythm';

const rhythm: Rhythm = { periodS: 0.5, varies: 0.16, missed: 0.03, over: 1 / 25, ends: [] };
const at = (...times: number[]): Candidate[] => times.map((atS) => ({ atS, sure: 0.95 }));
const rows = (candidates: readonly Candidate[], more: Partial<Rhythm> = {}) =>
  follow(candidates, { ...rhythm, ...more }).rows.map((row) =>
    row.map(({ atS, at }) => (at === null ? -atS : atS)),
  );

describe('sound and beat together', () => {
  test('an even row is one row', () => {
    expect(rows(at(1, 1.5, 2, 2.5))).toEqual([[1, 1.5, 2, 2.5]]);
  });

  test('one that was not heard stands as that', () => {
    expect(rows(at(1, 1.5, 2.5, 3))).toEqual([[1, 1.5, -2, 2.5, 3]]);
  });

  test('a doubtful one in the beat is counted, the same out of it is not', () => {
    const doubtful = (atS: number) => [...at(1, 1.5), { atS, sure: 0.4 }, ...at(2.5, 3)];
    expect(rows(doubtful(2))).toEqual([[1, 1.5, 2, 2.5, 3]]);
    expect(rows([...at(1, 1.5), { atS: 1.72, sure: 0.4 }, ...at(2, 2.5)])).toEqual([[1, 1.5, 2, 2.5]]);
  });

  test('the floor ends a row, and so does a pause', () => {
    const ends = [{ atS: 2.4, sure: 0.97 }];
    expect(rows(at(1, 1.5, 2, 4, 4.5, 5), { ends })).toEqual([
      [1, 1.5, 2],
      [4, 4.5, 5],
    ]);
    expect(rows(at(1, 1.5, 2, 6, 6.5))).toHaveLength(2);
  });

  test('who is in the beat is surer than who is not', () => {
    const { sure } = follow([...at(1, 1.5, 2), { atS: 2.2, sure: 0.6 }, ...at(2.5, 3)], rhythm);
    expect(sure[2]).toBeGreaterThan(0.97);
    expect(sure[3]).toBeLessThan(0.1);
  });
});

describe('how many', () => {
  test('what is certain has no range', () => {
    expect(howMany(12, Array<number>(12).fill(1))).toEqual({ count: 12, from: 12, to: 12 });
    expect(howManyInWords(howMany(12, Array<number>(12).fill(1)))).toBe('12');
  });

  test('of ten that are there with one half each, nine times in ten it is 2 to 8 (binomial tables: 1.1 % are 0 or 1)', () => {
    // P(X <= 2) = 0.0547, P(X <= 1) = 0.0107: the lowest five hundredths end in 2.
    expect(howMany(5, Array<number>(10).fill(0.5))).toEqual({ count: 5, from: 2, to: 8 });
  });

  test('in words', () => {
    expect(howManyInWords({ count: 47, from: 45, to: 48 })).toBe('47, perhaps 45 to 48');
    expect(howManyInWords({ count: 47, from: 46, to: 47 })).toBe('47, perhaps 46');
    expect(howManyInWords({ count: 47, from: 47, to: 48 })).toBe('47, perhaps 48');
  });
});
