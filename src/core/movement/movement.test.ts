import fc from 'fast-check';
import { distance } from '../geometry/points';
import { lapOf, lapsIn } from './course';
import { pointsOf, turnedLayout } from './layout';
import { manners, moverOf, straightS } from './pace';
import { at, eight, ladder, star, triangle, way } from './shapes';

const steps = { strideM: 0.58, sideStepM: 0.49 };
const ages = fc.integer({ min: 4, max: 18 });
const lengths = fc.double({ min: 0.2, max: 30, noNaN: true });

describe('how long a way takes', () => {
  /** Ten times five metres, each from a stand to a stand, with nine turns. */
  const shuttle = (age: number) => {
    const mover = moverOf(age);
    return 10 * straightS(mover, 5, 'run') + 9 * mover.turnS;
  };
  test('the 10 × 5 m shuttle of Eurofit: 20 to 25 s at ten, 18 to 22 s at fifteen (from memory)', () => {
    expect(shuttle(10)).toBeGreaterThan(20);
    expect(shuttle(10)).toBeLessThan(25);
    expect(shuttle(15)).toBeGreaterThan(18);
    expect(shuttle(15)).toBeLessThan(22);
  });
  test('backwards and sideways take longer than forwards, a walk longest', () => {
    const mover = moverOf(10);
    const [run, backwards, side, jog, walk] = (['run', 'backwards', 'side step', 'jog', 'walk'] as const).map(
      (manner) => straightS(mover, 6, manner),
    );
    expect(backwards! / run!).toBeGreaterThan(1.15);
    expect(side).toBeGreaterThan(backwards!);
    expect(jog).toBeGreaterThan(side!);
    expect(walk).toBeGreaterThan(jog!);
  });
  test('less with age, more with length, nothing for no way', () => {
    expect(straightS(moverOf(9), 0, 'run')).toBe(0);
    fc.assert(
      fc.property(ages, lengths, fc.constantFrom(...manners), (age, length, manner) => {
        const seconds = straightS(moverOf(age), length, manner);
        expect(straightS(moverOf(age + 1), length, manner)).toBeLessThanOrEqual(seconds + 1e-9);
        expect(straightS(moverOf(age), length + 0.5, manner)).toBeGreaterThan(seconds);
        // Nobody is faster than at top speed all the way.
        expect(seconds).toBeGreaterThan(length / moverOf(age).topMps);
      }),
    );
  });
});

describe('courses', () => {
  test('a triangle of three metres: nine metres, three manners, steps by each', () => {
    const { course } = triangle({ widthM: 5, depthM: 5 }, 3);
    const lap = lapOf(course!, 10, steps);
    expect(lap.lengthM).toBeCloseTo(9, 9);
    expect(lap.legs.map(({ manner }) => manner)).toEqual(['run', 'backwards', 'side step']);
    // 3 m in running steps of 0.87, backward steps of 0.464 and side steps of 0.49.
    expect(lap.legs.map((leg) => leg.steps)).toEqual([4, 7, 7]);
    expect(lap.steps).toBe(18);
  });
  test('a star of two metres is sixteen, out and home four times; with half a metre of reach it is twelve', () => {
    expect(lapOf(star({ widthM: 5, depthM: 5 }, 2).course!, 10, steps).lengthM).toBeCloseTo(16, 9);
    expect(lapOf(star({ widthM: 5, depthM: 5 }, 2, 0.5).course!, 10, steps).lengthM).toBeCloseTo(12, 9);
  });
  test('laps in twenty seconds, the last in thirds or quarters', () => {
    expect(lapsIn(20, 6, 3)).toBeCloseTo(10 / 3, 9);
    expect(lapsIn(20, 6, 4)).toBe(3.25);
    expect(lapsIn(20, 6, 1)).toBe(3);
    expect(lapsIn(20, 0, 3)).toBe(0);
  });
  test('a bend is run round no faster than leaning into it lets, and no stop is made there', () => {
    // Four quarters of a ring of one metre, drawn as a square: round and round at √(3.4 × 1) m/s at ten.
    const points = [at(0, -1), at(1, 0), at(0, 1), at(-1, 0), at(0, -1)];
    const round = lapOf(way(points, 'run', { roundM: 1 }), 10, steps);
    expect(moverOf(10).bendMps2).toBeCloseTo(3.4, 9);
    const slowest = (4 * Math.SQRT2) / Math.sqrt(3.4);
    // Between the bends a little is gained and lost again.
    expect(round.seconds).toBeLessThan(slowest);
    expect(round.seconds).toBeGreaterThan(0.75 * slowest);
    expect(lapOf(way(points, 'run'), 10, steps).seconds).toBeGreaterThan(1.5 * round.seconds);
  });
  test('tighter bends take longer', () => {
    const points = [at(0, -1), at(1, 0), at(0, 1), at(-1, 0), at(0, -1)];
    fc.assert(
      fc.property(
        ages,
        fc.double({ min: 0.1, max: 1, noNaN: true }),
        fc.constantFrom(...manners),
        (age, r, m) => {
          const lap = (roundM: number) => lapOf(way(points, m, { roundM }), age, steps).seconds;
          expect(lap(r)).toBeGreaterThanOrEqual(lap(r * 1.3) - 1e-9);
          expect(lap(r)).toBeLessThanOrEqual(lapOf(way(points, m), age, steps).seconds + 1e-9);
        },
      ),
    );
  });
  test('the speed of one leg is the speed the next begins with: nobody jumps', () => {
    // Two legs in a line with a bend nobody has to slow down for are one leg.
    const broken = way([at(0, 0), at(2, 0), at(5, 0)], 'run', { roundM: 1000 });
    const legs = [broken.legs[0]!, { ...broken.legs[1]!, roundM: undefined }];
    const whole = lapOf(way([at(0, 0), at(5, 0)], 'run'), 10, steps).seconds;
    expect(lapOf({ from: at(0, 0), legs }, 10, steps).seconds).toBeCloseTo(whole, 6);
  });
  test('where every foot has its place, feet set the time', () => {
    // Sixteen feet there and sixteen back at 4.4 a second, and two turns of 0.2 s.
    const { course } = ladder({ widthM: 8, depthM: 3 }, 8, 1 / 3, 2);
    expect(lapOf(course!, 10, steps).seconds).toBeCloseTo((2 * 16) / 4.4 + 2 * 0.2, 9);
    expect(lapOf(course!, 10, steps).steps).toBe(32);
    const free = ladder({ widthM: 8, depthM: 3 }, 8, 1 / 3, null).course!;
    expect(lapOf(free, 10, steps).seconds).toBeLessThan(5);
  });
  test('larger courses take longer', () => {
    fc.assert(
      fc.property(ages, fc.double({ min: 1, max: 4, noNaN: true }), (age, side) => {
        const lap = (m: number) => lapOf(triangle({ widthM: 9, depthM: 9 }, m).course!, age, steps).seconds;
        expect(lap(side * 1.2)).toBeGreaterThan(lap(side));
      }),
    );
  });
});

describe('turning', () => {
  const layouts = [
    triangle({ widthM: 5, depthM: 4 }, 3),
    star({ widthM: 5, depthM: 6 }, 2),
    eight({ widthM: 2.5, depthM: 3 }, 0.5, 0.35, 'side step'),
  ];
  test.each(layouts.map((layout) => [layout]))(
    'every distance stays, and all of it stays in its room',
    (layout) => {
      for (const other of [turnedLayout(layout), turnedLayout(turnedLayout(layout))]) {
        const [before, now] = [layout, other].map((one) => one.marks.map((mark) => mark.at));
        for (const [a] of before!.entries())
          for (const [b] of before!.entries())
            expect(distance(now![a]!, now![b]!)).toBeCloseTo(distance(before![a]!, before![b]!), 9);
        for (const { x, y } of pointsOf(other)) {
          expect(Math.abs(x)).toBeLessThanOrEqual(other.widthM / 2 + 1e-9);
          expect(y).toBeGreaterThanOrEqual(-1e-9);
          expect(y).toBeLessThanOrEqual(other.depthM + 1e-9);
        }
      }
    },
  );
  // Left stays left of the way that is run: the side a triangle is walked round has one sign, and a mirror changes it.
  test.each(layouts.map((layout) => [layout]))('what is left of two points stays left of them', (layout) => {
    const side = ([a, b, c]: readonly { x: number; y: number }[]) =>
      Math.sign(Math.round(1e6 * ((b!.x - a!.x) * (c!.y - a!.y) - (b!.y - a!.y) * (c!.x - a!.x))));
    const [before, now] = [layout, turnedLayout(layout)].map(({ marks }) => marks.map(({ at }) => at));
    for (let n = 0; n + 2 < before!.length; n++) expect(side(now!.slice(n))).toBe(side(before!.slice(n)));
  });
  test('turned four times it is what it was', () => {
    const layout = layouts[0]!;
    const four = [1, 2, 3, 4].reduce((one) => turnedLayout(one), layout);
    for (const [n, mark] of four.marks.entries())
      expect(distance(mark.at, layout.marks[n]!.at)).toBeCloseTo(0, 9);
  });
  test('a way in one manner, or one for each leg', () => {
    expect(way([at(0, 0), at(1, 0), at(1, 1)], 'walk').legs.map(({ manner }) => manner)).toEqual([
      'walk',
      'walk',
    ]);
    expect(way([at(0, 0), at(1, 0)], ['backwards']).legs).toEqual([{ to: at(1, 0), manner: 'backwards' }]);
  });
});
