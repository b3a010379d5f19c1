import { distance, pathLength, type Point } from './points';

/** So many points are ordered exactly; with more, the order is improved until no exchange helps. Ours. */
const exactUpTo = 14;

/**
 * The order in which points are walked to so that the way from a start to the last of them is short: the shortest there is
 * up to fourteen points (Held and Karp 1962), a good one beyond (nearest first, then turning parts of the way round).
 * @returns places in the list, in the order they are walked
 */
export function walkingOrder(start: Point, points: readonly Point[]): number[] {
  if (points.length <= exactUpTo) return exact(start, points);
  return turnedRound(start, points, nearestFirst(start, points));
}

/** The length of a walk from a start through points in an order. */
export const walkLength = (start: Point, points: readonly Point[], order: readonly number[]): number =>
  pathLength([start, ...order.map((at) => points[at]!)]);

function exact(start: Point, points: readonly Point[]): number[] {
  const n = points.length;
  if (n === 0) return [];
  const sets = 2 ** n;
  // By set of points and the last of them: the shortest way, and where it came from.
  const best = new Float64Array(sets * n).fill(Infinity);
  const from = new Int8Array(sets * n).fill(-1);
  const between = Float64Array.from(points.flatMap((a) => points.map((b) => distance(a, b))));
  for (let at = 0; at < n; at++) best[(1 << at) * n + at] = distance(start, points[at]!);
  for (let set = 1; set < sets; set++)
    for (let last = 0; last < n; last++) {
      const so = best[set * n + last]!;
      if (so === Infinity) continue;
      for (let next = 0; next < n; next++) {
        if (set & (1 << next)) continue;
        const to = (set | (1 << next)) * n + next;
        const length = so + between[last * n + next]!;
        if (length < best[to]!) {
          best[to] = length;
          from[to] = last;
        }
      }
    }
  let last = 0;
  let set = sets - 1;
  for (let at = 1; at < n; at++) if (best[set * n + at]! < best[set * n + last]!) last = at;
  const order: number[] = [];
  while (last >= 0) {
    order.unshift(last);
    const before = from[set * n + last]!;
    set ^= 1 << last;
    last = before;
  }
  return order;
}

function nearestFirst(start: Point, points: readonly Point[]): number[] {
  const left = points.map((_, at) => at);
  const order: number[] = [];
  let here = start;
  while (left.length > 0) {
    const next = left.reduce((a, b) => (distance(here, points[b]!) < distance(here, points[a]!) ? b : a));
    order.push(next);
    left.splice(left.indexOf(next), 1);
    here = points[next]!;
  }
  return order;
}

function turnedRound(start: Point, points: readonly Point[], first: readonly number[]): number[] {
  let order = [...first];
  let length = walkLength(start, points, order);
  for (let better = true; better;) {
    better = false;
    for (let a = 0; a < order.length; a++)
      for (let b = a + 1; b < order.length; b++) {
        const other = [...order.slice(0, a), ...order.slice(a, b + 1).reverse(), ...order.slice(b + 1)];
        const now = walkLength(start, points, other);
        if (now >= length - 1e-9) continue;
        order = other;
        length = now;
        better = true;
      }
  }
  return order;
}
