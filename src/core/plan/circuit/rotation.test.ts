import fc from 'fast-check';
import { circuitLimits, slotsOf, type CircuitShape } from './circuit';
import { circuitProblem, grouped, regrouped } from './groups';
import { circuitS, groupOf, rotation, roundsOf, roundStartS, visitsOf } from './rotation';

const sizes = fc.integer({ min: circuitLimits.stations.min, max: circuitLimits.stations.max });
/** Stations, and at most one group more. */
const both = sizes.chain((stations) =>
  fc.tuple(fc.constant(stations), fc.integer({ min: 1, max: stations + 1 })),
);
const orders = fc.constantFrom('balanced', 'one on') as fc.Arbitrary<'balanced' | 'one on'>;

const shape = (of: number, groups: number, more: Partial<CircuitShape> = {}): CircuitShape => ({
  of,
  stationS: 180,
  changeS: 30,
  times: 1,
  order: 'balanced',
  groups: Array.from({ length: groups }, (_, index) => [`p${index}`]),
  ...more,
});

describe('a rotation', () => {
  it('brings every group to every station once, and no two to one', () => {
    fc.assert(
      fc.property(both, orders, ([stations, groups], order) => {
        const rounds = roundsOf(shape(stations, groups, { order }));
        for (let group = 0; group < groups; group++)
          for (let station = 0; station < stations; station++)
            expect(visitsOf(rounds, station, group)).toHaveLength(1);
        for (const { at, rests } of rounds) {
          const there = [...at, rests].filter((group) => group !== null);
          expect(new Set(there).size).toBe(there.length);
          // Nobody is nowhere.
          expect(there).toHaveLength(groups);
        }
      }),
    );
  });

  // A quasi-complete Latin square (Bailey 1984), complete where its size is even (Williams 1949); sources in rotation.ts.
  it.each([2, 3, 4, 5, 6, 7])('is balanced for %i', (n) => {
    const square = rotation(n, n, 'balanced');
    const rows = square;
    const columns = square.map((_, place) => square.map((row) => row[place]!));
    for (const lines of [rows, columns]) {
      const pairs = new Map<string, number>();
      for (const line of lines)
        for (const [index, group] of line.slice(0, -1).entries()) {
          const pair = [group!, line[index + 1]!];
          const key = (n % 2 === 0 ? pair : [...pair].sort((a, b) => a - b)).join();
          pairs.set(key, (pairs.get(key) ?? 0) + 1);
        }
      expect(pairs.size).toBe(n % 2 === 0 ? n * (n - 1) : (n * (n - 1)) / 2);
      expect(new Set(pairs.values())).toEqual(new Set([n % 2 === 0 ? 1 : 2]));
    }
  });

  it('sends everybody one on where that is wanted', () => {
    const rounds = roundsOf(shape(3, 3, { order: 'one on' }));
    expect(rounds.map(({ at }) => at)).toEqual([
      [0, 1, 2],
      [2, 0, 1],
      [1, 2, 0],
    ]);
  });

  it('gives the group that is one too many a rest, each once', () => {
    const rounds = roundsOf(shape(3, 4));
    expect(rounds).toHaveLength(4);
    expect(rounds.map(({ rests }) => rests).sort()).toEqual([0, 1, 2, 3]);
  });

  it('leaves stations free where there are fewer groups, and still shows each all of them', () => {
    const rounds = roundsOf(shape(4, 2));
    expect(rounds).toHaveLength(4);
    expect(
      rounds.every(({ at, rests }) => at.filter((one) => one !== null).length === 2 && rests === null),
    ).toBe(true);
  });

  it('goes through as often as it says, by one clock', () => {
    const twice = shape(3, 3, { times: 2 });
    expect(visitsOf(roundsOf(twice), 1, 2)).toHaveLength(2);
    // Six visits of three minutes and five walks of half a minute.
    expect(circuitS(twice)).toBe(6 * 180 + 5 * 30);
    expect(roundStartS(twice, 2)).toBe(420);
    expect(groupOf(twice, 'p1')).toBe(1);
    expect(visitsOf(roundsOf(twice), 0, groupOf(twice, 'nobody'))).toEqual([]);
  });
});

describe('groups', () => {
  const players = fc.uniqueArray(fc.string({ minLength: 1, maxLength: 4 }), { minLength: 1, maxLength: 12 });

  it('are as even as can be, and everybody is in one', () => {
    fc.assert(
      fc.property(
        players,
        sizes,
        fc.constantFrom('level', 'mixed') as fc.Arbitrary<'level'>,
        (ids, n, how) => {
          const groups = grouped(ids, n, how);
          expect(groups.flat().sort()).toEqual([...ids].sort());
          const of = groups.map((group) => group.length);
          expect(Math.max(...of) - Math.min(...of)).toBeLessThanOrEqual(1);
          expect(Math.min(...of)).toBeGreaterThan(0);
        },
      ),
    );
  });

  it('keep levels together, or mix them there and back', () => {
    const ids = ['1', '2', '3', '4', '5', '6'];
    expect(grouped(ids, 3, 'level')).toEqual([
      ['1', '2'],
      ['3', '4'],
      ['5', '6'],
    ]);
    expect(grouped(ids, 3, 'mixed')).toEqual([
      ['1', '6'],
      ['2', '5'],
      ['3', '4'],
    ]);
  });

  it('take in who is new and let go who has left', () => {
    expect(regrouped([['a', 'b'], ['c']], ['a', 'c', 'd'])).toEqual([['a', 'd'], ['c']]);
    expect(regrouped([['a'], ['b']], ['b'])).toEqual([['b']]);
    expect(regrouped([[], [], []], ['a', 'b', 'c', 'd'])).toEqual([['a', 'd'], ['b'], ['c']]);
    expect(regrouped([['a'], ['a', 'b']], ['a', 'b'])).toEqual([['a'], ['b']]);
  });

  it('say what to change where they are too many', () => {
    expect(circuitProblem(shape(3, 4))).toBeNull();
    expect(circuitProblem(shape(2, 4))).toContain('at most 3 groups, or add a station');
    expect(circuitProblem(shape(7, 2))).toContain('2 to 6 stations');
    expect(circuitProblem(shape(3, 0))).toContain('put somebody into a group');
  });
});

it('blocks that name one circuit and follow each other are one slot', () => {
  const part = { ...shape(2, 2), id: 'c', at: 0, helper: '' };
  const blocks = [
    { id: '1' },
    { id: '2', circuit: part },
    { id: '3', circuit: part },
    { id: '4', circuit: { ...part, id: 'd' } },
    { id: '5', circuit: null },
  ];
  expect(slotsOf(blocks).map((slot) => slot.map(({ id }) => id))).toEqual([['1'], ['2', '3'], ['4'], ['5']]);
});
