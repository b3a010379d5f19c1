import { feet } from './drills/feet';
import { games } from './drills/games';
import { hands } from './drills/hands';
import { loosen } from './drills/loosen';
import { serveBase } from './drills/serve-base';
import { stroke } from './drills/stroke';
import { touch } from './drills/touch';
import { wall } from './drills/wall';
import type { Drill } from './types';

/** Every drill, in the order of the families. */
export const catalogue: readonly Drill[] = [
  ...loosen,
  ...feet,
  ...hands,
  ...touch,
  ...serveBase,
  ...wall,
  ...stroke,
  ...games,
];
