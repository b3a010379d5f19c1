import { feet } from './families/feet';
import { games } from './families/games';
import { hands } from './families/hands';
import { loosen } from './families/loosen';
import { serveBase } from './families/serve-base';
import { stroke } from './families/stroke';
import { touch } from './families/touch';
import { wall } from './families/wall';
import type { Drill } from './base/types';

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
