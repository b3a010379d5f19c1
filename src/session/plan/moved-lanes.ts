import { holds, overlap, without, type Rectangle } from '@/core/geometry/pack';
import { moved, quarterTurned, type Point } from '@/core/geometry/points';
import { mapped } from '@/core/movement/layout';
import { blindEnds, clearBehindM, runOutM } from '@/core/movement/run-out';
import { thingRoom, type Place } from '@/core/venues/place';
import { waysToBottles } from './ways-out';
import { tapedIn, walked, type PlacedBlock, type PlacedLane, type PlacedSlot, type SetOut } from './set-out';

/** A lane that was put somewhere by hand: the corner of its room nearest to the wall's left end, metres. */
export interface LaneMove {
  readonly blockId: string;
  /** Which lane of the block, from 0. */
  readonly lane: number;
  readonly xM: number;
  readonly yM: number;
  /** A quarter turn of how it was laid. */
  readonly turned: boolean;
}

/** Lanes are moved in steps of a quarter of a metre, with Shift of one. Ours. */
export const laneStepM = { short: 0.25, long: 1 } as const;

/** A lane put elsewhere: everything in it goes along. */
export function movedLane(lane: PlacedLane, to: Pick<LaneMove, 'xM' | 'yM' | 'turned'>): PlacedLane {
  const { room } = lane;
  const middle = { x: room.x + room.width / 2, y: room.y + room.height / 2 };
  const [width, height] = to.turned ? [room.height, room.width] : [room.width, room.height];
  const put = ({ x, y }: Point): Point => {
    // About the middle of the room, and that to where the room is put.
    const from = { x: x - middle.x, y: y - middle.y };
    return moved(to.turned ? quarterTurned(from) : from, { x: to.xM + width / 2, y: to.yM + height / 2 });
  };
  const layout = mapped(lane.layout, put);
  return {
    ...lane,
    room: { x: to.xM, y: to.yM, width, height },
    layout,
    taped: tapedIn(layout, lane.name),
  };
}

/** A set-out with lanes moved by hand; moves of lanes that are not there (any more) are passed over. */
export function withMoves({ place, slots }: SetOut, moves: readonly LaneMove[]): SetOut {
  if (moves.length === 0) return { place, slots };
  const moved = slots.map((slot) => ({
    ...slot,
    blocks: slot.blocks.map((block): PlacedBlock => ({
      ...block,
      lanes: block.lanes.map((lane, n) => {
        const move = moves.find((one) => one.blockId === block.blockId && one.lane === n);
        return move ? movedLane(lane, move) : lane;
      }),
    })),
  }));
  return { place, slots: walked(place, moved) };
}

/** How a lane lies among what else there is. */
export interface LaneState {
  readonly blockId: string;
  readonly lane: number;
  /** What is in its way, in words; empty where nothing is. */
  readonly conflicts: readonly string[];
  /** Free floor round it to the nearest other thing, lane or side of the floor, metres; 0 where something is in its way. */
  readonly clearM: number;
  /** The nearest place it can lie in; null where it lies well, or there is none. */
  readonly free: Pick<LaneMove, 'xM' | 'yM'> | null;
  /** Whether it can be left for the bottles without stepping into another lane; null where nobody said where they stand. */
  readonly toBottles: boolean | null;
  /** Clear floor behind where somebody who goes backwards stops, where it is short of what it should be, metres; else null. */
  readonly behindM: number | null;
}

/** The shortest clear floor behind what is gone backwards in a lane, to a side or another lane or thing; null where it is enough. */
function shortBehind(
  { layout }: PlacedLane,
  floor: Rectangle,
  others: readonly { readonly room: Rectangle }[],
): number | null {
  if (!layout.course) return null;
  const rooms = others.map(({ room }) => room);
  const least = Math.min(...blindEnds(layout.course).map((end) => clearBehindM(end, floor, rooms)));
  return least < runOutM - slackM ? least : null;
}

export const laneWords = (
  block: Pick<PlacedBlock, 'title'>,
  { name, who }: Pick<PlacedLane, 'name' | 'who'>,
): string => [block.title, name && `lane ${name}`, who].filter(Boolean).join(', ');

/** Every lane of a slot with what is in its way, and where it could lie instead. */
export function laneStates(
  slot: Pick<PlacedSlot, 'blocks' | 'floor'>,
  place: Pick<Place, 'things' | 'wallM'>,
): LaneState[] {
  const { alongM, deepM } = slot.floor;
  const floor: Rectangle = { x: 0, y: 0, width: alongM, height: deepM };
  const things = (place.things ?? []).map((thing) => ({ room: thingRoom(thing), said: `the ${thing.kind}` }));
  const all = slot.blocks.flatMap((block) =>
    block.lanes.map((lane, n) => ({ block, lane, n, said: laneWords(block, lane) })),
  );
  const ways = waysToBottles(
    all.map(({ lane }) => lane.room),
    floor,
    place.things ?? [],
  );
  return all.map(({ block, lane, n }, at) => {
    const room = nearly(lane.room);
    const others = [
      ...things,
      ...all.filter((one) => one.lane !== lane).map(({ lane: other, said }) => ({ room: other.room, said })),
    ];
    const wallM = Math.min(place.wallM, alongM);
    const conflicts = [
      ...(holds(floor, room) ? [] : ['it ends outside the floor']),
      ...others.filter((other) => overlap(room, other.room)).map(({ said }) => `it lies over ${said}`),
      ...(lane.atWall && (room.y > 2 * slackM || room.x + room.width > wallM)
        ? ['it is not at the wall that may be hit']
        : []),
    ];
    return {
      blockId: block.blockId,
      lane: n,
      conflicts,
      clearM:
        conflicts.length > 0
          ? 0
          : Math.min(...others.map((other) => gap(lane.room, other.room)), ...sideGaps(lane, floor)),
      free:
        conflicts.length > 0
          ? nearestFree(
              lane,
              others.map((other) => other.room),
              { floor, wallM },
            )
          : null,
      toBottles: ways && ways[at]!,
      behindM: shortBehind(lane, floor, others),
    };
  });
}

/** Lanes are kept to the millimetre: what is nearer than this to lying well lies well. */
const slackM = 0.001;
const nearly = ({ x, y, width, height }: Rectangle): Rectangle => ({
  x: x + slackM,
  y: y + slackM,
  width: width - 2 * slackM,
  height: height - 2 * slackM,
});

/** Free floor between two rectangles that do not overlap. */
function gap(a: Rectangle, b: Rectangle): number {
  const dx = Math.max(0, b.x - a.x - a.width, a.x - b.x - b.width);
  const dy = Math.max(0, b.y - a.y - a.height, a.y - b.y - b.height);
  return Math.hypot(dx, dy);
}

/** To the sides of the floor; the wall a lane stands at is no side of it. */
const sideGaps = ({ room, atWall }: PlacedLane, floor: Rectangle): number[] => [
  room.x,
  floor.width - room.x - room.width,
  floor.height - room.y - room.height,
  ...(atWall ? [] : [room.y]),
];

/** The place nearest to where a lane lies that is free for it as it is turned. */
function nearestFree(
  { room, atWall }: PlacedLane,
  taken: readonly Rectangle[],
  { floor, wallM }: { readonly floor: Rectangle; readonly wallM: number },
): Pick<LaneMove, 'xM' | 'yM'> | null {
  const whole = atWall ? { ...floor, width: wallM, height: room.height } : floor;
  const free = taken.reduce<Rectangle[]>(without, [whole]);
  const give = 1e-9;
  const spots = free
    .filter(({ width, height }) => width >= room.width - give && height >= room.height - give)
    .map(({ x, y, width, height }) => ({
      xM: Math.min(Math.max(room.x, x), x + width - room.width),
      yM: Math.min(Math.max(room.y, y), y + height - room.height),
    }));
  const way = ({ xM, yM }: { xM: number; yM: number }) => Math.hypot(xM - room.x, yM - room.y);
  return spots.reduce<(typeof spots)[number] | null>(
    (best, one) => (best && way(best) <= way(one) ? best : one),
    null,
  );
}
