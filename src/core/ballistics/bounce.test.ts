import fc from 'fast-check';
import { g } from '../base/gravity';
import { ballKinds, ballNumbers, ballOfStage, balls } from './balls';
import { bounce, energyPerKg } from './bounce';
import { fine, Flight } from './flight';
import { flyTo } from './fly';
import { launched, X, Y, Z } from './motion';
import {
  bouncyNumbers,
  courtPaceRating,
  floorKinds,
  floorOf,
  floors,
  paceCategory,
  table,
  wallKinds,
  walls,
} from './surfaces';

const surfaces = [...floorKinds.map((one) => floors[one]), ...wallKinds.map((one) => walls[one]), table];
const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });

test('energy never rises: not in a bounce, whatever its spin, and not in a flight', () => {
  const nine = fc.array(num(-30, 30), { minLength: 6, maxLength: 6 });
  const spins = fc.array(num(-600, 600), { minLength: 3, maxLength: 3 });
  fc.assert(
    fc.property(
      fc.constantFrom(...ballKinds),
      fc.constantFrom(...surfaces),
      nine,
      spins,
      fc.constantFrom(X, Y, Z),
      (kind, surface, flight, spin, axis) => {
        const ball = ballNumbers(balls[kind]);
        const motion = Float64Array.from([...flight, ...spin]);
        const before = energyPerKg(ball, motion, g);
        const into = motion[3 + axis]!;
        bounce(ball, bouncyNumbers(surface), motion, axis);
        expect(energyPerKg(ball, motion, g)).toBeLessThanOrEqual(before + 1e-9 * Math.abs(before));
        expect(motion[3 + axis]! * into).toBeLessThanOrEqual(0);
      },
    ),
    { numRuns: 500 },
  );
  for (const kind of ballKinds) {
    const ball = ballNumbers(balls[kind]);
    const motion = launched([0, 1.2, 0], { speedMps: 14, elevation: 0.3, topspin: 200 }, 1);
    let last = energyPerKg(ball, motion, g);
    const flight = new Flight(fine);
    for (let bounces = 0; bounces < 5; bounces++) {
      flyTo(flight, ball, motion, [{ name: 'floor', axis: Y, level: ball.radiusM, toward: -1 }]);
      bounce(ball, bouncyNumbers(floors.wood), motion, Y);
      expect(energyPerKg(ball, motion, g)).toBeLessThanOrEqual(last);
      last = energyPerKg(ball, motion, g);
    }
  }
});

// International Tennis Federation, Rules of Tennis, appendix on the ball (memory): restitution of the drop from 254 cm.
test.each([
  ['yellow', 0.729, 0.761],
  ['green', 0.687, 0.729],
  ['orange', 0.643, 0.687],
  ['red', 0.595, 0.643],
] as const)('the %s ball has the restitution its rebound gives', (kind, low, high) => {
  const { restitution } = balls[kind];
  expect(restitution.low).toBeCloseTo(low, 3);
  expect(restitution.high).toBeCloseTo(high, 3);
});

test('every nominal value lies inside its range, and says where it comes from', () => {
  const all = [
    ...ballKinds.flatMap((kind) => {
      const { massKg, diameterM, restitution, dragCoefficient } = balls[kind];
      return [massKg, diameterM, restitution, dragCoefficient];
    }),
    ...surfaces.flatMap(({ liveliness, friction }) => [liveliness, friction]),
  ];
  for (const { low, value, high, note } of all) {
    expect(low).toBeLessThanOrEqual(value);
    expect(value).toBeLessThanOrEqual(high);
    expect(note).not.toBe('');
  }
});

test('a table tennis ball dropped from 30 cm on the table comes up about 23 cm (ITTF, Laws 2.1.3, memory)', () => {
  const ball = ballNumbers(balls['table tennis']);
  const motion = launched([0, 0.3 + ball.radiusM, 0], { speedMps: 0, elevation: 0 }, 1);
  const floor = { name: 'floor', axis: Y, level: ball.radiusM, toward: -1 } as const;
  flyTo(new Flight(fine), ball, motion, [floor]);
  bounce(ball, bouncyNumbers(table), motion, Y);
  const up = flyTo(new Flight(fine), ball, motion, [floor]);
  expect(up.topM - ball.radiusM).toBeGreaterThan(0.21);
  expect(up.topM - ball.radiusM).toBeLessThan(0.235);
});

// ITF court pace classification (memory): 100 (1 − μ) + 150 (0.81 − e).
test('the pace rating of every floor lies in the category it is known for', () => {
  for (const kind of floorKinds) {
    const { pace } = floors[kind];
    if (pace !== null) expect([kind, paceCategory(courtPaceRating(floors[kind]))]).toEqual([kind, pace]);
  }
  expect([29, 30, 34, 35, 39, 40, 44, 45].map(paceCategory)).toEqual([
    'slow',
    'medium-slow',
    'medium-slow',
    'medium',
    'medium',
    'medium-fast',
    'medium-fast',
    'fast',
  ]);
});

test('a steep ball grips and rolls, a flat one slides and keeps μ(1 + e) of its drop', () => {
  const ball = ballNumbers(balls.yellow);
  const court = bouncyNumbers(floors.court);
  const steep = Float64Array.from([0, 0, 0, 3, -9, 0, 0, 0, 0]);
  expect(bounce(ball, court, steep, Y)).toBe(true);
  // Rolling: the point that rubs stands still.
  expect(steep[3]! + ball.radiusM * steep[8]!).toBeCloseTo(0, 9);
  const flat = Float64Array.from([0, 0, 0, 25, -5, 0, 0, 0, 0]);
  expect(bounce(ball, court, flat, Y)).toBe(false);
  expect(25 - flat[3]!).toBeCloseTo(court.friction * (5 + flat[4]!), 9);
});

test('places and stages map to floors and balls', () => {
  expect([floorOf('grass'), floorOf('wood')]).toEqual(['lawn', 'wood']);
  expect([ballOfStage('orange', 'tennis'), ballOfStage(null, 'table tennis')]).toEqual([
    'orange',
    'table tennis',
  ]);
});
