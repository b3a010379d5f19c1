/** A point of a picture, pixels of the clip. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** A finger or mouse meets what it means to within so many pixels of the screen. Ours. */
export const tapPx = 4;

/** A measured number and how far it may be off by the taps alone; perspective comes on top, and nobody can say by how much. */
export interface Measured {
  readonly value: number;
  readonly give: number;
}

const far = (a: Point, b: Point): number => Math.hypot(b.x - a.x, b.y - a.y);
const degrees = (radians: number): number => (180 * radians) / Math.PI;
/** How much a line turns when each end is off, degrees. */
const turnedBy = (lengthPx: number, errorPx: number): number =>
  degrees(Math.atan2(Math.SQRT2 * errorPx, Math.max(1e-9, lengthPx)));

/** The angle at the middle of three points, degrees from 0 to 180. @param errorPx how far each tap may be off */
export function angleAt(first: Point, middle: Point, last: Point, errorPx: number): Measured {
  const a = Math.atan2(first.y - middle.y, first.x - middle.x);
  const b = Math.atan2(last.y - middle.y, last.x - middle.x);
  const between = Math.abs(degrees(a - b));
  const value = between > 180 ? 360 - between : between;
  return {
    value,
    give: Math.hypot(turnedBy(far(first, middle), errorPx), turnedBy(far(last, middle), errorPx)),
  };
}

/** The angle of a line over the horizontal, degrees from -90 to 90; positive where its higher end is the second one. */
export function slopeOf(from: Point, to: Point, errorPx: number): Measured {
  const value = degrees(Math.atan2(from.y - to.y, Math.abs(to.x - from.x)));
  return { value, give: turnedBy(far(from, to), errorPx) };
}

/**
 * A height from a length that is known: of the child, a racket, the net.
 * @param known its two ends in the picture, and its length, metres
 */
export function heightOf(
  low: Point,
  high: Point,
  known: { readonly from: Point; readonly to: Point; readonly metres: number },
  errorPx: number,
): Measured {
  const scalePx = far(known.from, known.to);
  const value = ((low.y - high.y) * known.metres) / scalePx;
  const ends = (Math.SQRT2 * errorPx * known.metres) / scalePx;
  const scale = (Math.abs(value) * Math.SQRT2 * errorPx) / scalePx;
  return { value, give: Math.hypot(ends, scale) };
}
