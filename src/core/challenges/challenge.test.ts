import fc from 'fast-check';
import { logit } from '../skill/level/scale';
import { boardOf, clubScore, levelGround, pairsOf, type Challenge, type Challenger } from './challenge';

const rows: Challenge = { kind: 'best', measure: 'row', attempts: 3, goal: null };
const goal = { kind: 'chance', inARow: true, tries: 10, boxS: 1, mostEach: 1 } as const;
const of = (playerId: string, results: number[], more: Partial<Challenger> = {}): Challenger => ({
  playerId,
  results,
  goal,
  best: 10,
  level: { mean: logit(0.9), variance: 0.1 },
  touches: results.reduce((sum, one) => sum + one, 0),
  ...more,
});

test('own best plus one: a new best wins, whatever it is; attempts over the number count no more', () => {
  const { lines, movedMost } = boardOf(rows, [
    of('small', [2, 4, 3], { best: 3 }),
    of('big', [20, 12, 19, 99], { best: 30 }),
    of('new', [5], { best: null }),
    of('late', []),
  ]);
  expect(lines.map(({ won }) => won)).toEqual([true, false, true, false]);
  expect(lines.map(({ left }) => left)).toEqual([0, 0, 2, 3]);
  expect(lines[1]).toMatchObject({ used: 3, result: 20, words: '20 in a row. 31 in a row is a new best.' });
  expect(lines[0]!.words).toBe('4 in a row: a new best, after 3.');
  expect(lines[3]!.words).toBe('11 in a row is a new best.');
  expect(movedMost).toBe('small');
});

test('laps: less is better, a tenth of a second is a new best', () => {
  const { lines } = boardOf({ ...rows, measure: 'lap' }, [
    of('a', [12.4, 12], { best: 12.1, goal: { ...goal, kind: 'time' } }),
    of('b', [12.1], { best: 12.1, goal: { ...goal, kind: 'time' } }),
  ]);
  expect(lines.map(({ won }) => won)).toEqual([true, false]);
});

test('together: the sum is exactly what all have, and nobody is measured by it', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 500 }), { maxLength: 12 }), (touches) => {
      const board = boardOf(
        { ...rows, kind: 'together', goal: 1000 },
        touches.map((n, i) => of(String(i), [], { touches: n })),
      );
      expect(board.together).toBe(touches.reduce((sum, n) => sum + n, 0));
      expect(board.lines.every(({ won }) => !won)).toBe(true);
      expect(board.lines.reduce((sum, { progress }) => sum + progress, 0)).toBeLessThanOrEqual(1.0000001);
    }),
  );
});

test('level ground: what was to be expected is a half, so a five-year-old can win against a champion', () => {
  const level = (p: number) => ({ mean: logit(p), variance: 0.0001 });
  // The middle row at 0.9 is between six and seven.
  expect(levelGround(7, goal, level(0.9), 1)).toBeCloseTo(1 - (0.9 ** 7 + 0.9 ** 8) / 2, 3);
  const board = boardOf({ ...rows, kind: 'level', attempts: 1 }, [
    of('five', [4], { level: level(0.6) }),
    of('champion', [30], { level: level(0.98) }),
    of('unknown', [8], { level: null }),
    of('waiting', [], { level: level(0.8) }),
  ]);
  expect(board.lines[0]!.progress).toBeGreaterThan(0.85);
  expect(board.lines[1]!.progress).toBeLessThan(0.5);
  expect(board.movedMost).toBe('five');
  expect(board.lines[2]!.words).toMatch(/^Nothing was counted before/);
  expect(board.lines[3]!.words).toMatch(/^About 3 in a row to be expected/);
});

test('what is to be expected is of each one’s own dose: six shots of a small child, ten of a big one', () => {
  const shots = (tries: number) => ({ ...goal, kind: 'share' as const, inARow: false, tries, mostEach: 10 });
  const even = { mean: 0, variance: 0.0001 };
  const { lines } = boardOf({ ...rows, kind: 'level', measure: 'points', attempts: 1 }, [
    of('five', [30], { level: even, goal: shots(6) }),
    of('eleven', [30], { level: even, goal: shots(10) }),
  ]);
  expect(lines.map(({ words }) => words)).toEqual([
    '30 points; about 30 points was to be expected.',
    '30 points; about 50 points was to be expected.',
  ]);
  expect(lines[0]!.progress).toBeCloseTo(0.5, 1);
  expect(lines[1]!.progress).toBeLessThan(0.1);
});

test('an honest player is above what was to be expected half the time', () => {
  // Over all rows there can be, weighed by their chances, the share is a half.
  const level = { mean: logit(0.85), variance: 0.0001 };
  let mean = 0;
  for (let n = 0; n < 200; n++) mean += 0.85 ** n * 0.15 * levelGround(n, goal, level, 1);
  expect(mean).toBeCloseTo(0.5, 2);
});

test('pairs: whoever is named first, the longest row of the two in turn, attempts over the number left out', () => {
  const [pair, other] = pairsOf({ measure: 'row', attempts: 2, goal: 40 }, [
    { players: ['a', 'b'], result: 12 },
    { players: ['b', 'a'], result: 20 },
    { players: ['a', 'c'], result: 44 },
    { players: ['a', 'b'], result: 99 },
  ]);
  expect(pair).toEqual({ players: ['a', 'b'], used: 2, left: 0, result: 20, progress: 0.5 });
  expect(other).toMatchObject({ players: ['a', 'c'], left: 1, progress: 1 });
  expect(clubScore('pairs', [20, 44])).toBe(44);
});

test('a club is one number: a sum, a share, or the mean on level ground', () => {
  expect(clubScore('together', [3, 4])).toBe(7);
  expect(clubScore('best', [1, 0, 0, 1])).toBe(0.5);
  expect(clubScore('level', [80, 40])).toBeCloseTo(0.6, 12);
  expect(clubScore('level', [])).toBe(0);
});

test('nobody moved: nobody is named', () => {
  expect(boardOf(rows, [of('a', [3])]).movedMost).toBeNull();
  expect(boardOf(rows, [])).toEqual({ lines: [], together: 0, movedMost: null });
});
