import type { Rectangle } from '@/core/geometry/pack';
import { distance, type Point } from '@/core/geometry/points';
import { walkingOrder, walkLength } from '@/core/geometry/tour';
import { mapped, tapedOf, turnedLayout, type Layout, type Taped } from '@/core/movement/layout';
import { bare } from '@/core/movement/shapes';
import { handM } from '@/core/movement/tolerance';
import { fitsHere } from '@/core/venues/fits';
import { floorsOf, type Floor, type Lane } from '@/core/venues/on-floor';
import type { KitAtHand } from '@/core/venues/needs';
import type { Place } from '@/core/venues/place';
import { slotsOf } from '@/core/plan/circuit/circuit';
import type { Book } from '@/drills/book';
import { ageBandOf } from '@/drills/base/age-band';
import { ageBands, type Drill, type Step } from '@/drills/base/types';
import { layoutChild, layoutOf, type LayoutChild } from '@/drills/layouts';
import { workOf, type PlanBlock, type PlanPlayer } from '../base/plan';
import { markAtSize, smallerFit, type SizedMark } from './smaller';
import { fitWithRoom, hasBall, type Comes } from './stray-room';
import { comeTo, type Ground } from './time-plan';

/** A child with what layouts are made to. */
export interface SetOutPlayer extends PlanPlayer {
  readonly name: string;
  readonly child: LayoutChild;
}

/** One who works, or one station, on the floor. */
export interface PlacedLane {
  readonly room: Rectangle;
  /** True where it stands at the wall, and is nothing away from it. */
  readonly atWall: boolean;
  /** What lies in it, in metres of the floor. */
  readonly layout: Layout;
  /** Points to find on the floor, with the lane in their names where there are several. */
  readonly taped: readonly Taped[];
  /** What it is called where there are several: "2", or at a station "B2". */
  readonly name: string;
  /** Whose lane it is, where each has one of their own. */
  readonly who: string | null;
}

export interface PlacedBlock {
  readonly blockId: string;
  readonly title: string;
  /** What is said when it is set up. */
  readonly setUp: string;
  readonly lanes: readonly PlacedLane[];
  /** How many work at once, of how many who come to it at a time. */
  readonly atOnce: number;
  readonly comers: number;
  /** Why it does not fit here; null where it does. */
  readonly problem: string | null;
  /** Names of other places it fits in, where it does not fit here. */
  readonly fitsIn: readonly string[];
  /** Percent of its size at which it would fit here, where it does not, and its marks there; null where no smaller size does. */
  readonly smaller: { readonly percent: number; readonly marks: readonly SizedMark[] } | null;
}

/** What stands on the floor at once: a block, or the stations of a circuit. */
export interface PlacedSlot {
  readonly number: number;
  readonly blocks: readonly PlacedBlock[];
  readonly floor: Floor;
  /** Metres left between lanes for balls that stray; null where no ball is used, or there is one lane. */
  readonly strayM: number | null;
  /** Points to tape, in the order they are walked to. */
  readonly comes: readonly Taped[];
  /** Points that are there from the slot before and stay. */
  readonly stays: readonly Taped[];
  /** Metres walked from the first corner to the last new point. */
  readonly walkM: number;
  /** Nobody said which side the wall is along, and only along the short one there is room. */
  readonly isAcross: boolean;
}

export interface SetOut {
  readonly place: Place;
  readonly slots: readonly PlacedSlot[];
}

/** Where walking and both tapes begin: the left end of the wall. */
const corner: Point = { x: 0, y: 0 };
/** Marks this near to one of the slot before are that mark. */
export const sameM = handM;

/**
 * Lays a session out on the floor of its place, block by block: as many lanes as those who work at once need, each with its
 * clear room, the wall's drills along the wall.
 * @param elsewhere other places, to say where fits what does not fit here
 */
export function setOutOf(
  book: Book,
  blocks: readonly PlanBlock[],
  players: readonly SetOutPlayer[],
  ground: Ground & { readonly place: Place },
  elsewhere: readonly Place[] = [],
): SetOut {
  const slots = slotsOf(blocks.filter(({ drillId }) => book.drill(drillId))).map((slot) => {
    const { placed, floor, strayM } = placedSlot(book, slot, players, ground, elsewhere);
    return { number: blocks.indexOf(slot[0]!) + 1, blocks: placed, floor, strayM };
  });
  return { place: ground.place, slots: walked(ground.place, slots) };
}

/** What lies where, before anybody has walked to it. */
export type LaidSlot = Pick<PlacedSlot, 'number' | 'blocks' | 'floor' | 'strayM'>;

/** The marks of slots in the order they are walked to: what is there from the slot before stays. */
export function walked(place: Place, slots: readonly LaidSlot[]): PlacedSlot[] {
  let before: { readonly taped: readonly Taped[]; readonly floor: Floor } | null = null;
  return slots.map((slot): PlacedSlot => {
    const { floor, blocks: placed } = slot;
    const taped = placed.flatMap(({ lanes }) => lanes.flatMap((lane) => lane.taped));
    // On a floor that is measured from another side nothing is known to lie where it should.
    const lying = before && before.floor.alongM === floor.alongM ? before.taped : [];
    const isThere = ({ at }: Taped) => lying.some((other) => distance(at, other.at) < sameM);
    const stays = taped.filter(isThere);
    const news = taped.filter((one) => !isThere(one));
    const points = news.map(({ at }) => at);
    const order = walkingOrder(corner, points);
    before = { taped, floor };
    return {
      ...slot,
      comes: order.map((at) => news[at]!),
      stays,
      walkM: walkLength(corner, points, order),
      isAcross: !place.wallSide && floor.alongM < floor.deepM,
    };
  });
}

/** A mark of a session, with the blocks that need it. */
export interface SharedMark extends Taped {
  /** Numbers of the blocks, in their order. */
  readonly blocks: readonly number[];
}

/** All marks of a session at once, in the order they are walked to: those within a hand of each other are one. */
export function marksTogether(slots: readonly PlacedSlot[]): { marks: SharedMark[]; walkM: number } {
  const marks: { at: Point; label: string; blocks: number[] }[] = [];
  for (const { number, comes, stays } of slots)
    for (const { at, label } of [...comes, ...stays]) {
      const same = marks.find((one) => distance(one.at, at) < sameM);
      if (!same) marks.push({ at, label, blocks: [number] });
      else if (!same.blocks.includes(number)) same.blocks.push(number);
    }
  const points = marks.map(({ at }) => at);
  const order = walkingOrder(corner, points);
  return { marks: order.map((n) => marks[n]!), walkM: walkLength(corner, points, order) };
}

function placedSlot(
  book: Book,
  slot: readonly PlanBlock[],
  players: readonly SetOutPlayer[],
  { place, atHand }: Ground & { readonly place: Place },
  elsewhere: readonly Place[],
) {
  const known = slot.map((block) => {
    const drill = book.drill(block.drillId)!;
    const working = players.filter(({ id }) => {
      const work = workOf(book, block, id);
      return work && !work.out;
    });
    const comers = comeTo(
      block,
      working.map(({ id }) => id),
    );
    const one: Comes = { needs: drill, players: Math.max(1, comers), stations: block.stations };
    return { block, drill, working, comers, one };
  });
  const { fits, layout, betweenM } = fitWithRoom(
    known.map(({ one }) => one),
    place,
    atHand,
  );
  const straying = known.some(({ drill }) => hasBall(drill)) && (layout?.lanes.flat().length ?? 0) > 1;
  const floor: Floor = layout ?? floorsOf(place)[0]!;
  const placed = known.map(({ block, drill, working, comers, one }, index): PlacedBlock => {
    const { atOnce, verdict, reasons } = fits[index]!;
    const step = workOf(book, block, working[0]?.id ?? '')?.step ?? drill.steps[0]!;
    const lanes = verdict === 'no' ? [] : (layout?.lanes[index] ?? []);
    const many = lanes.length > 1 || slot.length > 1;
    return {
      blockId: block.id,
      title: drill.title,
      setUp: drill.setUp,
      atOnce,
      comers,
      problem:
        verdict === 'no'
          ? reasons.join('; ')
          : layout
            ? null
            : 'the other stations that do not fit have to be mended first',
      fitsIn:
        verdict === 'no'
          ? elsewhere
              .filter((other) => fitsHere(drill, one.players, one.stations, other, atHand).verdict !== 'no')
              .map(({ name }) => name)
          : [],
      smaller: verdict === 'no' ? smallerHere(drill, step, { one, working, place, atHand }) : null,
      lanes: lanes.map((lane, n) => {
        // At a station children change places: its lanes are nobody’s own.
        const own = drill.space.per === 'player' && !block.circuit ? working[n] : undefined;
        const work = own && workOf(book, block, own.id);
        const child = childFor(own ? [own] : working);
        const laid =
          layoutOf(drill, work?.step ?? step, child) ??
          bare({ widthM: drill.space.widthM, depthM: drill.space.lengthM });
        return placedLane(lane, laid, {
          atWall: drill.space.needs.includes('wall'),
          name: many ? `${letter(index, slot.length)}${n + 1}` : '',
          who: own?.name ?? null,
        });
      }),
    };
  });
  return { placed, floor, strayM: straying ? betweenM : null };
}

/** The size at which a drill fits, with what its marks become there for those who do it. */
function smallerHere(
  drill: Drill,
  step: Step,
  given: {
    readonly one: Comes;
    readonly working: readonly SetOutPlayer[];
    readonly place: Place;
    readonly atHand: KitAtHand;
  },
): PlacedBlock['smaller'] {
  const { one, working, place, atHand } = given;
  const percent = smallerFit(drill, one, place, atHand);
  if (percent === null) return null;
  const bands = new Set(working.map(({ age }) => ageBandOf(age)));
  const child = childFor(working);
  return {
    percent,
    marks: ageBands
      .filter((band) => bands.has(band))
      .flatMap((band) => markAtSize(drill, step, band, percent, child) ?? []),
  };
}

/** Stations have letters, lanes have numbers: "B2". */
const letter = (index: number, stations: number): string =>
  stations > 1 ? String.fromCharCode('A'.charCodeAt(0) + index) : '';

/** A lane for one child is made to that child; one for several to the mean of them, for nobody yet to a child of ten. */
function childFor(players: readonly SetOutPlayer[]): LayoutChild {
  if (players.length === 0) return layoutChild({ age: 10, sport: 'tennis', heightCm: null, racketIn: null });
  const mean = (of: (child: LayoutChild) => number) =>
    players.reduce((sum, { child }) => sum + of(child), 0) / players.length;
  return {
    age: Math.round(mean(({ age }) => age)),
    strideM: mean(({ strideM }) => strideM),
    sideStepM: mean(({ sideStepM }) => sideStepM),
    targetM: mean(({ targetM }) => targetM),
  };
}

/** A layout put into its lane: turned where it lies along it, its front towards the wall. */
function placedLane(lane: Lane, own: Layout, said: Pick<PlacedLane, 'atWall' | 'name' | 'who'>): PlacedLane {
  const fits = own.widthM <= lane.width + 1e-6 && own.depthM <= lane.height + 1e-6;
  const layout = fits ? own : turnedLayout(own);
  const put = ({ x, y }: Point): Point => ({
    x: lane.x + lane.width / 2 + x,
    y: lane.y + (lane.height - layout.depthM) / 2 + y,
  });
  const onFloor = mapped(layout, put);
  return {
    room: { x: lane.x, y: lane.y, width: lane.width, height: lane.height },
    layout: onFloor,
    taped: tapedIn(onFloor, said.name),
    ...said,
  };
}

/** The points of a lane, with its name where there are several. */
export const tapedIn = (layout: Layout, name: string): Taped[] =>
  tapedOf(layout).map(({ at, label }) => ({ at, label: name ? `${name} ${label}` : label }));
