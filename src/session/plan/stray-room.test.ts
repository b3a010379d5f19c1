import fc from 'fast-check';
import { overlap } from '@/core/geometry/pack';
import type { Place } from '@/core/venues/place';
import { fitSideBySide } from '@/core/venues/side-by-side';
import { plainBook } from '@/drills';
import { walkM, waysToBottles } from './ways-out';
import { fitWithRoom, hasBall, strayRooms } from './stray-room';

const hall = (lengthM: number, widthM: number, wallM = 0): Place => ({
  name: 'Hall',
  lengthM,
  widthM,
  ceilingM: 6,
  surface: 'wood',
  wallM,
  tables: 0,
  hazards: [],
  quietFrom: null,
  quietTo: null,
  wallSide: 'long',
});
const comes = (id: string, players: number, stations = 1) => ({
  needs: plainBook.drill(id)!,
  players,
  stations,
});
const all = () => Infinity;
const lanesIn = (place: Place, ...list: ReturnType<typeof comes>[]) => {
  const { layout, betweenM } = fitWithRoom(list, place, all);
  return { lanes: (layout?.lanes ?? []).flat(), betweenM };
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
    const { lanes, betweenM } = lanesIn(hall(lengthM, widthM), comes('carry', 8, 2));
    const [a, b] = lanes as [(typeof lanes)[number], (typeof lanes)[number]];
    expect([lengthM, betweenM]).toEqual([lengthM, apart]);
    expect([a.width, a.height].sort()).toEqual([2, 8]);
    const gap = Math.max(
      Math.abs(a.x - b.x) - Math.min(a.width, b.width),
      Math.abs(a.y - b.y) - Math.min(a.height, b.height),
    );
    expect(gap).toBeCloseTo(apart, 9);
  }
});

test('at a wall the room lies along it, and everybody stays at it', () => {
  const { lanes, betweenM } = lanesIn(hall(20, 8, 20), comes('racket-wall-rally', 3, 3));
  expect(betweenM).toBe(1);
  expect(lanes.map(({ y }) => y)).toEqual([0, 0, 0]);
  expect(lanes[1]!.x - lanes[0]!.x - lanes[0]!.width).toBeCloseTo(1, 9);
});

test('without a ball, or alone, nothing is left', () => {
  expect(lanesIn(hall(20, 10), comes('marker-touches', 4)).betweenM).toBe(0);
  expect(lanesIn(hall(20, 10), comes('carry', 4)).betweenM).toBe(0);
});

test('lanes without a ball lie close, unless somebody could not walk out to the bottles between them', () => {
  // Six lanes of 5 by 2.5 m in two rows of three: those at the wall are shut in by the others, in a hall of 24 by 7 m.
  const closed = hall(24, 7);
  const bottles = { kind: 'bottles', xM: 23, yM: 6, widthM: 1, depthM: 1 } as const;
  const six = comes('marker-touches', 6);
  expect(lanesIn(closed, six).betweenM).toBe(0);
  const { lanes, betweenM } = lanesIn({ ...closed, things: [bottles] }, six);
  expect(betweenM).toBe(walkM);
  expect(lanes).toHaveLength(6);
  const floor = { x: 0, y: 0, width: 24, height: 7 };
  expect(waysToBottles(lanes, floor, [bottles])).toEqual(lanes.map(() => true));
  // Where there is no room for ways they lie close, and it is said.
  expect(lanesIn({ ...hall(16, 5.1), things: [{ ...bottles, xM: 15, yM: 4.1 }] }, six).betweenM).toBe(0);
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
        const { fits, layout, betweenM } = fitWithRoom(list, place, all);
        expect(fits).toEqual(close.fits);
        expect([...strayRooms, walkM]).toContain(betweenM);
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
