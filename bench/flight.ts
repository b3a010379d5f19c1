import { createRequire } from 'node:module';
import { ballKinds, ballNumbers, balls } from '@/core/ballistics/balls';
import { Flight, fine } from '@/core/ballistics/flight';
import { flyTo } from '@/core/ballistics/fly';
import { launched, Y } from '@/core/ballistics/motion';
import { referenceFlight, type Odex } from '@/core/ballistics/testing/reference-flight';
import { seededRandom } from '../src/core/base/random';
import { median, report } from './lib/measure';

/*
 * Flights to the floor, found where they land, against the reference integrator (npm package odex) flying the same
 * flights for as long as they take, at a tolerance at which its error is as large as ours. Times of one flight.
 */
const odex = createRequire(import.meta.url)('odex') as Odex;
const random = seededRandom(5);
const between = (low: number, high: number) => low + (high - low) * random();
const cases = Array.from({ length: 300 }, (_, index) => {
  const ball = ballNumbers(balls[ballKinds[index % ballKinds.length]!]);
  const start = launched(
    [0, between(0.3, 2.5), 0],
    {
      speedMps: between(2, 30),
      elevation: between(-0.4, 1.2),
      side: between(-0.4, 0.4),
      topspin: between(-300, 300),
    },
    1,
  );
  return { ball, start };
});
const flight = new Flight(fine);
const motion = new Float64Array(9);
const ours = ({ ball, start }: (typeof cases)[number]) => {
  motion.set(start);
  return flyTo(flight, ball, motion, [{ name: 'floor', axis: Y, level: ball.radiusM, toward: -1 }]).seconds;
};
const away = (a: ArrayLike<number>, b: ArrayLike<number>) =>
  Math.hypot(a[0]! - b[0]!, a[1]! - b[1]!, a[2]! - b[2]!);

const landed = cases.map((one) => {
  const seconds = ours(one);
  return {
    ...one,
    seconds,
    exact: referenceFlight(odex, one.ball, one.start, seconds, 1e-12),
    end: motion.slice(),
  };
});
const worstOf = (ends: readonly ArrayLike<number>[]) =>
  Math.max(...landed.map(({ exact }, index) => away(exact, ends[index]!)));
const ourError = worstOf(landed.map(({ end }) => end));
// The loosest tolerance of the reference that is no worse than ours.
const tolerances = [1e-3, 3e-4, 1e-4, 3e-5, 1e-5, 3e-6, 1e-6, 3e-7, 1e-7, 1e-8];
const theirs = (tolerance: number) =>
  landed.map(({ ball, start, seconds }) => referenceFlight(odex, ball, start, seconds, tolerance));
const tolerance = tolerances.find((one) => worstOf(theirs(one)) <= ourError) ?? 1e-9;
console.error(
  `Worst error of 300 flights: ours ${(1000 * ourError).toFixed(3)} mm; the reference at ${tolerance}: ${(1000 * worstOf(theirs(tolerance))).toFixed(3)} mm.`,
);

/** Milliseconds of a flight, all of them in a row. */
function time(fly: () => unknown): number {
  const before = performance.now();
  fly();
  return (performance.now() - before) / cases.length;
}
const times = { ours: [] as number[], theirs: [] as number[] };
for (let round = -20; round < 60; round++) {
  const a = time(() => cases.map(ours));
  const b = time(() => theirs(tolerance));
  if (round < 0) continue;
  times.ours.push(a);
  times.theirs.push(b);
}
report('flight', median(times.ours), 'ms', median(times.theirs));
