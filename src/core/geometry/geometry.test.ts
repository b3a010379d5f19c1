import fc from 'fast-check';
import { distance, pathLength, quarterTurned } from './points';
import { diagonal, furthestApart, isTaped, offBy, pointOf, tapesTo } from './taping';
import { walkingOrder, walkLength } from './tour';

const metres = fc.double({ min: -40, max: 40, noNaN: true });
const points = fc.record({ x: metres, y: metres });

describe('points and ways, by hand', () => {
  test('a way of 3, 4 and 5', () =>
    expect(
      pathLength([
        { x: 0, y: 0 },
        { x: 3, y: 0 },
        { x: 3, y: 4 },
        { x: 0, y: 0 },
      ]),
    ).toBe(12));
  test('turned four times a point is where it was; distances stay', () => {
    fc.assert(
      fc.property(points, points, (a, b) => {
        const four = [1, 2, 3, 4].reduce((point) => quarterTurned(point), a);
        expect(distance(four, a)).toBeCloseTo(0, 9);
        expect(distance(quarterTurned(a), quarterTurned(b))).toBeCloseTo(distance(a, b), 9);
      }),
    );
  });
});

describe('a point by two tapes', () => {
  test('7 apart, 5 and 6: 2.7143 and 4.1991, worked by hand from the law of cosines', () => {
    const point = pointOf({ fromLeft: 5, fromRight: 6 }, 7)!;
    expect(point.x).toBeCloseTo(2.7143, 4);
    expect(point.y).toBeCloseTo(4.1991, 4);
  });
  test('a rectangle of 3 by 4 is right where both ways across are 5', () => expect(diagonal(3, 4)).toBe(5));
  test('tapes that do not meet give no point', () => {
    expect(pointOf({ fromLeft: 1, fromRight: 2 }, 7)).toBeNull();
    expect(pointOf({ fromLeft: 9, fromRight: 1 }, 7)).toBeNull();
    expect(pointOf({ fromLeft: 5, fromRight: 5 }, 0)).toBeNull();
  });
  test('two distances give every point of a floor back to the millimetre', () => {
    const floor = fc.record({
      apart: fc.double({ min: 2, max: 60, noNaN: true }),
      x: fc.double({ min: 0, max: 1, noNaN: true }),
      y: fc.double({ min: 0.01, max: 60, noNaN: true }),
    });
    fc.assert(
      fc.property(floor, ({ apart, x, y }) => {
        const point = { x: x * apart, y };
        const found = pointOf(tapesTo(point, apart), apart)!;
        expect(distance(found, point)).toBeLessThan(0.001);
      }),
    );
  });
  test('tapes read to a centimetre: best at a right angle, of no use along the wall', () => {
    // 3, 4 and 5: the tapes cross at a right angle.
    const right = pointOf({ fromLeft: 3, fromRight: 4 }, 5)!;
    expect(offBy(right, 5, 0.01)).toBeCloseTo(0.01, 9);
    expect(offBy({ x: 2.5, y: 0.2 }, 5, 0.01)).toBeGreaterThan(0.05);
    expect(offBy({ x: 2.5, y: 0 }, 5, 0.01)).toBe(Infinity);
  });
});

describe('which points two tapes find well', () => {
  test('out on the floor they do; on the wall’s line and close to it they do not', () => {
    expect(isTaped({ x: 3, y: 4 }, 10)).toBe(true);
    expect(isTaped({ x: 3, y: 0.1 }, 10)).toBe(false);
    expect(isTaped({ x: 3, y: 0 }, 10)).toBe(false);
  });
  test('further out is never found worse, straight out from the middle of the wall to half its length', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 4.5, noNaN: true }), (y) => {
        expect(offBy({ x: 5, y: y + 0.4 }, 10, 0.01)).toBeLessThanOrEqual(
          offBy({ x: 5, y }, 10, 0.01) + 1e-12,
        );
      }),
    );
  });
  test('as far off as two tapes that are both read a little wrong can put it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 9, noNaN: true }),
        fc.double({ min: 2, max: 9, noNaN: true }),
        fc.constantFrom(-0.001, 0.001),
        (x, y, wrong) => {
          const { fromLeft, fromRight } = tapesTo({ x, y }, 10);
          const found = pointOf({ fromLeft: fromLeft + wrong, fromRight }, 10)!;
          // One tape read wrong moves the point along the circle of the other: by the reading over the sine.
          expect(distance(found, { x, y })).toBeLessThanOrEqual(offBy({ x, y }, 10, 0.001) * 1.01);
        },
      ),
    );
  });
  test('the two furthest apart check the others', () => {
    const mark = (label: string, x: number, y: number) => ({ label, at: { x, y } });
    const marks = [mark('a', 1, 1), mark('b', 2, 5), mark('c', 9, 2), mark('d', 5, 3)];
    expect(furthestApart(marks)!.map(({ label }) => label)).toEqual(['a', 'c']);
    expect(furthestApart(marks.slice(0, 1))).toBeNull();
    expect(furthestApart([])).toBeNull();
  });
});

describe('the order marks are walked to', () => {
  const start = { x: 0, y: 0 };
  test('along a line it is the line', () => {
    const line = [3, 1, 4, 2].map((x) => ({ x, y: 0 }));
    expect(walkingOrder(start, line)).toEqual([1, 3, 0, 2]);
  });
  test('a few are walked as short as the shortest of all orders; with more never longer than nearest first', () => {
    const orders = (left: readonly number[]): number[][] =>
      left.length === 0
        ? [[]]
        : left.flatMap((one) => orders(left.filter((other) => other !== one)).map((rest) => [one, ...rest]));
    fc.assert(
      fc.property(fc.array(points, { minLength: 1, maxLength: 6 }), (all) => {
        const order = walkingOrder(start, all);
        expect([...order].sort()).toEqual(all.map((_, at) => at));
        const least = Math.min(...orders(all.map((_, at) => at)).map((one) => walkLength(start, all, one)));
        expect(walkLength(start, all, order)).toBeCloseTo(least, 6);
      }),
      { numRuns: 40 },
    );
    fc.assert(
      fc.property(fc.array(points, { minLength: 15, maxLength: 24 }), (all) => {
        const order = walkingOrder(start, all);
        expect([...order].sort((a, b) => a - b)).toEqual(all.map((_, at) => at));
        // No part of the way is shorter turned round.
        for (let a = 0; a < order.length; a++)
          for (let b = a + 1; b < order.length; b++) {
            const other = [...order.slice(0, a), ...order.slice(a, b + 1).reverse(), ...order.slice(b + 1)];
            expect(walkLength(start, all, other)).toBeGreaterThan(walkLength(start, all, order) - 1e-6);
          }
      }),
      { numRuns: 15 },
    );
  });
  test('up to fourteen no order is shorter: the shortest way from every mark through every rest, remembered', () => {
    fc.assert(
      fc.property(fc.array(points, { minLength: 11, maxLength: 14 }), (all) => {
        const known = new Map<number, number>();
        const least = (at: number, left: number): number => {
          if (left === 0) return 0;
          const key = left * 16 + at;
          const before = known.get(key);
          if (before !== undefined) return before;
          let best = Infinity;
          for (let next = 0; next < all.length; next++)
            if (left & (1 << next))
              best = Math.min(best, distance(all[at] ?? start, all[next]!) + least(next, left ^ (1 << next)));
          known.set(key, best);
          return best;
        };
        const shortest = least(15, 2 ** all.length - 1);
        expect(walkLength(start, all, walkingOrder(start, all))).toBeCloseTo(shortest, 6);
      }),
      { numRuns: 4, seed: 5 },
    );
  });
  test('no marks, no walk', () => expect(walkingOrder(start, [])).toEqual([]));
});
