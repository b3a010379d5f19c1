import type { Surface } from '../venues/place';
import { range, type Range } from './range';

/** What a ball bounces off. */
export interface Bouncy {
  readonly label: string;
  /**
   * Normal restitution against that of the same ball on a hard flat base, where the drop test is made: 1 is as lively.
   * A soft or yielding surface gives less back.
   */
  readonly liveliness: Range;
  /** Coefficient of sliding friction with the felt, foam or plastic of a ball. */
  readonly friction: Range;
}

/** The restitution that counts as neutral in the court pace rating. */
const neutralRestitution = 0.81;

/** Categories of the court pace rating, slowest first; each from its lowest rating on. */
export const paceCategories = [
  { name: 'slow', from: -Infinity },
  { name: 'medium-slow', from: 29.5 },
  { name: 'medium', from: 34.5 },
  { name: 'medium-fast', from: 39.5 },
  { name: 'fast', from: 44.5 },
] as const;
export type PaceCategory = (typeof paceCategories)[number]['name'];

/**
 * Court pace rating: 100 (1 − μ) + 150 (0.81 − e). International Tennis Federation, court pace classification (memory).
 * e is taken as 0.81 × liveliness: that the neutral restitution of the rating belongs to a base as lively as the one
 * of the drop test is our assumption.
 */
export function courtPaceRating({ friction, liveliness }: Bouncy): number {
  return 100 * (1 - friction.value) + 150 * neutralRestitution * (1 - liveliness.value);
}

export function paceCategory(rating: number): PaceCategory {
  return paceCategories.findLast(({ from }) => rating >= from)!.name;
}

/** A floor for tennis, with the pace it is known for; null where nobody plays matches on it. */
export interface Floor extends Bouncy {
  readonly pace: PaceCategory | null;
}

const courts =
  'court pace classification: friction and restitution that give the pace this floor is known for';
const soft = 'no published value: drop a ball and compare';

const floor = (label: string, pace: PaceCategory | null, liveliness: Range, friction: Range): Floor => ({
  label,
  pace,
  liveliness,
  friction,
});

export const floorKinds = [
  'court',
  'grass court',
  'concrete',
  'rough concrete',
  'wood',
  'carpet',
  'lawn',
] as const;
export type FloorKind = (typeof floorKinds)[number];

export const floors: Readonly<Record<FloorKind, Floor>> = {
  court: floor(
    'hard court',
    'medium',
    range(0.96, 0.99, 1, 'memory', courts),
    range(0.6, 0.64, 0.68, 'memory', courts),
  ),
  'grass court': floor(
    'grass court',
    'fast',
    range(0.85, 0.92, 0.96, 'memory', courts),
    range(0.5, 0.58, 0.65, 'memory', courts),
  ),
  concrete: floor(
    'smooth concrete',
    'medium-fast',
    range(0.97, 1, 1, 'memory', courts),
    range(0.55, 0.59, 0.63, 'memory', courts),
  ),
  'rough concrete': floor(
    'rough concrete',
    'medium-slow',
    range(0.95, 0.99, 1, 'memory', courts),
    range(0.64, 0.69, 0.75, 'memory', courts),
  ),
  wood: floor(
    'wooden hall floor',
    'fast',
    range(0.92, 0.97, 1, 'memory', courts),
    range(0.42, 0.5, 0.56, 'memory', courts),
  ),
  carpet: floor(
    'carpet',
    'medium-fast',
    range(0.88, 0.95, 1, 'memory', courts),
    range(0.56, 0.64, 0.7, 'memory', courts),
  ),
  lawn: floor('lawn', null, range(0.3, 0.5, 0.7, 'ours', soft), range(0.5, 0.65, 0.8, 'ours', soft)),
};

/** The floor of a place as it is described there. A place that says grass has a lawn, not a mown court. */
export function floorOf(surface: Surface): FloorKind {
  return surface === 'grass' ? 'lawn' : surface;
}

export const wallKinds = ['brick', 'plaster', 'garage door'] as const;
export type WallKind = (typeof wallKinds)[number];

const hits =
  'our estimate from the drop test: a hit is faster, and a ball gives back less the harder it lands';

/** Walls, at the speeds of a rally: a ball gives back less of a hard hit than of a drop. */
export const walls: Readonly<Record<WallKind, Bouncy>> = {
  brick: {
    label: 'brick wall',
    liveliness: range(0.85, 0.93, 1, 'ours', hits),
    friction: range(0.5, 0.65, 0.8, 'ours', 'rough, near rough concrete'),
  },
  plaster: {
    label: 'plastered wall',
    liveliness: range(0.83, 0.92, 1, 'ours', hits),
    friction: range(0.4, 0.5, 0.6, 'ours', 'smooth, near a wooden floor'),
  },
  'garage door': {
    label: 'garage door',
    liveliness: range(0.55, 0.72, 0.85, 'ours', 'sheet metal or boards give way and ring'),
    friction: range(0.3, 0.4, 0.55, 'ours', 'painted and smooth'),
  },
};

/** A table tennis table: length, width and height in metres (ITTF, Laws of Table Tennis 2.1; memory). */
export const tableSize = { lengthM: 2.74, widthM: 1.525, heightM: 0.76, netM: 0.1525 } as const;

export const table: Bouncy = {
  label: 'table',
  liveliness: range(0.98, 1, 1.02, 'memory', 'ITTF, Laws of Table Tennis 2.1.3: about 23 cm from 30 cm'),
  friction: range(0.2, 0.25, 0.35, 'memory', 'sports-physics literature, ball on table'),
};

/** Restitution and friction as the bounce wants them. */
export interface BouncyNumbers {
  readonly liveliness: number;
  readonly friction: number;
}

export const bouncyParameters = ['liveliness', 'friction'] as const;
export type BouncyParameter = (typeof bouncyParameters)[number];

export function bouncyNumbers(
  surface: Bouncy,
  instead: Partial<Readonly<Record<BouncyParameter, number>>> = {},
): BouncyNumbers {
  return {
    liveliness: instead.liveliness ?? surface.liveliness.value,
    friction: instead.friction ?? surface.friction.value,
  };
}
