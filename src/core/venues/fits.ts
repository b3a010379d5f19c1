import { counted } from '../base/words';
import type { KitAtHand, KitNeed, Needs } from './needs';
import { floorsOf, mostLanes, type Floor } from './on-floor';
import { isHard, type Place } from './place';

export interface StandIn {
  readonly item: string;
  readonly by: string;
}

/** Whether a drill can be done here, with this kit, by this many. */
export interface Fit {
  readonly verdict: 'fits' | 'stand-in' | 'no';
  /** "fits", "fits with a stand-in: …", "does not fit: …", as a person reads it. */
  readonly text: string;
  /** Why it does not fit; empty when it does. */
  readonly reasons: readonly string[];
  readonly standIns: readonly StandIn[];
  /** How many can work at once here; 0 when it does not fit. */
  readonly atOnce: number;
}

/**
 * Answers "can we do this here?".
 * @param players how many want to, >= 1
 * @param stations how many stations are set up, >= 1
 * @param place null when nobody said where: space is taken as enough
 */
export function fitsHere(
  needs: Needs,
  players: number,
  stations: number,
  place: Place | null,
  atHand: KitAtHand,
): Fit {
  const reasons: string[] = [];
  if (players < needs.players.min)
    reasons.push(
      `it takes ${counted(needs.players.min, 'player')}, and ${players} ${players === 1 ? 'is' : 'are'} coming`,
    );

  const wanted = Math.min(players, needs.players.max * stations);
  const room = place ? roomFor(needs, place, stations, wanted, reasons) : wanted;
  const atOnce = Math.min(wanted, room);

  const standIns: StandIn[] = [];
  for (const need of needs.kit) {
    const short = shortOf(need, Math.max(1, atOnce), stations, atHand);
    if (!short) continue;
    if (short.by === null) reasons.push(short.reason);
    else standIns.push({ item: need.item, by: short.by });
  }
  if (reasons.length > 0)
    return { verdict: 'no', text: `does not fit: ${reasons.join('; ')}`, reasons, standIns, atOnce: 0 };
  if (standIns.length === 0) return { verdict: 'fits', text: 'fits', reasons, standIns, atOnce };
  const swaps = standIns.map(({ item, by }) => `${by} for ${item}`).join(', ');
  return { verdict: 'stand-in', text: `fits with a stand-in: ${swaps}`, reasons, standIns, atOnce };
}

/** How many can work at once in a place; what is missing is added to the reasons. */
function roomFor(
  { space, players }: Needs,
  place: Place,
  stations: number,
  wanted: number,
  reasons: string[],
): number {
  const before = reasons.length;
  if (place.ceilingM !== null && place.ceilingM < space.ceilingM)
    reasons.push(`it needs ${space.ceilingM} m of clear height, and ${place.name} has ${place.ceilingM} m`);
  if (space.needs.includes('hard floor') && !isHard(place.surface))
    reasons.push(`the ball has to bounce, and ${place.name} is ${place.surface}`);
  if (space.needs.includes('table') && place.tables === 0)
    reasons.push(`it needs a table, and ${place.name} has none`);
  const wall = space.needs.includes('wall');
  if (wall && place.wallM === 0) reasons.push(`it needs a wall that may be hit, and ${place.name} has none`);
  const units = unitsIn({ space, players }, place, stations, wanted);
  if (units === 0 && reasons.length === before)
    reasons.push(
      `it needs ${space.lengthM} x ${space.widthM} m${wall ? ' at the wall' : ''}, and there is less`,
    );
  if (reasons.length > before) return 0;
  const most = space.per === 'player' ? units : Math.min(units, stations) * players.max;
  return space.needs.includes('table') ? Math.min(most, place.tables * players.max) : most;
}

/**
 * How many times a drill's clear space fits into a place, beside what stands there; along the wall where one is needed.
 * Counted in an empty place; where something stands, laid out, for as many as want to work.
 */
function unitsIn(
  needs: Pick<Needs, 'space' | 'players'>,
  place: Place,
  stations: number,
  wanted: number,
): number {
  const { space } = needs;
  const wall = space.needs.includes('wall');
  const most = Math.max(...floorsOf(place).map((floor) => gridIn(space, wall ? place.wallM : null, floor)));
  if (!place.things || place.things.length === 0) return most;
  const asked = space.per === 'player' ? wanted : Math.min(stations, Math.ceil(wanted / needs.players.max));
  return mostLanes(needs, place, Math.min(most, asked));
}

/** How many times a clear space fits on a bare floor: side by side along the wall, or in rows, turned or not. */
function gridIn(space: Needs['space'], wallM: number | null, { alongM, deepM }: Floor): number {
  const grid = (lengthM: number, widthM: number) =>
    Math.floor(lengthM / space.lengthM + 1e-9) * Math.floor(widthM / space.widthM + 1e-9);
  if (wallM === null) return Math.max(grid(alongM, deepM), grid(deepM, alongM));
  return deepM + 1e-9 >= space.lengthM ? Math.floor(Math.min(wallM, alongM) / space.widthM + 1e-9) : 0;
}

/** How many of a thing a need asks for. */
const wantedOf = (need: KitNeed, players: number, stations: number): number =>
  need.count * { player: players, pair: Math.ceil(players / 2), station: stations }[need.per];

/** What is taken from the kit for so many at once: of each thing, with what stands in for it. */
export function kitTaken(
  { kit }: Pick<Needs, 'kit'>,
  atOnce: number,
  stations: number,
  atHand: KitAtHand,
): ReadonlyMap<string, number> {
  const taken = new Map<string, number>();
  const take = (item: string, count: number) => taken.set(item, (taken.get(item) ?? 0) + count);
  for (const need of kit) {
    const wanted = wantedOf(need, Math.max(1, atOnce), stations);
    const own = Math.min(wanted, atHand(need.item));
    take(need.item, own);
    const by = own < wanted ? shortOf(need, Math.max(1, atOnce), stations, atHand)?.by : null;
    if (by) take(by, wanted - own);
  }
  return taken;
}

/** What is missing of one need: what stands in, or the reason why nothing does; null when there is enough. */
function shortOf(
  need: KitNeed,
  players: number,
  stations: number,
  atHand: KitAtHand,
): { by: string | null; reason: string } | null {
  const wanted = wantedOf(need, players, stations);
  const there = atHand(need.item);
  if (there >= wanted) return null;
  const by = need.standIns.find((item) => atHand(item) + (atHand(item) === 0 ? 0 : there) >= wanted) ?? null;
  return { by, reason: `${need.item}: ${wanted} needed, ${there} at hand, and nothing stands in` };
}
