import type { Rectangle } from './pack';

/** A point on the floor, metres. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

export const distance = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y);
export const moved = ({ x, y }: Point, by: Point): Point => ({ x: x + by.x, y: y + by.y });
/** A quarter turn about the origin, from the x axis to the y axis. */
export const quarterTurned = ({ x, y }: Point): Point => ({ x: y === 0 ? 0 : -y, y: x });
/** The length of a way from point to point. */
export const pathLength = (points: readonly Point[]): number =>
  points.slice(1).reduce((sum, point, at) => sum + distance(points[at]!, point), 0);

/** Does a point lie in a rectangle, its sides included? Rounding keeps nothing out. */
export const isInside = ({ x, y }: Point, room: Rectangle): boolean =>
  x >= room.x - 1e-9 &&
  x <= room.x + room.width + 1e-9 &&
  y >= room.y - 1e-9 &&
  y <= room.y + room.height + 1e-9;
