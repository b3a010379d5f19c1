import { counted } from '@/core/base/words';
import { fitsHere } from '@/core/venues/fits';
import { isQuiet, type Place, type Surface } from '@/core/venues/place';
import { atHand } from '@/drills/base/kit';
import type { Drill } from '@/drills/base/types';

/** What a player has at home: room, what may be hit, who helps, and the things there are. Lengths in metres. */
export interface Home {
  readonly lengthM: number;
  readonly widthM: number;
  readonly ceilingM: number | null;
  readonly surface: Surface;
  readonly wallM: number;
  readonly tables: number;
  /** Lamps or windows in reach of a ball. */
  readonly lamps: boolean;
  /** Somebody who feeds, holds or calls. */
  readonly helper: boolean;
  readonly quietFrom: string | null;
  readonly quietTo: string | null;
  readonly kit: readonly (readonly [item: string, count: number])[];
}

/** The room at home in one line: "4 x 3 m, 2.4 m high, no wall to hit, nobody helps". */
export const roomInWords = ({
  lengthM,
  widthM,
  ceilingM,
  wallM,
  tables,
  helper,
  lamps,
  quietFrom,
  quietTo,
}: Omit<Home, 'kit' | 'surface'>): string =>
  [
    `${lengthM} x ${widthM} m`,
    ceilingM === null ? 'outdoors' : `${ceilingM} m high`,
    wallM > 0 ? `${wallM} m of wall` : 'no wall to hit',
    tables > 0 ? counted(tables, 'table') : '',
    lamps ? 'lamps in reach' : '',
    helper ? 'somebody helps' : 'nobody helps',
    quietFrom && quietTo ? `quiet from ${quietFrom} to ${quietTo}` : '',
  ]
    .filter(Boolean)
    .join(', ');

/** The things at home in one line: "1 × racket, 2 × ball". */
export const kitInWords = ({ kit }: Pick<Home, 'kit'>): string =>
  kit.map(([item, count]) => `${count} × ${item}`).join(', ');

/** A room to begin with: what most homes have. Ours. */
export const usualHome: Home = {
  lengthM: 4,
  widthM: 3,
  ceilingM: 2.4,
  surface: 'wood',
  wallM: 0,
  tables: 0,
  lamps: true,
  helper: false,
  quietFrom: null,
  quietTo: null,
  kit: [
    ['racket', 1],
    ['table tennis bat', 1],
    ['ball', 2],
    ['foam ball', 1],
    ['table tennis ball', 2],
  ],
};

export const homeAsPlace = (home: Home): Place => {
  const { lengthM, widthM, ceilingM, surface, wallM, tables, lamps, quietFrom, quietTo } = home;
  return {
    name: 'home',
    lengthM,
    widthM,
    ceilingM,
    surface,
    wallM,
    tables,
    quietFrom,
    quietTo,
    hazards: lamps ? ['windows or lamps in reach'] : [],
  };
};

/** Does a hit ball leave the racket for good? Bouncing it on the strings, catching and shadow swings are another thing. */
const ballsFly = ({ family, kit }: Pick<Drill, 'family' | 'kit'>): boolean =>
  family === 'wall' ||
  ((family === 'stroke' || family === 'games') && kit.some(({ item }) => item.includes('ball')));

/** Why a drill cannot be done at a home; empty where it can. What stands in for a thing is used as on court. */
export function notAtHome(drill: Drill, home: Home, atTime: string | null): string[] {
  const people = 1 + (home.helper ? 1 : 0);
  const place = homeAsPlace(home);
  const { reasons } = fitsHere(
    drill,
    // A helper is the other player where it takes two.
    Math.min(people, Math.max(1, drill.players.min)),
    1,
    place,
    atHand(Object.fromEntries(home.kit)),
  );
  const why = [...reasons];
  if (home.lamps && ballsFly(drill)) why.push('balls fly, and lamps or windows are in reach');
  if (drill.helper !== 'none' && !home.helper) why.push(`somebody ${drill.helper}, and nobody helps at home`);
  if (atTime !== null && drill.space.needs.includes('wall') && isQuiet(place, atTime))
    why.push(`it hits a wall, and from ${home.quietFrom} to ${home.quietTo} it is to be quiet there`);
  return why;
}
