import type { KitAtHand } from '@/core/venues/needs';
import type { Lane, OnFloor } from '@/core/venues/on-floor';
import type { Place } from '@/core/venues/place';
import { fitSideBySide, type Beside, type SideBySide } from '@/core/venues/side-by-side';
import type { Drill } from '@/drills/base/types';
import { walkM, waysToBottles } from './ways-out';

/** Floor between neighbours for a ball that strays, metres: a metre where there is room, half of one, or none. Ours. */
export const strayRooms = [1, 0.5, 0] as const;
/** Without a ball lanes lie close together, unless somebody could not walk out between them. */
const plainRooms = [0, walkM] as const;

/** Is there a ball that could get away? */
export const hasBall = ({ kit }: Pick<Drill, 'kit'>): boolean =>
  kit.some(({ item }) => /\bballs?\b/.test(item));

/** A drill that comes to its place with others, and what it needs. */
export interface Comes extends Beside {
  readonly needs: Drill;
}

/** Drills side by side, with the floor that is left between their lanes. */
export interface Spaced extends SideBySide {
  readonly betweenM: number;
}

/** A drill with so much more room that lanes beside each other are that far apart; at a wall only along it. */
function withRoom(one: Comes, betweenM: number): Beside {
  const { space } = one.needs;
  const deeper = space.needs.includes('wall') ? 0 : betweenM;
  return {
    ...one,
    needs: {
      ...one.needs,
      space: { ...space, widthM: space.widthM + betweenM, lengthM: space.lengthM + deeper },
    },
  };
}

/** The lane itself, in the middle of what was found for it and its share of the room beside it. */
function bareLane(lane: Lane, { needs }: Comes, betweenM: number): Lane {
  const half = betweenM / 2;
  return needs.space.needs.includes('wall')
    ? { ...lane, x: lane.x + half, width: lane.width - betweenM }
    : {
        ...lane,
        x: lane.x + half,
        y: lane.y + half,
        width: lane.width - betweenM,
        height: lane.height - betweenM,
      };
}

/** Can everybody leave their lane for the bottles, where some are drawn? */
function leadsOut({ lanes, alongM, deepM }: OnFloor, { things = [] }: Place): boolean {
  const floor = { x: 0, y: 0, width: alongM, height: deepM };
  return waysToBottles(lanes.flat(), floor, things)?.every(Boolean) ?? true;
}

/**
 * Drills side by side on a floor as {@link fitSideBySide} finds them, with room between their lanes: for balls that stray,
 * and so that everybody can walk to the bottles. As many work at once as without it.
 */
export function fitWithRoom(list: readonly Comes[], place: Place, atHand: KitAtHand): Spaced {
  const close = fitSideBySide(list, place, atHand);
  const lanes = (close.layout?.lanes ?? []).flat().length;
  if (!close.layout || lanes < 2) return { ...close, betweenM: 0 };
  let first: Spaced | null = null;
  for (const betweenM of list.some(({ needs }) => hasBall(needs)) ? strayRooms : plainRooms) {
    const { fits, layout } =
      betweenM === 0
        ? close
        : fitSideBySide(
            list.map((one) => withRoom(one, betweenM)),
            place,
            atHand,
          );
    if (!layout || fits.some(({ atOnce }, n) => atOnce !== close.fits[n]!.atOnce)) continue;
    const own = layout.lanes.map((some, n) => some.map((lane) => bareLane(lane, list[n]!, betweenM)));
    const spaced: Spaced = { fits: close.fits, betweenM, layout: { ...layout, lanes: own } };
    if (leadsOut(spaced.layout!, place)) return spaced;
    first ??= spaced;
  }
  return first ?? { ...close, betweenM: 0 };
}
