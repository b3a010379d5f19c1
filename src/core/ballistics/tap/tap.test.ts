import fc from 'fast-check';
import { bounceHeightCm } from '../../counting/bounce-spread';
import { ballKinds, ballNumbers, balls } from '../balls';
import { fall } from '../drop';
import { bouncesAlone, heightForTempo, heightSpreadM, tapping, tappingSpread } from './bounce-tempo';
import { faceKinds } from './faces';
import {
  catchSpread,
  clapRate,
  clapsS,
  hoopToss,
  softCatch,
  toss,
  tossForClaps,
  tossForTime,
  tossSpreadM,
} from './toss';

const kind = fc.constantFrom(...ballKinds);
const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });

test('tempo and height are each other’s inverse for every ball', () => {
  fc.assert(
    fc.property(kind, num(0.05, 1.5), (ball, heightM) => {
      const { touchesPerMin } = tapping(ball, 'strings', heightM);
      expect(heightForTempo(ball, touchesPerMin)).toBeCloseTo(heightM, 6);
    }),
  );
});

test('higher is slower, and drag makes it a little different from the vacuum', () => {
  for (const ball of ballKinds) {
    expect(tapping(ball, 'strings', 0.4).touchesPerMin).toBeLessThan(
      tapping(ball, 'strings', 0.2).touchesPerMin,
    );
    // 148 a minute at 20 cm without drag (check value); drag shortens the rise more than it lengthens the fall.
    expect(tapping(ball, 'strings', 0.2).touchesPerMin / 148).toBeCloseTo(1, 1);
  }
});

test('the face gives back what the ball has lost', () => {
  fc.assert(
    fc.property(kind, fc.constantFrom(...faceKinds), num(0.05, 1.2), (ball, face, heightM) => {
      const one = tapping(ball, face, heightM);
      expect(one.aloneM).toBeLessThan(heightM);
      expect(one.faceMps).toBeGreaterThan(0);
      // Seen from the moving face it is a bounce with restitution below 1.
      expect((one.upMps - one.faceMps) / (one.downMps + one.faceMps)).toBeLessThan(1);
    }),
  );
  expect(bouncesAlone('red foam', 'strings', 0.6)).toBeLessThan(bouncesAlone('yellow', 'strings', 0.6));
});

test('spread of height and spread of time belong together', () => {
  const { periodS } = tapping('yellow', 'strings', 0.2);
  // A tenth of the time is about a fifth of the height, whatever the height.
  expect(heightSpreadM(0.2, periodS, 0.1 * periodS)).toBeCloseTo(0.04, 12);
});

test('claps: five at five a second and one beat to get ready need 1.77 m, at four a second 2.76 m (vacuum)', () => {
  expect(clapsS(5, 5)).toBeCloseTo(1.2);
  expect(bounceHeightCm(clapsS(5, 5)) / 100).toBeCloseTo(1.77, 2);
  expect(bounceHeightCm(clapsS(5, 4)) / 100).toBeCloseTo(2.76, 2);
  const real = tossForClaps('yellow', 5, 5);
  expect(real.airS).toBeCloseTo(1.2, 6);
  // Drag: thrown harder, caught slower, not so high.
  expect(real.heightM).toBeLessThan(1.77);
  expect(real.heightM).toBeGreaterThan(1.7);
  expect(real.throwMps).toBeGreaterThan(real.catchMps);
  expect(clapRate(5)).toBeLessThan(clapRate(12));
});

test('a toss for a time takes that time', () => {
  fc.assert(
    fc.property(kind, num(0.2, 2.5), (ball, airS) => {
      expect(tossForTime(ball, airS).airS).toBeCloseTo(airS, 6);
    }),
  );
});

test('a soft catch: a fall of 1.1 m gives 4.64 m/s, stopped over 15 to 20 cm at 7.3 to 5.5 g', () => {
  // The check value is without drag; with it the ball is a little slower.
  expect(fall(1.1, 1e-9).speedMps).toBeCloseTo(4.64, 2);
  const heavy = softCatch('yellow', 1.5, 0.65, 0.15);
  expect(heavy.fallM).toBeCloseTo(0.65 + 0.4 * 1.5 - 0.15, 9);
  expect(heavy.fallM).toBeCloseTo(1.1, 9);
  expect(heavy.catchMps).toBeCloseTo(4.6, 1);
  expect(heavy.stopG).toBeCloseTo(7.3 * (heavy.catchMps / 4.64) ** 2, 1);
  const soft = softCatch('yellow', 1.5, 0.7, 0.2);
  expect(soft.fallM).toBeCloseTo(1.1, 9);
  expect(soft.stopG).toBeCloseTo(5.5 * (soft.catchMps / 4.64) ** 2, 1);
  expect(soft.stopG).toBeLessThan(heavy.stopG);
  expect(soft.ceilingM).toBeCloseTo(2.2 + 0.0335, 4);
});

test('through a hoop: over it, and down again later', () => {
  const one = hoopToss('yellow', 2.7, 0.8);
  expect(one.heightM).toBeCloseTo(2.7 - 0.8 + one.overM, 9);
  expect(one.overM).toBeCloseTo(3 * ballNumbers(balls.yellow).radiusM, 9);
  expect(one.upS).toBeLessThan(one.downS);
  expect(one.downS).toBeLessThan(one.airS);
  expect(toss('yellow', one.heightM).airS).toBeCloseTo(one.airS, 9);
});

test('ranges of the ball hardly move a tempo, and move what a still face gives back a lot', () => {
  const { touchesPerMin, aloneM, faceMps } = tappingSpread('yellow', 'strings', 0.4);
  expect(touchesPerMin).toBeGreaterThan(0);
  expect(touchesPerMin).toBeLessThan(1);
  expect(aloneM).toBeGreaterThan(0.02);
  expect(faceMps).toBeGreaterThan(0.02);
  // A foam ball is known less well, and drag matters more to it.
  expect(tappingSpread('indoor foam', 'strings', 0.4).touchesPerMin).toBeGreaterThan(touchesPerMin);
  expect(tossSpreadM('indoor foam', 1.2)).toBeGreaterThan(tossSpreadM('yellow', 1.2));
  const off = catchSpread('yellow', 1.4, 0.75, 0.18);
  expect(off.catchMps).toBeLessThan(0.1);
  expect(off.pushN).toBeGreaterThan(0);
});
