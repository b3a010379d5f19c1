import type { Drill } from '../../base/types';
import { growingHops, lineHops, mirror, squareShuffle } from './hops';
import { shoulderAndSide, wristAndForearm } from './series';

export const loosen: readonly Drill[] = [
  shoulderAndSide,
  wristAndForearm,
  lineHops,
  growingHops,
  squareShuffle,
  mirror,
];
