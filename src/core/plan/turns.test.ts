import fc from 'fast-check';
import type { DoseWork } from '../dose/time';
import { stationS } from './turns';

/**
 * The same station played out second by second in another way: turns come one after the other, again and again; nobody
 * starts before the station is free and their own rest is over.
 */
function played(turns: readonly { readonly boutS: number }[], bouts: number, restS: number): number {
  const readyAtS = turns.map(() => 0);
  let freeAtS = 0;
  for (let bout = 0; bout < bouts; bout++)
    for (const [turn, { boutS }] of turns.entries()) {
      const startS = Math.max(freeAtS, readyAtS[turn]!);
      freeAtS = startS + boutS;
      readyAtS[turn] = freeAtS + restS;
    }
  return freeAtS;
}

const work = (boutS: number, bouts: number, restS: number, collectS = 0): DoseWork => ({
  workS: boutS * bouts,
  restS: restS * (bouts - 1),
  collectS,
  touches: 0,
  tries: 0,
  bouts,
  capped: false,
});

test('equal turns: the formula is what is played', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 6 }),
      fc.integer({ min: 1, max: 6 }),
      fc.integer({ min: 1, max: 60 }),
      fc.integer({ min: 0, max: 90 }),
      (n, bouts, boutS, restS) => {
        const turns = Array.from({ length: n }, () => ({ boutS }));
        expect(stationS(turns.map(() => work(boutS, bouts, restS)))).toBeCloseTo(
          played(turns, bouts, restS),
          6,
        );
      },
    ),
    { numRuns: 500 },
  );
});

test('unequal turns: never less than what is played, and at most a rest more', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 1, max: 60 }), { minLength: 1, maxLength: 5 }),
      fc.integer({ min: 1, max: 5 }),
      fc.integer({ min: 0, max: 60 }),
      (lengths, bouts, restS) => {
        const turns = lengths.map((boutS) => ({ boutS }));
        const told = stationS(lengths.map((boutS) => work(boutS, bouts, restS)));
        const really = played(turns, bouts, restS);
        expect(told).toBeGreaterThanOrEqual(really - 1e-6);
        expect(told - really).toBeLessThanOrEqual(restS + Math.max(...lengths));
      },
    ),
    { numRuns: 500 },
  );
});

test.each([
  // One turn: work and rests, nothing else.
  [[[20, 3, 10]], 80],
  // Two turns of 20 s with 10 s rest: the other one's work is longer than the rest.
  [
    [
      [20, 3, 10],
      [20, 3, 10],
    ],
    120,
  ],
  // Two turns of 10 s with 40 s rest: the station stands empty for 30 s in every cycle but the last.
  [
    [
      [10, 3, 40],
      [10, 3, 40],
    ],
    120,
  ],
  // 24 s and 16 s with 30 s rest, two bouts: a cycle of 54 s and 40 s.
  [
    [
      [24, 2, 30],
      [16, 2, 30],
    ],
    94,
  ],
] as [[number, number, number][], number][])('worked by hand: %j is %d s', (turns, seconds) => {
  expect(stationS(turns.map(([boutS, bouts, restS]) => work(boutS, bouts, restS)))).toBe(seconds);
});

test('collecting comes on top, turn after turn', () => {
  expect(stationS([work(20, 1, 0, 40), work(20, 1, 0, 40)])).toBe(120);
});
