import type { Drill } from '../../base/types';
import { hittingDownRally, serveAtTheWall } from './down-and-serve';
import { wallGroundstrokes } from './groundstrokes';
import { handWallRally, wallVolleys } from './hand-and-volley';
import { racketWallRally, tableAndWall } from './rally';

export const wall: readonly Drill[] = [
  handWallRally,
  racketWallRally,
  wallVolleys,
  hittingDownRally,
  wallGroundstrokes,
  serveAtTheWall,
  tableAndWall,
];
