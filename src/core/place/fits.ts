import { counted } from '../words';
import type { KitAtHand, KitNeed, Needs } from './needs';
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
  const room = place ? roomFor(needs, place, stations, reasons) : wanted;
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
function roomFor({ space, players }: Needs, place: Place, stations: number, reasons: string[]): number {
  const before = reasons.length;
  if (place.ceilingM !== null && place.ceilingM < space.ceilingM)
    reasons.push(`it needs ${space.ceilingM} m of clear height, and ${place.name} has ${place.ceilingM} m`);
  if (space.needs.includes('hard floor') && !isHard(place.surface))
    reasons.push(`the ball has to bounce, and ${place.name} is ${place.surface}`);
  if (space.needs.includes('table') && place.tables === 0)
    reasons.push(`it needs a table, and ${place.name} has none`);
  const wall = space.needs.includes('wall');
  if (wall && place.wallM === 0) reasons.push(`it needs a wall that may be hit, and ${place.name} has none`);
  const units = unitsIn(space, place, wall);
  if (units === 0 && reasons.length === before)
    reasons.push(
      `it needs ${space.lengthM} x ${space.widthM} m${wall ? ' at the wall' : ''}, and there is less`,
    );
  if (reasons.length > before) return 0;
  const most = space.per === 'player' ? units : Math.min(units, stations) * players.max;
  return space.needs.includes('table') ? Math.min(most, place.tables * players.max) : most;
}

/** How many times a stretch of clear space fits into a place, side by side; along the wall where one is needed. */
function unitsIn(space: Needs['space'], place: Place, wall: boolean): number {
  const grid = (lengthM: number, widthM: number) =>
    Math.floor(lengthM / space.lengthM + 1e-9) * Math.floor(widthM / space.widthM + 1e-9);
  if (!wall) return Math.max(grid(place.lengthM, place.widthM), grid(place.widthM, place.lengthM));
  const depthM = Math.max(place.lengthM, place.widthM);
  return depthM + 1e-9 >= space.lengthM ? Math.floor(place.wallM / space.widthM + 1e-9) : 0;
}

/** What is missing of one need: what stands in, or the reason why nothing does; null when there is enough. */
function shortOf(
  need: KitNeed,
  players: number,
  stations: number,
  atHand: KitAtHand,
): { by: string | null; reason: string } | null {
  const groups = { player: players, pair: Math.ceil(players / 2), station: stations }[need.per];
  const wanted = need.count * groups;
  const there = atHand(need.item);
  if (there >= wanted) return null;
  const by = need.standIns.find((item) => atHand(item) + (atHand(item) === 0 ? 0 : there) >= wanted) ?? null;
  return { by, reason: `${need.item}: ${wanted} needed, ${there} at hand, and nothing stands in` };
}
