import fc from 'fast-check';
import type { Rectangle } from './pack';
import { reachedFrom } from './walkable';

const box = (x: number, y: number, width: number, height: number): Rectangle => ({ x, y, width, height });
const hall = box(0, 0, 10, 6);
const bottles = box(9, 5, 1, 1);
const from = (rooms: readonly Rectangle[], obstacles: readonly Rectangle[] = [], wideM = 0.8) =>
  reachedFrom(bottles, rooms, { floor: hall, obstacles, wideM });

describe('a way across a hall, by hand', () => {
  test('past rooms that leave a walk along the back', () =>
    expect(from([box(0, 0, 3, 5), box(3, 0, 3, 5), box(6, 0, 3, 5)])).toEqual([true, true, true]));
  test('a room that reaches to the back shuts off what lies behind it, and can be walked to itself', () =>
    expect(from([box(0, 0, 3, 5), box(3, 0, 3, 6), box(6, 0, 3, 5)])).toEqual([false, true, true]));
  test('a gap as wide as who walks is a way; a hand less is none', () => {
    expect(from([box(0, 0, 3, 5), box(3, 0, 3, 5.2)])).toEqual([true, true]);
    expect(from([box(0, 0, 3, 5), box(3, 0, 3, 5.3)])).toEqual([false, true]);
    expect(from([box(0, 0, 3, 5), box(3, 0, 3, 5.3)], [], 0.6)).toEqual([true, true]);
  });
  test('what stands in the only way shuts it', () =>
    expect(from([box(0, 0, 3, 5)], [box(5, 0, 0.5, 6)])).toEqual([false]));
  test('round a corner', () => {
    // A wall from the back leaves the front open; one from the front as well, further on, leaves the back: an S.
    const walls = [box(4, 1, 0.5, 5), box(7, 0, 0.5, 5)];
    expect(from([box(0, 2, 2, 2)], walls)).toEqual([true]);
    expect(from([box(0, 2, 2, 2)], [...walls, box(4, 0, 0.5, 1)])).toEqual([false]);
  });
  test('whoever works beside the bottles is there', () =>
    expect(from([box(6, 0, 3, 6), box(8.5, 4, 1, 2)])).toEqual([true, true]));
});

test('more room to walk in never takes a way away: narrower who walks, or one thing less', () => {
  const things = fc.array(
    fc.record({
      x: fc.integer({ min: 0, max: 18 }).map((n) => n / 2),
      y: fc.integer({ min: 0, max: 10 }).map((n) => n / 2),
      width: fc.integer({ min: 1, max: 6 }).map((n) => n / 2),
      height: fc.integer({ min: 1, max: 6 }).map((n) => n / 2),
    }),
    { minLength: 1, maxLength: 6 },
  );
  fc.assert(
    fc.property(things, (obstacles) => {
      const rooms = [box(0, 0, 2, 2)];
      const clear = obstacles.filter(({ x, y }) => x >= 2 || y >= 2);
      const [wide] = from(rooms, clear, 1);
      const [narrow] = from(rooms, clear, 0.5);
      const [fewer] = from(rooms, clear.slice(1), 1);
      if (wide) expect([narrow, fewer]).toEqual([true, true]);
    }),
  );
});

test('agrees with a walk over a fine grid', () => {
  /** A square of who walks is put down at every tenth of a metre, and moved a tenth at a time. */
  const byGrid = (room: Rectangle, obstacles: readonly Rectangle[], wideM: number): boolean => {
    const step = 0.25;
    const [columns, rows] = [(hall.width - wideM) / step, (hall.height - wideM) / step].map(Math.floor) as [
      number,
      number,
    ];
    const blocks = [...obstacles, room];
    const hits = (a: Rectangle, b: Rectangle, by = 0) =>
      a.x < b.x + b.width - by &&
      b.x < a.x + a.width - by &&
      a.y < b.y + b.height - by &&
      b.y < a.y + a.height - by;
    const body = (i: number, j: number) => box(i * step, j * step, wideM, wideM);
    const isFree = (i: number, j: number) => !blocks.some((one) => hits(body(i, j), one, 1e-9));
    const seen = new Set<string>();
    const open: [number, number][] = [];
    const come = (i: number, j: number) => {
      const key = `${i} ${j}`;
      if (i < 0 || j < 0 || i > columns || j > rows || seen.has(key) || !isFree(i, j)) return;
      seen.add(key);
      open.push([i, j]);
    };
    for (let i = 0; i <= columns; i++)
      for (let j = 0; j <= rows; j++) if (hits(body(i, j), bottles, 1e-9)) come(i, j);
    while (open.length > 0) {
      const [i, j] = open.pop()!;
      const here = body(i, j);
      const touches = {
        across: Math.min(here.x + wideM, room.x + room.width) - Math.max(here.x, room.x),
        deep: Math.min(here.y + wideM, room.y + room.height) - Math.max(here.y, room.y),
      };
      if (
        (touches.across >= 1 - 1e-9 && touches.deep >= -1e-9) ||
        (touches.deep >= 1 - 1e-9 && touches.across >= -1e-9)
      )
        return true;
      for (const [di, dj] of [
        [1, 0],
        [-1, 0],
        [0, 1],
        [0, -1],
      ] as const)
        come(i + di, j + dj);
    }
    return false;
  };
  const quarters = (max: number) => fc.integer({ min: 0, max }).map((n) => n / 4);
  const things = fc.array(
    fc.record({ x: quarters(36), y: quarters(20), width: quarters(12), height: quarters(16) }),
    {
      maxLength: 5,
    },
  );
  fc.assert(
    fc.property(things, (all) => {
      const room = box(0, 0, 2, 2);
      const clear = all.filter(
        ({ x, y, width, height }) =>
          width > 0 && height > 0 && (x >= 2 || y >= 2) && !(x + width > 9 && y + height > 5),
      );
      expect(from([room], clear, 1)).toEqual([byGrid(room, clear, 1)]);
    }),
    { numRuns: 300 },
  );
});
