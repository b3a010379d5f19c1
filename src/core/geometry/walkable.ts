import { overlap, without, type Rectangle } from './pack';

const give = 1e-9;

/** Do two spans share so much? */
const share = (fromA: number, toA: number, fromB: number, toB: number): number =>
  Math.min(toA, toB) - Math.max(fromA, fromB);

/** Can somebody so wide, who walks along the sides of the floor, step from one free rectangle into another? */
const leadsOn = (a: Rectangle, b: Rectangle, wideM: number): boolean =>
  share(a.x, a.x + a.width, b.x, b.x + b.width) >= wideM - give &&
  share(a.y, a.y + a.height, b.y, b.y + b.height) >= wideM - give;

/** Does a free rectangle come up to a room, with so much of its side? */
function comesUpTo(free: Rectangle, room: Rectangle, wideM: number): boolean {
  const across = share(free.x, free.x + free.width, room.x, room.x + room.width);
  const deep = share(free.y, free.y + free.height, room.y, room.y + room.height);
  const side = Math.min(wideM, room.width, room.height);
  return (across >= side - give && deep >= -give) || (deep >= side - give && across >= -give);
}

/**
 * Which rooms can be walked to from a goal without stepping into a room or an obstacle. What is free is a list of the
 * largest free rectangles; from one to the next there is a way where they share a square as wide as who walks.
 * @param wideM how wide a way has to be, metres > 0
 * @returns for every room whether there is a way to it
 */
export function reachedFrom(
  goal: Rectangle,
  rooms: readonly Rectangle[],
  { floor, obstacles, wideM }: { floor: Rectangle; obstacles: readonly Rectangle[]; wideM: number },
): boolean[] {
  const free = [...obstacles, ...rooms]
    .reduce<Rectangle[]>(without, [floor])
    .filter(({ width, height }) => Math.min(width, height) >= wideM - give);
  const reached = new Set(free.filter((one) => overlap(one, goal) || comesUpTo(one, goal, wideM)));
  // A set is walked through in the order things come into it: what is found on the way is looked at as well.
  for (const one of reached) for (const next of free) if (leadsOn(one, next, wideM)) reached.add(next);
  return rooms.map(
    (room) =>
      overlap(room, goal) ||
      comesUpTo(goal, room, wideM) ||
      [...reached].some((one) => comesUpTo(one, room, wideM)),
  );
}
