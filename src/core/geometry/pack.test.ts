import fc from 'fast-check';
import { holds, overlap, pack, packEach, without, type Rectangle } from './pack';

const floor = (width: number, height: number): Rectangle => ({ x: 0, y: 0, width, height });
const one = (width: number, height: number) => [{ width, height }];

test('worked by hand: four quarters fill a floor, a fifth does not fit', () => {
  const quarters = Array.from({ length: 4 }, () => one(2, 3));
  expect(pack(quarters, [floor(4, 6)])).toHaveLength(4);
  expect(pack([...quarters, one(0.1, 0.1)], [floor(4, 6)])).toBeNull();
});

test('a thing is laid out in the size that leaves room for the others', () => {
  const found = pack(
    [
      [
        { width: 4, height: 1 },
        { width: 1, height: 4 },
      ],
      one(3, 4),
    ],
    [floor(4, 4)],
  );
  expect(found![0]).toMatchObject({ width: 1, height: 4 });
});

test('rooms apart are used each', () => {
  expect(pack([one(2, 2), one(3, 1)], [floor(2, 2), { x: 5, y: 0, width: 3, height: 1 }])).toEqual([
    { x: 0, y: 0, width: 2, height: 2 },
    { x: 5, y: 0, width: 3, height: 1 },
  ]);
  expect(pack([], [floor(1, 1)])).toEqual([]);
});

test('what is laid out lies in the room, and nothing over anything', () => {
  const side = fc.integer({ min: 1, max: 8 });
  fc.assert(
    fc.property(fc.array(fc.tuple(side, side), { maxLength: 6 }), side, side, (sides, width, height) => {
      const things = sides.map(([w, h]) => [
        { width: w, height: h },
        { width: h, height: w },
      ]);
      const found = pack(things, [floor(width, height)]);
      if (!found) return;
      for (const [index, a] of found.entries()) {
        expect(a.x + a.width).toBeLessThanOrEqual(width);
        expect(a.y + a.height).toBeLessThanOrEqual(height);
        for (const b of found.slice(index + 1)) expect(overlap(a, b)).toBe(false);
      }
    }),
  );
});

test('more floor never takes a place away', () => {
  const side = fc.integer({ min: 1, max: 5 });
  fc.assert(
    fc.property(fc.array(fc.tuple(side, side), { maxLength: 4 }), side, side, (sides, width, height) => {
      const things = sides.map(([w, h]) => one(w, h));
      if (pack(things, [floor(width, height)]))
        expect(pack(things, [floor(width + 1, height + 1)])).not.toBeNull();
    }),
  );
});

test('round a pillar: what is left of a floor on its four sides, as large as it can be', () => {
  // 10 by 6 with a pillar of 1 by 1 in the middle.
  expect(without([floor(10, 6)], { x: 4, y: 2, width: 1, height: 1 })).toEqual([
    { x: 0, y: 0, width: 4, height: 6 },
    { x: 0, y: 0, width: 10, height: 2 },
    { x: 5, y: 0, width: 5, height: 6 },
    { x: 0, y: 3, width: 10, height: 3 },
  ]);
  // A thing in the corner leaves two; one as large as the floor nothing; one outside it all of it.
  expect(without([floor(4, 4)], floor(1, 1))).toHaveLength(2);
  expect(without([floor(4, 4)], floor(4, 4))).toEqual([]);
  expect(without([floor(4, 4)], { x: 4, y: 0, width: 1, height: 1 })).toEqual([floor(4, 4)]);
});

test('as many as fit one after the other: beside a pillar, none over it, and more asked changes no place', () => {
  const at = fc.integer({ min: 0, max: 9 });
  fc.assert(
    fc.property(at, at, fc.integer({ min: 1, max: 4 }), fc.integer({ min: 1, max: 4 }), (x, y, w, h) => {
      const pillar = { x, y, width: 1, height: 1 };
      const free = without([floor(10, 10)], pillar);
      const sizes = [
        { width: w, height: h },
        { width: h, height: w },
      ];
      const all = packEach(sizes, 200, free);
      for (const [n, one] of all.entries()) {
        expect(holds(floor(10, 10), one)).toBe(true);
        expect(overlap(one, pillar)).toBe(false);
        for (const other of all.slice(n + 1)) expect(overlap(one, other)).toBe(false);
      }
      const few = Math.ceil(all.length / 2);
      expect(packEach(sizes, few, free)).toEqual(all.slice(0, few));
    }),
    { numRuns: 30 },
  );
});
