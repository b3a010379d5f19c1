import { distance, type Point } from '../geometry/points';
import type { Rectangle } from '../geometry/pack';
import type { Course } from './layout';

/** Clear floor behind whoever goes backwards, beyond where they stop: metres. Ours. */
export const runOutM = 1;

/** Where a stretch is gone backwards: its end, and the way it leads on, as a step of one metre. */
export interface BlindEnd {
  readonly at: Point;
  readonly on: Point;
}

/** The ends of what is gone backwards in a course: nobody sees what lies behind them. */
export function blindEnds({ from, legs }: Course): BlindEnd[] {
  return legs.flatMap(({ to, manner, blind }, n) => {
    if (manner !== 'backwards' && !blind) return [];
    const before = n === 0 ? from : legs[n - 1]!.to;
    const lengthM = distance(before, to);
    if (lengthM === 0) return [];
    return [{ at: to, on: { x: (to.x - before.x) / lengthM, y: (to.y - before.y) / lengthM } }];
  });
}

/** How far a straight way leads from a point before it meets a rectangle; Infinity where it passes it by. */
function metresTo({ at, on }: BlindEnd, { x, y, width, height }: Rectangle): number {
  let [near, far] = [-Infinity, Infinity];
  for (const [start, way, low, high] of [
    [at.x, on.x, x, x + width],
    [at.y, on.y, y, y + height],
  ] as const) {
    if (Math.abs(way) < 1e-12) {
      if (start <= low + 1e-9 || start >= high - 1e-9) return Infinity;
      continue;
    }
    const [one, other] = [(low - start) / way, (high - start) / way];
    near = Math.max(near, Math.min(one, other));
    far = Math.min(far, Math.max(one, other));
  }
  // Behind the start, or only touched at a corner.
  return far <= near + 1e-9 || far <= 1e-9 ? Infinity : Math.max(0, near);
}

/** How far it leads inside a floor before its side is met, metres. */
function metresToSide({ at, on }: BlindEnd, { x, y, width, height }: Rectangle): number {
  const ways = [
    on.x > 0 ? (x + width - at.x) / on.x : on.x < 0 ? (x - at.x) / on.x : Infinity,
    on.y > 0 ? (y + height - at.y) / on.y : on.y < 0 ? (y - at.y) / on.y : Infinity,
  ];
  return Math.max(0, Math.min(...ways));
}

/** Clear floor straight on behind the end of what is gone backwards, metres: to a side of the floor, or what lies on it. */
export const clearBehindM = (end: BlindEnd, floor: Rectangle, others: readonly Rectangle[]): number =>
  Math.min(metresToSide(end, floor), ...others.map((other) => metresTo(end, other)));
