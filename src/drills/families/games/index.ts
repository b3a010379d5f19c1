import type { Drill } from '../../base/types';
import { mostPasses } from './gates';
import { longestAlternatingRally, mostLaps, quietestTen, twoSquareSingles } from './matches';
import { ringTarget, squareTarget } from './targets';

export const games: readonly Drill[] = [
  ringTarget,
  squareTarget,
  twoSquareSingles,
  longestAlternatingRally,
  mostPasses,
  mostLaps,
  quietestTen,
];
