import { distance, type Point } from './points';

/** Two lengths of tape that find a point. Metres. */
export interface Tapes {
  readonly fromLeft: number;
  readonly fromRight: number;
}

/**
 * How far a point is from two corners: the origin, and one along the x axis.
 * @param apartM between the corners, > 0
 */
export const tapesTo = (point: Point, apartM: number): Tapes => ({
  fromLeft: distance(point, { x: 0, y: 0 }),
  fromRight: distance(point, { x: apartM, y: 0 }),
});

/**
 * The point that is so far from two corners, on the side of the floor. By the law of cosines:
 * x = (a² − b² + c²) / 2c, y = √(a² − x²).
 * @returns null where the two tapes do not meet
 */
export function pointOf({ fromLeft, fromRight }: Tapes, apartM: number): Point | null {
  const x = (fromLeft ** 2 - fromRight ** 2 + apartM ** 2) / (2 * apartM);
  const square = fromLeft ** 2 - x ** 2;
  // Tapes that meet on the line between the corners meet there for all that rounding says.
  if (!(apartM > 0) || square < -1e-9 * Math.max(1, fromLeft ** 2)) return null;
  return { x, y: Math.sqrt(Math.max(0, square)) };
}

/** What tells whether four marks make a right rectangle: both ways across it are this long. */
export const diagonal = (widthM: number, heightM: number): number => Math.hypot(widthM, heightM);

/**
 * How far off a point may be when both tapes are read to within so much: worst where they cross at a flat angle.
 * @returns metres; Infinity on the line between the corners
 */
export function offBy(point: Point, apartM: number, readM: number): number {
  const { fromLeft, fromRight } = tapesTo(point, apartM);
  // The sine of the angle the tapes meet at: twice the triangle's area over the product of its two sides.
  const sine = (apartM * Math.abs(point.y)) / (fromLeft * fromRight);
  return sine === 0 || !Number.isFinite(sine) ? Infinity : readM / sine;
}

/** A tape is read to a centimetre: common practice, no published source. */
const readM = 0.01;
/** Further off than this by reading alone, and a point is measured straight out from the wall instead. Ours. */
const mostOffM = 0.1;

/** Do two tapes from the corners find a point well enough? */
export const isTaped = (point: Point, apartM: number): boolean => offBy(point, apartM, readM) <= mostOffM;

/** The two that are furthest apart: a third tape between them tells whether the others were read right. */
export function furthestApart<T extends { readonly at: Point }>(
  points: readonly T[],
): readonly [T, T] | null {
  let best: readonly [T, T] | null = null;
  for (const [n, a] of points.entries())
    for (const b of points.slice(n + 1))
      if (!best || distance(a.at, b.at) > distance(best[0].at, best[1].at)) best = [a, b];
  return best;
}
