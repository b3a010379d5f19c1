import fc from 'fast-check';
import { overlap, type Rectangle } from '../geometry/pack';
import { fitsHere } from './fits';
import type { Needs } from './needs';
import { thingRoom, type Place } from './place';
import { layOut, mostLanes } from './on-floor';
import { fitSideBySide } from './side-by-side';

const place: fc.Arbitrary<Place> = fc
  .record({
    lengthM: fc.integer({ min: 4, max: 60 }),
    widthM: fc.integer({ min: 4, max: 40 }),
    wall: fc.double({ min: 0, max: 1, noNaN: true }),
    wallSide: fc.constantFrom(null, 'long' as const, 'short' as const),
    pillars: fc.array(fc.record({ x: fc.integer({ min: 0, max: 12 }), y: fc.integer({ min: 0, max: 12 }) }), {
      maxLength: 2,
    }),
  })
  .map(({ lengthM, widthM, wall, wallSide, pillars }) => ({
    wallSide,
    things: pillars.map(({ x, y }) => ({ kind: 'pillar' as const, xM: x, yM: y, widthM: 0.5, depthM: 0.5 })),
    name: 'Hall',
    lengthM: lengthM / 2,
    widthM: widthM / 2,
    ceilingM: 6,
    surface: 'wood',
    tables: 2,
    wallM: (Math.max(lengthM, widthM) / 2) * wall,
    hazards: [],
    quietFrom: null,
    quietTo: null,
  }));
const needs: fc.Arbitrary<Needs> = fc
  .record({
    per: fc.constantFrom('player' as const, 'station' as const),
    lengthM: fc.integer({ min: 3, max: 16 }),
    widthM: fc.integer({ min: 3, max: 10 }),
    wall: fc.boolean(),
    most: fc.integer({ min: 1, max: 8 }),
  })
  .map(({ per, lengthM, widthM, wall, most }) => ({
    space: {
      per,
      lengthM: lengthM / 2,
      widthM: widthM / 2,
      ceilingM: 2,
      needs: wall ? ['wall' as const] : [],
    },
    kit: [],
    players: { min: 1, max: most },
  }));
const all = () => Infinity;

const isIn = (inner: Rectangle, { width, height }: Pick<Rectangle, 'width' | 'height'>) =>
  inner.x >= -1e-6 &&
  inner.y >= -1e-6 &&
  inner.x + inner.width <= width + 1e-6 &&
  inner.y + inner.height <= height + 1e-6;

test('a drill alone: as many at once on the floor as “fits here” says, each in a lane of their own', () => {
  let laid = 0;
  fc.assert(
    fc.property(
      place,
      needs,
      fc.integer({ min: 1, max: 9 }),
      fc.integer({ min: 1, max: 3 }),
      (where, what, players, stations) => {
        const alone = fitsHere(what, players, stations, where, all);
        const { fits, layout } = fitSideBySide([{ needs: what, players, stations }], where, all);
        expect([fits[0]!.verdict, fits[0]!.atOnce]).toEqual([alone.verdict, alone.atOnce]);
        if (!layout) return;
        laid += 1;
        const lanes = layout.lanes[0]!;
        const wanted =
          what.space.per === 'player'
            ? alone.atOnce
            : Math.min(stations, Math.ceil(alone.atOnce / what.players.max));
        expect(lanes).toHaveLength(wanted);
        for (const [n, lane] of lanes.entries()) {
          expect(isIn(lane, { width: layout.alongM, height: layout.deepM })).toBe(true);
          for (const other of lanes.slice(n + 1)) expect(overlap(lane, other)).toBe(false);
          for (const thing of where.things!) expect(overlap(lane, thingRoom(thing))).toBe(false);
          const { lengthM, widthM } = what.space;
          expect([lane.width, lane.height]).toEqual(lane.turned ? [lengthM, widthM] : [widthM, lengthM]);
          // At the wall nobody stands behind somebody else.
          if (what.space.needs.length > 0) expect([lane.y, lane.turned]).toEqual([0, false]);
        }
      },
    ),
    { numRuns: 300, seed: 4 },
  );
  expect(laid).toBeGreaterThan(80);
});

test('more room never fits fewer, and more wall neither', () => {
  fc.assert(
    fc.property(place, needs, fc.integer({ min: 1, max: 9 }), (furnished, what, players) => {
      const where = { ...furnished, things: [] };
      const now = fitsHere(what, players, 3, where, all).atOnce;
      for (const larger of [
        { ...where, lengthM: where.lengthM + 1.5 },
        { ...where, widthM: where.widthM + 1.5 },
        { ...where, wallM: where.wallM + 1 },
      ])
        expect(fitsHere(what, players, 3, larger, all).atOnce).toBeGreaterThanOrEqual(now);
    }),
  );
});

test('several beside each other: no lane of one over a lane of another', () => {
  let laid = 0;
  fc.assert(
    fc.property(place, fc.array(needs, { minLength: 2, maxLength: 4 }), (where, list) => {
      const asked = list.map((one) => ({ needs: one, players: 3, stations: 2 }));
      const { layout } = fitSideBySide(asked, where, all);
      if (!layout) return;
      laid += 1;
      const lanes = layout.lanes.flat();
      for (const [n, lane] of lanes.entries())
        for (const other of lanes.slice(n + 1)) expect(overlap(lane, other)).toBe(false);
    }),
    { numRuns: 200, seed: 8 },
  );
  expect(laid).toBeGreaterThan(20);
});

test('fewer children are always laid out where more are, beside whatever stands there', () => {
  fc.assert(
    fc.property(place, needs, fc.integer({ min: 2, max: 9 }), (where, what, players) => {
      const most = mostLanes(what, where, players);
      for (let units = 1; units <= most; units++) {
        const atOnce = what.space.per === 'player' ? units : units * what.players.max;
        const laid = layOut([{ one: { needs: what, stations: units }, atOnce }], where);
        expect(laid?.lanes[0]).toHaveLength(units);
      }
    }),
    { numRuns: 150, seed: 11 },
  );
});

test('a pillar less never makes room for fewer at the wall', () => {
  fc.assert(
    fc.property(place, needs, fc.integer({ min: 1, max: 9 }), (where, what, players) => {
      const atWall = { ...what, space: { ...what.space, needs: ['wall' as const] } };
      const lanes = (things: Place['things']) =>
        mostLanes(atWall, { ...where, wallSide: 'long', things }, players);
      expect(lanes(where.things!.slice(1))).toBeGreaterThanOrEqual(lanes(where.things));
    }),
  );
});
