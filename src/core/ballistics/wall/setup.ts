import {
  ballNumbers,
  balls,
  ballParameters,
  type BallKind,
  type BallNumbers,
  type BallParameter,
} from '../balls';
import type { Range } from '../range';
import {
  bouncyNumbers,
  bouncyParameters,
  floors,
  table,
  tableSize,
  walls,
  type BouncyNumbers,
  type BouncyParameter,
  type FloorKind,
  type WallKind,
} from '../surfaces';

/** What happens to the ball between two hits. */
export const shots = ['one bounce', 'volley', 'down', 'floor first', 'table'] as const;
export type Shot = (typeof shots)[number];

export const shotWords: Readonly<Record<Shot, string>> = {
  'one bounce': 'One bounce on the floor',
  volley: 'Volley: no bounce',
  down: 'Hit down: low wall, one bounce',
  'floor first': 'Smash: floor, wall, air',
  table: 'One bounce on the table',
};

/** A rally against a wall. Metres from the wall and over the floor, of the ball's centre. */
export interface WallSetup {
  readonly shot: Shot;
  readonly ball: BallKind;
  readonly floor: FloorKind;
  readonly wall: WallKind;
  /** From the wall to where the ball is met. */
  readonly distanceM: number;
  /** Height at which it is met. */
  readonly contactM: number;
  /** Height it is hit from, where that is not where it is met: a ball that is hit down. */
  readonly hitM?: number;
  /** Height on the wall that is aimed at. */
  readonly targetM: number;
  /** Topspin the hit gives, turns a second; negative is slice. None where it is left out. */
  readonly spinRps?: number;
  /** Met on its way up, or on its way down. */
  readonly meet: 'rising' | 'falling';
  /** Hardest hit, m/s. */
  readonly topSpeedMps: number;
  readonly wallTopM: number;
  /** Null under the sky. */
  readonly ceilingM: number | null;
  /** Gap from the wall to the table's near edge, and the length of table that stands there. */
  readonly tableGapM: number;
  readonly tableLengthM: number;
}

/** The ground a ball bounces on: a level, and from where to where it reaches from the wall. */
export interface Ground {
  readonly levelM: number;
  readonly fromM: number;
  readonly toM: number;
}

export function groundOf({ shot, tableGapM, tableLengthM }: WallSetup): Ground {
  return shot === 'table'
    ? { levelM: tableSize.heightM, fromM: tableGapM, toM: tableGapM + tableLengthM }
    : { levelM: 0, fromM: 0, toM: Infinity };
}

/** Does a shot come back over a bounce? */
export const bouncesBack = (shot: Shot): boolean => shot !== 'volley' && shot !== 'floor first';

/** Topspin of a hit, rad/s. */
export const topspinOf = ({ spinRps = 0 }: Pick<WallSetup, 'spinRps'>): number => 2 * Math.PI * spinRps;

/** Height a hit is made from. */
export const hitFromM = ({ shot, hitM, contactM }: WallSetup): number =>
  shot === 'down' ? (hitM ?? contactM) : contactM;

/** The numbers of ball, ground and wall. */
export interface WallNumbers {
  readonly ball: BallNumbers;
  readonly ground: BouncyNumbers;
  readonly wall: BouncyNumbers;
}

/** One physical number, and what to put in its place. */
export type Instead =
  | { readonly of: 'ball'; readonly name: BallParameter; readonly value: number }
  | { readonly of: 'ground' | 'wall'; readonly name: BouncyParameter; readonly value: number };

const bouncing = ({ shot, floor }: WallSetup) => (shot === 'table' ? table : floors[floor]);

export function numbersOf(setup: WallSetup, instead?: Instead): WallNumbers {
  const put = (of: Instead['of']) => (instead?.of === of ? { [instead.name]: instead.value } : {});
  return {
    ball: ballNumbers(balls[setup.ball], put('ball')),
    ground: bouncyNumbers(bouncing(setup), put('ground')),
    wall: bouncyNumbers(walls[setup.wall], put('wall')),
  };
}

/** Every physical number a rally depends on, at both ends of its range. */
export function extremesOf(setup: WallSetup): readonly (readonly [low: Instead, high: Instead])[] {
  const ends = <T extends Omit<Instead, 'value'>>(what: T, { low, high }: Range) =>
    [
      { ...what, value: low },
      { ...what, value: high },
    ] as unknown as readonly [Instead, Instead];
  return [
    ...ballParameters.map((name) => ends({ of: 'ball', name }, balls[setup.ball][name])),
    ...bouncyParameters.map((name) => ends({ of: 'ground', name }, bouncing(setup)[name])),
    ...bouncyParameters.map((name) => ends({ of: 'wall', name }, walls[setup.wall][name])),
  ];
}

/** What can be set, metres and m/s: ours, wide enough for any child, hall and table. */
export const wallLimits = {
  distanceM: { min: 0.6, max: 14 },
  contactM: { min: 0.1, max: 3 },
  targetM: { min: 0.1, max: 6 },
  // Match topspin of grown players is 30 to 50 turns a second (from memory); a child makes a part of it.
  spinRps: { min: -40, max: 40 },
  topSpeedMps: { min: 3, max: 35 },
  wallTopM: { min: 0.5, max: 12 },
  tableGapM: { min: 0, max: 2 },
} as const;
