import { g } from '../../base/gravity';
import { numbersOf, type WallSetup } from './setup';
import type { WallSolution } from './solve';
import { Trials } from './trial';

/** What a harder or softer hit at the same mark does. */
export interface PaceChange {
  readonly factor: number;
  /** Speed off the wall, and its change as a share. */
  readonly offWallMps: number;
  readonly offWallChange: number;
  /** Seconds from the wall to the hand, and how many fewer. */
  readonly backS: number;
  readonly lessS: number;
  /** Where it bounces, metres further from the wall. */
  readonly bounceShiftM: number | null;
  /** How high it is where the player stood, metres; null when it passes before the bounce. */
  readonly heightM: number | null;
}

/** Harder and softer hits shown side by side. */
export const paceFactors = [0.9, 1.1, 1.25, 1.5] as const;

/** Faster out, faster back: the same mark on the wall, hit at so many times the speed. Null where it cannot be met. */
export function paceChange(setup: WallSetup, before: WallSolution, factor: number): PaceChange | null {
  const trials = new Trials(setup, numbersOf(setup));
  const speedMps = before.speedMps * factor;
  const elevation = flatterAngle(trials, setup, speedMps, before.elevation);
  if (elevation === null) return null;
  const after = trials.follow(speedMps, elevation);
  if (after.came === 'not') return null;
  return {
    factor,
    offWallMps: after.offWallMps,
    offWallChange: after.offWallMps / before.offWallMps - 1,
    backS: after.backS,
    lessS: before.backS - after.backS,
    bounceShiftM: after.bounceM === null || before.bounceM === null ? null : after.bounceM - before.bounceM,
    heightM: after.came === 'in the air' && setup.shot !== 'volley' ? null : after.heightM,
  };
}

/** The flatter of the two angles at which so hard a hit meets the mark. */
function flatterAngle(trials: Trials, setup: WallSetup, speedMps: number, near: number): number | null {
  const miss = (angle: number) => trials.wallHeight(speedMps, angle) - setup.targetM;
  if (setup.shot === 'floor first') return Number.isNaN(miss(near)) ? null : near;
  // Below the angle that carries highest, more angle is more height.
  const steepest = Math.atan2(speedMps * speedMps, g * setup.distanceM);
  let [low, high] = [-1.2, steepest];
  if (!(miss(high) > 0)) return null;
  for (let round = 0; round < 50; round++) {
    const middle = (low + high) / 2;
    if (miss(middle) > 0) high = middle;
    else low = middle;
  }
  return high;
}
