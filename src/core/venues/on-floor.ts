import { overlap, pack, packEach, without, type Rectangle, type Sizes } from '../geometry/pack';
import { packEqual } from '../geometry/pack-equal';
import { remembering } from '../base/remember';
import type { Needs } from './needs';
import { thingRoom, type Place } from './place';

/** A drill that is done beside others: what it needs, and how many come to it at a time. */
export interface Beside {
  readonly needs: Pick<Needs, 'space' | 'players'>;
  readonly stations: number;
}

/** A drill with how many of those who come work at once. */
export interface Laid {
  readonly one: Beside;
  readonly atOnce: number;
}

/** A floor from above: its sides, the wall along the first of them. Metres. */
export interface Floor {
  readonly alongM: number;
  readonly deepM: number;
}

/** One who works, or one station, with its own clear room on the floor. */
export interface Lane extends Rectangle {
  /** Whether the room of the drill lies a quarter turned in it. */
  readonly turned: boolean;
}

/** The lanes of several drills on a floor, in their order: metres from the corner where the wall begins. */
export interface OnFloor extends Floor {
  readonly lanes: readonly (readonly Lane[])[];
}

const give = 1e-9;
const has = ({ one }: Laid, need: 'wall' | 'table') => one.needs.space.needs.includes(need);

/** The floors a place may be: where nobody said along which side the wall is, the long one first. */
export function floorsOf({
  lengthM,
  widthM,
  wallSide,
}: Pick<Place, 'lengthM' | 'widthM' | 'wallSide'>): Floor[] {
  const [short, long] = [Math.min(lengthM, widthM), Math.max(lengthM, widthM)];
  const along = { alongM: long, deepM: short };
  const across = { alongM: short, deepM: long };
  return wallSide === 'short' ? [across] : wallSide === 'long' ? [along] : [along, across];
}

/** Lanes for all of them: those that need the wall along it, the others where room is left, none over what stands there. */
export function layOut(all: readonly Laid[], place: Place): OnFloor | null {
  const tables = all
    .filter((one) => has(one, 'table'))
    .reduce((sum, { one, atOnce }) => sum + Math.ceil(atOnce / one.needs.players.max), 0);
  if (tables > place.tables) return null;
  // What was drawn was drawn on the first.
  const drawn = (place.things ?? []).length > 0;
  for (const floor of drawn ? floorsOf(place).slice(0, 1) : floorsOf(place)) {
    const lanes = layAlong(all, place, floor);
    if (lanes) return { ...floor, lanes };
  }
  return null;
}

function layAlong(all: readonly Laid[], place: Place, { alongM, deepM }: Floor): Lane[][] | null {
  const placed = new Map<Laid, Lane[]>();
  const { obstacles, ...bare } = bareFloor(place, { alongM, deepM });
  let { free } = bare;
  let usedM = 0;
  for (const laid of all.filter((one) => has(one, 'wall'))) {
    const lanes: Lane[] = [];
    for (let n = unitsOf(laid); n > 0; n--) {
      const lane = nextAtWall(laid, usedM, Math.min(place.wallM, alongM), deepM, obstacles);
      if (!lane) return null;
      lanes.push(lane);
      usedM = lane.x + lane.width;
      free = without(free, lane);
    }
    placed.set(laid, lanes);
  }
  const others = all.filter((one) => !has(one, 'wall'));
  const together = pack(others.map(sizesOf), free);
  if (together) {
    for (const [index, laid] of others.entries()) placed.set(laid, lanesIn(laid, together[index]!));
    return all.map((laid) => placed.get(laid)!);
  }
  // Not in one piece: lane by lane, round what stands there; who takes most floor first.
  for (const laid of [...others].sort((a, b) => area(b) - area(a))) {
    const lanes = apart(laid, unitsOf(laid), free);
    if (lanes.length < unitsOf(laid)) return null;
    placed.set(laid, lanes);
    for (const lane of lanes) free = without(free, lane);
  }
  return all.map((laid) => placed.get(laid)!);
}

const area = (laid: Laid): number =>
  unitsOf(laid) * laid.one.needs.space.lengthM * laid.one.needs.space.widthM;

/** Lanes one after the other, upright first or turned first, or packed closely: whichever has room for more. */
function apart(laid: Laid, units: number, free: readonly Rectangle[]): Lane[] {
  const [upright, turned] = laneSizes(laid) as [Sizes[number], Sizes[number]];
  const [one, other] = [
    [upright, turned],
    [turned, upright],
  ].map((sizes) => packEach(sizes, units, free)) as [Rectangle[], Rectangle[]];
  let best = other.length > one.length ? other : one;
  if (best.length < units && free.length > 0) {
    const close = closely(upright, units, free);
    if (close.length > best.length) best = close;
  }
  return best.map((room) => asLane(laid, room));
}

/** More lanes than these in one room are laid one after the other only: what is that many loses little, and takes long. Ours. */
const mostClosely = 14;
/** A plan asks for the same few rooms with every key, and one can take a twentieth of a second. */
const packedAlone = remembering(
  (width: number, height: number, size: Sizes[number], want: number): readonly Rectangle[] =>
    packEqual({ width, height }, size, want),
  256,
);

/** Lanes packed as closely as is known into the room that takes most, then into what is left. */
function closely(size: Sizes[number], units: number, free: readonly Rectangle[]): Rectangle[] {
  const placed: Rectangle[] = [];
  let rooms = free;
  while (placed.length < units) {
    const packed = rooms
      .filter(({ width, height }) => width * height <= mostClosely * size.width * size.height)
      .map((room) =>
        packedAlone(room.width, room.height, size, units - placed.length).map((one) => ({
          ...one,
          x: room.x + one.x,
          y: room.y + one.y,
        })),
      );
    const most = packed.reduce<readonly Rectangle[]>(
      (best, one) => (one.length > best.length ? one : best),
      [],
    );
    if (most.length === 0) break;
    placed.push(...most);
    rooms = most.reduce<readonly Rectangle[]>(without, rooms);
  }
  return placed;
}

/**
 * How many lanes of a drill fit at once into a place with things in it, up to so many; {@link layOut} finds room for as many.
 */
export function mostLanes(needs: Beside['needs'], place: Place, upTo: number): number {
  const laidFor = (units: number): Laid => ({
    one: { needs, stations: units },
    atOnce: needs.space.per === 'player' ? units : units * needs.players.max,
  });
  const [floor] = floorsOf(place) as [Floor];
  const { obstacles, free } = bareFloor(place, floor);
  if (needs.space.needs.includes('wall')) {
    let [units, usedM] = [0, 0];
    while (units < upTo) {
      const lane = nextAtWall(laidFor(1), usedM, Math.min(place.wallM, floor.alongM), floor.deepM, obstacles);
      if (!lane) break;
      units += 1;
      usedM = lane.x + lane.width;
    }
    return units;
  }
  const oneByOne = apart(laidFor(1), upTo, free).length;
  for (let units = upTo; units > oneByOne; units--) if (pack([sizesOf(laidFor(units))], free)) return units;
  return oneByOne;
}

/** The things in a place, and the floor they leave free. */
function bareFloor(place: Place, { alongM, deepM }: Floor) {
  const obstacles = (place.things ?? []).map(thingRoom);
  const floor: Rectangle = { x: 0, y: 0, width: alongM, height: deepM };
  return { obstacles, free: obstacles.reduce<Rectangle[]>(without, [floor]) };
}

/** The next stretch of wall with clear room in front of it, from so far along; null where there is none. */
function nextAtWall(
  { one }: Laid,
  fromM: number,
  wallM: number,
  deepM: number,
  obstacles: readonly Rectangle[],
): Lane | null {
  const { lengthM, widthM } = one.needs.space;
  if (lengthM > deepM + give) return null;
  const starts = [fromM, ...obstacles.map(({ x, width }) => x + width).filter((x) => x > fromM)];
  for (const x of starts.sort((a, b) => a - b)) {
    const lane = { x, y: 0, width: widthM, height: lengthM, turned: false };
    if (x + widthM > wallM + give) return null;
    if (!obstacles.some((obstacle) => overlap(lane, obstacle))) return lane;
  }
  return null;
}

/** How many times its clear space a drill takes for those who work at once. */
export function unitsOf({ one: { needs, stations }, atOnce }: Laid): number {
  return needs.space.per === 'player'
    ? Math.max(1, atOnce)
    : Math.max(1, Math.min(stations, Math.ceil(atOnce / needs.players.max)));
}

const laneSizes = ({ one }: Laid): Sizes => {
  const { lengthM, widthM } = one.needs.space;
  return [
    { width: widthM, height: lengthM },
    { width: lengthM, height: widthM },
  ];
};

const asLane = ({ one }: Laid, room: Rectangle): Lane => ({
  ...room,
  turned: Math.abs(room.width - one.needs.space.widthM) > 1e-6,
});

/** Lanes in one row, in two and so on, and each of them turned. */
function sizesOf(laid: Laid): Sizes {
  const units = unitsOf(laid);
  return Array.from({ length: units }, (_, index) => index + 1).flatMap((rows) =>
    laneSizes(laid).map(({ width, height }, turned) => {
      const across = Math.ceil(units / rows);
      return turned
        ? { width: width * rows, height: height * across }
        : { width: width * across, height: height * rows };
    }),
  );
}

/** The lanes of a drill in the room that was found for all of them: side by side, in as many rows as that room has. */
function lanesIn(laid: Laid, room: Rectangle): Lane[] {
  const units = unitsOf(laid);
  for (const { width, height } of laneSizes(laid)) {
    const [columns, rows] = [room.width / width, room.height / height].map((n) => Math.round(n)) as [
      number,
      number,
    ];
    const isWhole =
      Math.abs(columns * width - room.width) < 1e-6 && Math.abs(rows * height - room.height) < 1e-6;
    if (!isWhole || columns * rows < units) continue;
    return Array.from({ length: units }, (_, n) =>
      asLane(laid, {
        x: room.x + (n % columns) * width,
        y: room.y + Math.floor(n / columns) * height,
        width,
        height,
      }),
    );
  }
  return [];
}
