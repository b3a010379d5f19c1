/** A rectangle on the floor, metres: its corner nearest to the origin, and its sides. */
export interface Rectangle {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** How large something may be laid out: one of these. */
export type Sizes = readonly Pick<Rectangle, 'width' | 'height'>[];

/** Rounding must not keep out what fits exactly, metres. */
const give = 1e-9;
/** So many places are tried before it counts as not fitting; six things need some hundreds. Ours. */
const mostTries = 4_000;

/**
 * Lays things side by side into free rectangles, none over another: each into a corner of what is free, and what is free is
 * then what is left of every rectangle it touched. What it finds fits; a layout with nothing in such a corner is not found.
 * @param things what is laid out, each in one of its sizes
 * @param free where there is room; rectangles may overlap, as those beside a pillar do
 * @returns where each thing lies, in their order; null when no place was found for all
 */
export function pack(things: readonly Sizes[], free: readonly Rectangle[]): Rectangle[] | null {
  let tries = 0;
  // The largest first: the small ones find their place between them.
  const least = (sizes: Sizes) => Math.min(...sizes.map(({ width, height }) => width * height));
  const order = things.map((_, index) => index).sort((a, b) => least(things[b]!) - least(things[a]!));
  const placed = new Map<number, Rectangle>();

  const place = (at: number, rooms: readonly Rectangle[]): boolean => {
    if (at === order.length) return true;
    for (const { width, height } of things[order[at]!]!) {
      for (const room of rooms) {
        if (width > room.width + give || height > room.height + give) continue;
        if (++tries > mostTries) return false;
        const there = { x: room.x, y: room.y, width, height };
        placed.set(order[at]!, there);
        if (place(at + 1, without(rooms, there))) return true;
      }
    }
    return false;
  };
  return place(0, free) ? things.map((_, index) => placed.get(index)!) : null;
}

/**
 * As many of one thing as find a place one after the other: each in the first corner, and the first of its sizes, that has
 * room. Quick however many they are; of more that are asked for, the first lie where they lay before.
 */
export function packEach(sizes: Sizes, count: number, free: readonly Rectangle[]): Rectangle[] {
  const placed: Rectangle[] = [];
  let rooms = free;
  while (placed.length < count) {
    const there = firstPlace(sizes, rooms);
    if (!there) break;
    placed.push(there);
    rooms = without(rooms, there);
  }
  return placed;
}

function firstPlace(sizes: Sizes, rooms: readonly Rectangle[]): Rectangle | null {
  for (const { width, height } of sizes)
    for (const { x, y, width: w, height: h } of rooms)
      if (width <= w + give && height <= h + give) return { x, y, width, height };
  return null;
}

/**
 * What is free once something stands in it: of every rectangle it reaches into, what is left on its four sides, each as large
 * as it can be. They overlap at the corners.
 */
export function without(free: readonly Rectangle[], thing: Rectangle): Rectangle[] {
  const left = free.flatMap((room) => (overlap(room, thing) ? beside(room, thing) : [room]));
  // One that lies in another says nothing new.
  return left
    .filter(
      (one, n) => !left.some((other, m) => m !== n && holds(other, one) && (m < n || !holds(one, other))),
    )
    .sort((a, b) => a.y - b.y || a.x - b.x);
}

function beside(room: Rectangle, thing: Rectangle): Rectangle[] {
  const { x, y, width, height } = room;
  const [right, above] = [thing.x + thing.width, thing.y + thing.height];
  return [
    { x, y, width: thing.x - x, height },
    { x: right, y, width: x + width - right, height },
    { x, y, width, height: thing.y - y },
    { x, y: above, width, height: y + height - above },
  ].filter((one) => one.width > give && one.height > give);
}

/** Does one rectangle have all of another in it? */
export const holds = (outer: Rectangle, inner: Rectangle): boolean =>
  inner.x >= outer.x - give &&
  inner.y >= outer.y - give &&
  inner.x + inner.width <= outer.x + outer.width + give &&
  inner.y + inner.height <= outer.y + outer.height + give;

/** Do two rectangles share floor? Sides that touch do not. */
export const overlap = (a: Rectangle, b: Rectangle): boolean =>
  a.x < b.x + b.width - give &&
  b.x < a.x + a.width - give &&
  a.y < b.y + b.height - give &&
  b.y < a.y + a.height - give;
