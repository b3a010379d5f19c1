import type { KitAtHand } from '@/core/place/needs';
import type { Lane } from '@/core/place/on-floor';
import type { Place } from '@/core/place/place';
import { fitSideBySide, type Beside, type SideBySide } from '@/core/place/side-by-side';
import type { Drill } from '@/drills/types';

/** Floor between neighbours for a ball that strays, metres: a metre where there is room, or half of one. Ours. */
export const strayRooms = [1, 0.5] as const;

/** Is there a ball that could get away? */
export const hasBall = ({ kit }: Pick<Drill, 'kit'>): boolean =>
  kit.some(({ item }) => /\bballs?\b/.test(item));

/** A drill that comes to its place with others, and what it needs. */
export interface Comes extends Beside {
  readonly needs: Drill;
}

/** Drills side by side, with the floor that is left between their lanes for balls that stray. */
export interface Spaced extends SideBySide {
  readonly strayM: number;
}

/** A drill with so much more room that lanes beside each other are that far apart; at a wall only along it. */
function withRoom(one: Comes, strayM: number): Beside {
  if (!hasBall(one.needs)) return one;
  const { space } = one.needs;
  const deeper = space.needs.includes('wall') ? 0 : strayM;
  return {
    ...one,
    needs: {
      ...one.needs,
      space: { ...space, widthM: space.widthM + strayM, lengthM: space.lengthM + deeper },
    },
  };
}

/** The lane itself, in the middle of what was found for it and its share of the room beside it. */
function bareLane(lane: Lane, { needs }: Comes, strayM: number): Lane {
  if (!hasBall(needs)) return lane;
  const half = strayM / 2;
  return needs.space.needs.includes('wall')
    ? { ...lane, x: lane.x + half, width: lane.width - strayM }
    : {
        ...lane,
        ...{ x: lane.x + half, y: lane.y + half },
        ...{ width: lane.width - strayM, height: lane.height - strayM },
      };
}

/**
 * Drills side by side on a floor as {@link fitSideBySide} finds them, with room between their lanes for balls that stray:
 * never so much that fewer work at once for it.
 */
export function fitWithRoom(list: readonly Comes[], place: Place, atHand: KitAtHand): Spaced {
  const close = fitSideBySide(list, place, atHand);
  const lanes = (close.layout?.lanes ?? []).flat().length;
  if (!close.layout || lanes < 2 || !list.some(({ needs }) => hasBall(needs))) return { ...close, strayM: 0 };
  for (const strayM of strayRooms) {
    const { fits, layout } = fitSideBySide(
      list.map((one) => withRoom(one, strayM)),
      place,
      atHand,
    );
    if (!layout || fits.some(({ atOnce }, n) => atOnce < close.fits[n]!.atOnce)) continue;
    return {
      ...{ fits: close.fits, strayM },
      layout: {
        ...layout,
        lanes: layout.lanes.map((own, n) => own.map((lane) => bareLane(lane, list[n]!, strayM))),
      },
    };
  }
  return { ...close, strayM: 0 };
}
