import { radians } from '@/core/ballistics/motion';

/** How far a player's hits scatter about what they mean: standard deviations. */
export interface Spread {
  /** Of the speed, as a share of it. */
  readonly speed: number;
  /** Up and down, radians: what makes the height on the wall. */
  readonly height: number;
  /** To the sides, radians. */
  readonly side: number;
}

/** The scatter all others are multiples of: about a child of ten who keeps a wall rally going for a dozen hits. Ours. */
export const unitSpread: Spread = { speed: 0.1, height: radians(4.5), side: radians(4.5) };

export const noSpread: Spread = { speed: 0, height: 0, side: 0 };

/** How a scatter is shared among speed, height and side, as multiples of the unit. */
export interface Mix {
  readonly name: string;
  readonly speed: number;
  readonly height: number;
  readonly side: number;
}

/** Counts in a row tell how much a player scatters, and little of which way: all these are thought possible. */
export const mixes: readonly Mix[] = [
  { name: 'all alike', speed: 1, height: 1, side: 1 },
  { name: 'mostly speed', speed: 1.5, height: 0.75, side: 0.75 },
  { name: 'mostly height', speed: 0.75, height: 1.5, side: 0.75 },
  { name: 'mostly side', speed: 0.75, height: 0.75, side: 1.5 },
];

export function spreadOf(mix: Mix, scale: number): Spread {
  return {
    speed: unitSpread.speed * mix.speed * scale,
    height: unitSpread.height * mix.height * scale,
    side: unitSpread.side * mix.side * scale,
  };
}
