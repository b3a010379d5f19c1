import type { Drill } from '../../base/types';
import { palmUpBounce, turnOverBounce } from './bounces';
import { carry, gateRoll, groundSteer, rimRoll } from './first-touch';
import { frameBounce, groundDribble, knuckleUpBounce, trickBounces } from './more-bounces';
import { touchRoutine } from './routines';
import { bumpWithABounce, flipToATarget, softCatch } from './soft-and-high';

export const touch: readonly Drill[] = [
  carry,
  rimRoll,
  palmUpBounce,
  knuckleUpBounce,
  turnOverBounce,
  groundDribble,
  frameBounce,
  bumpWithABounce,
  groundSteer,
  gateRoll,
  trickBounces,
  softCatch,
  flipToATarget,
  touchRoutine,
];
