import fc from 'fast-check';
import { apexS } from '../court/calls/beat';
import { g } from '../base/gravity';
import { ballKinds, ballNumbers, balls, type BallNumbers } from './balls';
import { bounce } from './bounce';
import { fall, rise, terminalMps } from './drop';
import { fine, Flight } from './flight';
import { flyTo, type PathPoint } from './fly';
import { launched, X, Y, type Motion } from './motion';
import { referenceFlight, type Odex } from './testing/reference-flight';

const odex = jest.requireActual<Odex>('odex');
const still: BallNumbers = { radiusM: 0.03, dragPerM: 0, liftPerM: 0, restitution: 1, inertia: 0.55 };
const floor = (level: number) => ({ name: 'floor', axis: Y, level, toward: -1 }) as const;
const land = (ball: BallNumbers, motion: Motion, path?: PathPoint[]) =>
  flyTo(new Flight(fine), ball, motion, [floor(ball.radiusM)], path);

const kind = fc.constantFrom(...ballKinds);
const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const hit = fc.record({
  speedMps: num(0.5, 30),
  elevation: num(-0.5, 1.4),
  side: num(-0.5, 0.5),
  topspin: num(-300, 300),
});

test('agrees with the reference integrator (Hairer and Wanner, ODEX) to a millimetre over 300 flights', () => {
  fc.assert(
    fc.property(kind, hit, num(0.1, 3), (name, shot, heightM) => {
      const ball = ballNumbers(balls[name]);
      const start = launched([0, heightM, 0], shot, 1);
      const end = start.slice();
      const { seconds } = land(ball, end);
      const there = referenceFlight(odex, ball, start, seconds, 1e-10);
      for (const axis of [0, 1, 2]) expect(Math.abs(end[axis]! - there[axis]!)).toBeLessThan(0.001);
      // It ends on the floor, not near it.
      expect(Math.abs(end[1]! - ball.radiusM)).toBeLessThan(1e-9);
    }),
    { numRuns: 300, seed: 5 },
  );
});

describe('closed forms (any textbook of mechanics)', () => {
  test.each([0.3, 1, 2.54, 6])('a vacuum drop from %p m: t = √(2h/g), v = √(2gh)', (h) => {
    const motion = launched([0, h + 0.03, 0], { speedMps: 0, elevation: 0 }, 1);
    expect(land(still, motion).seconds).toBeCloseTo(Math.sqrt((2 * h) / g), 9);
    expect(-motion[4]!).toBeCloseTo(Math.sqrt(2 * g * h), 8);
  });

  test('a vacuum throw: range v² sin 2a / g, top v² sin² a / 2g', () => {
    const [v, a] = [12, 0.7];
    const motion = launched([0, 0.03, 0], { speedMps: v, elevation: a }, 1);
    const leg = land(still, motion);
    expect(motion[0]).toBeCloseTo((v * v * Math.sin(2 * a)) / g, 8);
    expect(leg.topM - 0.03).toBeCloseTo((v * Math.sin(a)) ** 2 / (2 * g), 8);
    expect(leg.topS).toBeCloseTo((v * Math.sin(a)) / g, 8);
  });

  test('after a perfectly elastic smooth wall the path is the mirror of the one without it', () => {
    const free = launched([3, 1, 0], { speedMps: 9, elevation: 0.4 }, -1);
    const wall = free.slice();
    const { seconds } = land(still, free);
    const flight = new Flight(fine);
    const out = flyTo(flight, still, wall, [{ name: 'wall', axis: X, level: 0.03, toward: -1 }]);
    bounce(still, { liveliness: 1, friction: 0 }, wall, X);
    const back = flyTo(flight, still, wall, [floor(0.03)]);
    expect(out.seconds + back.seconds).toBeCloseTo(seconds, 9);
    expect(wall[0]! - 0.03).toBeCloseTo(0.03 - free[0]!, 8);
  });

  // check: ½ρC_dA with ρ 1.204, C_d 0.55, 57.7 g and 67 mm; C_d 0.45, 2.7 g and 40 mm.
  test.each([
    ['yellow', 22.017, 0.7259, 6.8806],
    ['table tennis', 8.819, 0.7587, 6.0653],
  ] as const)('the %s ball through air: terminal speed, and a drop from 2.54 m', (name, v, t, fast) => {
    const ball = ballNumbers(balls[name]);
    expect(terminalMps(ball.dragPerM)).toBeCloseTo(v, 3);
    expect(fall(2.54, ball.dragPerM).seconds).toBeCloseTo(t, 4);
    expect(fall(2.54, ball.dragPerM).speedMps).toBeCloseTo(fast, 4);
    const motion = launched([0, 2.54 + ball.radiusM, 0], { speedMps: 0, elevation: 0 }, 1);
    expect(land(ball, motion).seconds).toBeCloseTo(t, 4);
    expect(-motion[4]!).toBeCloseTo(fast, 4);
  });

  test.each([
    [0.1, 210],
    [0.2, 148],
    [0.4, 105],
    [0.6, 86],
  ])('a bounce kept at %p m: %p a minute', (h, perMin) => {
    expect(60 / (2 * apexS(h))).toBeCloseTo(perMin, -0.3);
  });
});

test('a throw up and the flight agree', () => {
  const ball = ballNumbers(balls.red);
  const up = rise(2, ball.dragPerM);
  const motion = launched([0, ball.radiusM, 0], { speedMps: up.speedMps, elevation: Math.PI / 2 }, 1);
  const leg = land(ball, motion);
  expect(leg.topM - ball.radiusM).toBeCloseTo(2, 3);
  expect(leg.topS).toBeCloseTo(up.seconds, 3);
  expect(leg.seconds).toBeCloseTo(up.seconds + fall(2, ball.dragPerM).seconds, 3);
});

test('left is the mirror of right', () => {
  fc.assert(
    fc.property(kind, hit, (name, shot) => {
      const ball = ballNumbers(balls[name]);
      const right = launched([0, 1, 0], shot, 1);
      const left = launched([0, 1, 0], { ...shot, side: -shot.side }, 1);
      land(ball, right);
      land(ball, left);
      expect(left[0]).toBeCloseTo(right[0]!, 9);
      expect(left[2]).toBeCloseTo(-right[2]!, 9);
    }),
  );
});

test('twice as large and √2 times as fast, with half the drag, is the same flight', () => {
  fc.assert(
    fc.property(num(2, 15), num(0, 1.2), num(0, 0.05), (speedMps, elevation, dragPerM) => {
      const small = launched([0, 1, 0], { speedMps, elevation }, 1);
      const large = launched([0, 2, 0], { speedMps: speedMps * Math.SQRT2, elevation }, 1);
      const a = land({ ...still, dragPerM }, small);
      const b = land({ ...still, radiusM: 0.06, dragPerM: dragPerM / 2 }, large);
      expect(b.seconds).toBeCloseTo(a.seconds * Math.SQRT2, 4);
      expect(large[0]).toBeCloseTo(2 * small[0]!, 4);
    }),
  );
});

test('topspin brings a ball down sooner, backspin later', () => {
  const ball = ballNumbers(balls.yellow);
  const [top, flat, back] = [150, 0, -150].map((topspin) => {
    const motion = launched([0, 1, 0], { speedMps: 15, elevation: 0.2, topspin }, 1);
    land(ball, motion);
    return motion[0]!;
  });
  expect(top).toBeLessThan(flat!);
  expect(back).toBeGreaterThan(flat!);
});

test('a drawn path begins at the hand, ends at the floor, and never runs back in time', () => {
  const path: PathPoint[] = [];
  land(ballNumbers(balls.green), launched([0, 1, 0], { speedMps: 9, elevation: 0.5 }, 1), path);
  expect(path[0]).toMatchObject({ atS: 0, x: 0, y: 1 });
  expect(path.at(-1)!.y).toBeCloseTo(0.033, 6);
  for (let k = 1; k < path.length; k++) expect(path[k]!.atS).toBeGreaterThan(path[k - 1]!.atS);
});
