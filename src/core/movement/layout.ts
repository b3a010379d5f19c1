import { distance, moved, quarterTurned, type Point } from '../geometry/points';
import type { Manner } from './pace';

/*
 * What lies on the floor for a drill, in its own room: x to the right of the room's middle, y away from its front (the wall,
 * the net or where everybody looks), metres. Who works in it looks to the front.
 */
export const markKinds = ['marker', 'spot', 'player', 'helper'] as const;
export type MarkKind = (typeof markKinds)[number];

export interface Mark {
  readonly at: Point;
  readonly kind: MarkKind;
  /** What it is called: short, and the same on the drawing and in the list. */
  readonly label: string;
}

/** Chalk, tape or a rope from point to point. */
export interface Line {
  readonly points: readonly Point[];
  readonly closed: boolean;
  readonly label: string;
}

export interface Ring {
  readonly at: Point;
  readonly radiusM: number;
  readonly label: string;
}

/** One way from where the last leg ended. */
export interface Leg {
  readonly to: Point;
  readonly manner: Manner;
  /** The bend at its end is run round, this far from its middle, metres; where nothing is said, one stops there and turns. */
  readonly roundM?: number;
  /** How many feet are put down on it, where every foot has its place. */
  readonly feet?: number;
  /** Gone backwards, though not at a run: what lies behind is not seen. */
  readonly blind?: true;
}

/** What is run: from a start, leg by leg; a lap ends where it began, and goes on into the next where that bend is run round. */
export interface Course {
  readonly from: Point;
  readonly legs: readonly Leg[];
}

export interface Layout {
  /** The clear room it takes, swings and runs included. */
  readonly widthM: number;
  readonly depthM: number;
  readonly marks: readonly Mark[];
  readonly lines: readonly Line[];
  readonly rings: readonly Ring[];
  readonly course: Course | null;
  /** Height of the mark on the wall that is hit to; null where there is none. */
  readonly wallMarkM: number | null;
}

/** A point that is taped: somewhere a marker, a cross, a corner or the middle of a ring goes. */
export interface Taped {
  readonly at: Point;
  readonly label: string;
}

/** Points of a layout that have to be found on the floor, in the order they are listed; who stands somewhere is not taped. */
export function tapedOf({ marks, lines, rings }: Layout): Taped[] {
  const points = [
    ...marks.filter(({ kind }) => kind === 'marker' || kind === 'spot'),
    ...lines.flatMap(({ points: ends, label }) =>
      ends.map((at, n) => ({ at, label: ends.length > 1 ? `${label}, ${n + 1}` : label })),
    ),
    ...rings.map(({ at, label }) => ({ at, label: `${label}, middle` })),
  ];
  // A corner two lines share is taped once.
  return points
    .filter(({ at }, n) => points.findIndex((other) => distance(at, other.at) < 0.005) === n)
    .map(({ at, label }) => ({ at, label }));
}

/** A layout with every point of it put somewhere else. */
export function mapped(layout: Layout, put: (point: Point) => Point): Layout {
  return {
    ...layout,
    marks: layout.marks.map((mark) => ({ ...mark, at: put(mark.at) })),
    lines: layout.lines.map((line) => ({ ...line, points: line.points.map(put) })),
    rings: layout.rings.map((ring) => ({ ...ring, at: put(ring.at) })),
    course: layout.course && {
      from: put(layout.course.from),
      legs: layout.course.legs.map((leg) => ({ ...leg, to: put(leg.to) })),
    },
  };
}

/** A layout turned a quarter, and never mirrored: its front is then on the right of its room, and what was left of it at the front. */
export function turnedLayout(layout: Layout): Layout {
  const { widthM, depthM } = layout;
  const turned = mapped(layout, (point) => {
    // About the middle of the room, and that back to the middle of the turned one.
    const { x, y } = quarterTurned(moved(point, { x: 0, y: -depthM / 2 }));
    return { x, y: y + widthM / 2 };
  });
  return { ...turned, widthM: depthM, depthM: widthM };
}

/** Every point that has to lie inside the room. */
export const pointsOf = ({ marks, lines, rings, course }: Layout): Point[] => [
  ...marks.map(({ at }) => at),
  ...lines.flatMap(({ points }) => points),
  ...rings.flatMap(({ at, radiusM }) => [
    { x: at.x - radiusM, y: at.y - radiusM },
    { x: at.x + radiusM, y: at.y + radiusM },
  ]),
  ...(course ? [course.from, ...course.legs.map(({ to }) => to)] : []),
];
