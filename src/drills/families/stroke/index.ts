import type { Drill } from '../../base/types';
import { machineBall, manyBall } from './many-ball';
import { shadowBackhand, shadowForehand } from './shadow';
import {
  tableTennisBackhand,
  tableTennisForehandCounter,
  tableTennisLoop,
  tableTennisPush,
} from './table-tennis-strokes';
import { fastHand, fedStrokes, offTheMarkerHit, receiveAndSend } from './with-a-ball';

export const stroke: readonly Drill[] = [
  shadowForehand,
  shadowBackhand,
  tableTennisForehandCounter,
  tableTennisLoop,
  tableTennisPush,
  tableTennisBackhand,
  offTheMarkerHit,
  receiveAndSend,
  fastHand,
  fedStrokes,
  manyBall,
  machineBall,
];
