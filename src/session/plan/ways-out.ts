import type { Rectangle } from '@/core/geometry/pack';
import { reachedFrom } from '@/core/geometry/walkable';
import { thingRoom, type FloorThing } from '@/core/venues/place';

/** One child walks past another’s lane in so much, metres. Ours. */
export const walkM = 0.8;
/** What is walked round, not over. */
const solid: ReadonlySet<FloorThing['kind']> = new Set(['pillar', 'table', 'bench', 'slippery']);

/** For every lane whether a free way leads to where the bottles stand; null where none are drawn. */
export function waysToBottles(
  rooms: readonly Rectangle[],
  floor: Rectangle,
  things: readonly FloorThing[],
): boolean[] | null {
  const bottles = things.filter(({ kind }) => kind === 'bottles').map(thingRoom);
  if (bottles.length === 0) return null;
  const obstacles = things.filter(({ kind }) => solid.has(kind)).map(thingRoom);
  const ways = bottles.map((goal) => reachedFrom(goal, rooms, { floor, obstacles, wideM: walkM }));
  return rooms.map((_, n) => ways.some((way) => way[n]));
}
