import type { Drill } from '../../base/types';
import { shadowServe } from './shadow-serve';
import { spinOnTheFloor } from './spin';
import { throwingServe, tossToHeight } from './toss-and-throw';

export const serveBase: readonly Drill[] = [tossToHeight, throwingServe, shadowServe, spinOnTheFloor];
