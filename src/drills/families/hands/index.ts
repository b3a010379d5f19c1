import type { Drill } from '../../base/types';
import { bouncePassCatch, dropAndCatch, juggling, tossAndCatch, wallThrowAndCatch } from './catching';
import { clapAndCatch } from './claps';
import { balloonKeepUp, colourCall } from './play';

export const hands: readonly Drill[] = [
  tossAndCatch,
  dropAndCatch,
  clapAndCatch,
  wallThrowAndCatch,
  bouncePassCatch,
  juggling,
  balloonKeepUp,
  colourCall,
];
