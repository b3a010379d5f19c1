import type { Point } from '../geometry/points';
import type { Course, Layout, Leg, Line, Mark, Ring } from './layout';
import type { Manner } from './pace';

/*
 * The shapes layouts are made of. Each takes its own measures and gives a layout in its clear room: x from the middle, y from
 * the front, metres.
 */

export interface Room {
  readonly widthM: number;
  readonly depthM: number;
}

/** Nothing but the room. */
export const bare = ({ widthM, depthM }: Room, more: Partial<Layout> = {}): Layout => ({
  widthM,
  depthM,
  marks: [],
  lines: [],
  rings: [],
  course: null,
  wallMarkM: null,
  ...more,
});

export const at = (x: number, y: number): Point => ({ x, y });
const mark = (kind: Mark['kind'], label: string, x: number, y: number): Mark => ({
  at: at(x, y),
  kind,
  label,
});
export const player = (x: number, y: number, label = 'Player'): Mark => mark('player', label, x, y);
export const helper = (x: number, y: number, label = 'Helper'): Mark => mark('helper', label, x, y);
export const marker = (x: number, y: number, label = 'Marker'): Mark => mark('marker', label, x, y);
export const spot = (x: number, y: number, label = 'Cross'): Mark => mark('spot', label, x, y);

export const lineAcross = (y: number, widthM: number, label: string, x = 0): Line => ({
  points: [at(x - widthM / 2, y), at(x + widthM / 2, y)],
  closed: false,
  label,
});
export const square = (x: number, y: number, sideM: number, label: string, depthM = sideM): Line => ({
  points: [
    at(x - sideM / 2, y - depthM / 2),
    at(x + sideM / 2, y - depthM / 2),
    at(x + sideM / 2, y + depthM / 2),
    at(x - sideM / 2, y + depthM / 2),
  ],
  closed: true,
  label,
});
export const ring = (x: number, y: number, radiusM: number, label: string): Ring => ({
  at: at(x, y),
  radiusM,
  label,
});

/**
 * A way through points in one manner, or a manner for each.
 * @param more what is said of every leg: a bend at its end, the feet put down on it, that it is gone backwards
 */
export const way = (
  points: readonly Point[],
  manner: Manner | readonly Manner[],
  more: Pick<Leg, 'roundM' | 'feet' | 'blind'> = {},
): Course => ({
  from: points[0]!,
  legs: points
    .slice(1)
    .map((to, n) => ({ to, manner: typeof manner === 'string' ? manner : manner[n]!, ...more })),
});

/** Two markers side by side, and whoever works between them. */
export function pair(room: Room, apartM: number, manner: Manner): Layout {
  const y = room.depthM / 2;
  const [left, right] = [at(-apartM / 2, y), at(apartM / 2, y)];
  return bare(room, {
    marks: [marker(left.x, y, 'Left'), marker(right.x, y, 'Right'), player(0, y)],
    course: way([left, right, left], manner),
  });
}

/** Markers in a row, one behind the other from the front. */
export function row(room: Room, count: number, apartM: number, more: Partial<Layout> = {}): Layout {
  const first = (room.depthM - (count - 1) * apartM) / 2;
  const marks = Array.from({ length: count }, (_, n) => marker(0, first + n * apartM, `Marker ${n + 1}`));
  return bare(room, { marks, ...more });
}

/**
 * A cross with four marks round it: in front, right, behind, left.
 * @param reachM how far short of a mark the feet may stop, because a hand does the rest
 */
export function star(room: Room, armM: number, reachM = 0): Layout {
  const y = room.depthM / 2;
  const [front, right, behind, left] = [at(0, y - armM), at(armM, y), at(0, y + armM), at(-armM, y)];
  const home = at(0, y);
  const nearly = ({ x, y: up }: Point) =>
    at((x * (armM - reachM)) / armM, y + ((up - y) * (armM - reachM)) / armM);
  return bare(room, {
    marks: [
      spot(0, y, 'Home'),
      marker(front.x, front.y, 'In front'),
      marker(right.x, right.y, 'Right'),
      marker(behind.x, behind.y, 'Behind'),
      marker(left.x, left.y, 'Left'),
      player(0, y),
    ],
    course: way(
      [home, nearly(front), home, nearly(right), home, nearly(behind), home, nearly(left), home],
      ['run', 'backwards', 'side step', 'side step', 'backwards', 'run', 'side step', 'side step'],
    ),
  });
}

/** Three markers, all sides the same: forward along the right side, backwards, and a side step home. */
export function triangle(
  room: Room,
  sideM: number,
  legs: readonly [Manner, Manner, Manner] = ['run', 'backwards', 'side step'],
): Layout {
  const high = (sideM * Math.sqrt(3)) / 2;
  const y = (room.depthM - high) / 2;
  const [tip, right, left] = [at(0, y), at(sideM / 2, y + high), at(-sideM / 2, y + high)];
  return bare(room, {
    marks: [
      marker(right.x, right.y, 'Start'),
      marker(tip.x, tip.y, 'Tip'),
      marker(left.x, left.y, 'Left'),
      player(right.x, right.y),
    ],
    course: way([right, tip, left, right], legs),
  });
}

/**
 * Two markers, and a lying eight round them so far from each: the way is drawn as the corners that are really run.
 * @param roundM from a marker to the feet that go round it
 */
export function eight(room: Room, apartM: number, roundM: number, manner: Manner): Layout {
  const y = room.depthM / 2;
  const half = apartM / 2;
  const loop = (side: 1 | -1) => [
    at(side * half, y - roundM),
    at(side * (half + roundM), y),
    at(side * half, y + roundM),
    at(0, y),
  ];
  return bare(room, {
    marks: [marker(-half, y, 'Left'), marker(half, y, 'Right'), player(0, y)],
    course: way([at(0, y), ...loop(1), ...loop(-1)], manner, { roundM }),
  });
}

/**
 * Rungs side by side across the room, with room for a swing at both ends.
 * @param feetAGap feet that are put down in every gap; null where nobody looks where they go
 */
export function ladder(room: Room, rungs: number, gapM: number, feetAGap: number | null): Layout {
  const y = room.depthM / 2;
  const half = (rungs * gapM) / 2;
  const squares = Array.from({ length: rungs }, (_, n) =>
    square(-half + (n + 0.5) * gapM, y, gapM, `Gap ${n + 1}`, 0.45),
  );
  const frame = square(0, y, 2 * half, 'Ladder', 0.45);
  return bare(room, {
    lines: [frame, ...squares.slice(1).map(({ points, label }) => rung(points, label))],
    marks: [player(Math.min(half + 0.6, room.widthM / 2 - 0.2), y)],
    course: way(
      [at(half, y), at(-half, y), at(half, y)],
      'side step',
      feetAGap === null ? {} : { feet: rungs * feetAGap },
    ),
  });
}
const rung = (points: readonly Point[], label: string): Line => ({
  points: [points[0]!, points[3]!],
  closed: false,
  label,
});

/** A place to throw or hit from, and something to meet so far in front of it. */
export function lane(room: Room, distanceM: number, more: Partial<Layout> = {}): Layout {
  const { depthM } = room;
  const far = Math.max(0.5, depthM - 0.5 - distanceM);
  const { marks = [], ...rest } = more;
  return bare(room, { marks: [spot(0, far + distanceM, 'Throw from'), ...marks], ...rest });
}

/** From a wall: where one stands, so far from it. */
export const wallLane = (room: Room, distanceM: number, more: Partial<Layout> = {}): Layout =>
  bare(room, {
    lines: [lineAcross(distanceM, Math.min(1, room.widthM), 'Line to stand at')],
    marks: [player(0, distanceM)],
    ...more,
  });

/** Two who face each other. */
export const facing = (room: Room, apartM: number, more: Partial<Layout> = {}): Layout => {
  const first = (room.depthM - apartM) / 2;
  const { marks = [], ...rest } = more;
  return bare(room, {
    marks: [spot(0, first, 'First player'), spot(0, first + apartM, 'Second player'), ...marks],
    ...rest,
  });
};
