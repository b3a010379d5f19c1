import fc from 'fast-check';
import { overlap } from '@/core/geometry/pack';
import type { Place } from '@/core/place/place';
import { fitSideBySide } from '@/core/place/side-by-side';
import { plainBook } from '@/drills';
import { fitWithRoom, hasBall, strayRooms } from './stray-room';

const hall = (lengthM: number, widthM: number, wallM = 0): Place => ({
  ...{ name: 'Hall', lengthM, widthM, ceilingM: 6, surface: 'wood', wallM, tables: 0, hazards: [] },
  ...{ quietFrom: null, quietTo: null, wallSide: 'long' },
});
const comes = (id: string, players: number, stations = 1) => ({
  ...{ needs: plainBook.drill(id)!, players, stations },
});
const all = () => Infinity;
const lanesIn = (place: Place, ...list: ReturnType<typeof comes>[]) => {
  const { layout, strayM } = fitWithRoom(list, place, all);
  return { lanes: (layout?.lanes ?? []).flat(), strayM };
};

test('a ball is told by the kit', () => {
  expect(
    ['flip-to-a-target', 'carry', 'racket-wall-rally'].map((id) => hasBall(plainBook.drill(id)!)),
  ).toEqual([true, true, true]);
  expect(
    ['line-hops', 'marker-touches', 'shadow-forehand'].map((id) => hasBall(plainBook.drill(id)!)),
  ).toEqual([false, false, false]);
});

test('by hand: two ways of a carry, 8 by 2 m, a metre apart where there is room, half a metre, or none', () => {
  for (const [lengthM, widthM, apart] of [
    [9, 6, 1],
    [8.5, 5, 0.5],
    [8, 4, 0],
  ] as const) {
    const { lanes, strayM } = lanesIn(hall(lengthM, widthM), comes('carry', 8, 2));
    const [a, b] = lanes as [(typeof lanes)[number], (typeof lanes)[number]];
    expect([lengthM, strayM]).toEqual([lengthM, apart]);
    expect([a.width, a.height].sort()).toEqual([2, 8]);
    const gap = Math.max(
      Math.abs(a.x - b.x) - Math.min(a.width, b.width),
      Math.abs(a.y - b.y) - Math.min(a.height, b.height),
    );
    expect(gap).toBeCloseTo(apart, 9);
  }
});

test('at a wall the room lies along it, and everybody stays at it', () => {
  const { lanes, strayM } = lanesIn(hall(20, 8, 20), comes('racket-wall-rally', 3, 3));
  expect(strayM).toBe(1);
  expect(lanes.map(({ y }) => y)).toEqual([0, 0, 0]);
  expect(lanes[1]!.x - lanes[0]!.x - lanes[0]!.width).toBeCloseTo(1, 9);
});

test('without a ball, or alone, nothing is left', () => {
  expect(lanesIn(hall(20, 10), comes('marker-touches', 4)).strayM).toBe(0);
  expect(lanesIn(hall(20, 10), comes('carry', 4)).strayM).toBe(0);
});

test('never fewer at once for it, no lane over another or outside the floor', () => {
  const drills = ['carry', 'flip-to-a-target', 'palm-up-bounce', 'racket-wall-rally', 'marker-touches'];
  fc.assert(
    fc.property(
      fc.subarray(drills, { minLength: 1, maxLength: 3 }),
      fc.integer({ min: 1, max: 8 }),
      fc.integer({ min: 4, max: 26 }),
      fc.integer({ min: 3, max: 14 }),
      (ids, players, lengthM, widthM) => {
        const place = hall(lengthM, widthM, lengthM);
        const list = ids.map((id) => comes(id, players, 2));
        const close = fitSideBySide(list, place, all);
        const { fits, layout, strayM } = fitWithRoom(list, place, all);
        expect(fits).toEqual(close.fits);
        expect([...strayRooms, 0]).toContain(strayM);
        const lanes = (layout?.lanes ?? []).flat();
        expect(lanes).toHaveLength((close.layout?.lanes ?? []).flat().length);
        const [long, short] = [Math.max(lengthM, widthM), Math.min(lengthM, widthM)];
        for (const [n, a] of lanes.entries()) {
          expect(a.x).toBeGreaterThanOrEqual(-1e-9);
          expect(a.y).toBeGreaterThanOrEqual(-1e-9);
          expect(a.x + a.width).toBeLessThanOrEqual(long + 1e-6);
          expect(a.y + a.height).toBeLessThanOrEqual(short + 1e-6);
          for (const b of lanes.slice(n + 1)) expect(overlap(a, b)).toBe(false);
        }
      },
    ),
    { numRuns: 60 },
  );
});
