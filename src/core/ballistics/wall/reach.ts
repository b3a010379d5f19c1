import { bodyShare } from '../../players/body';
import type { Shot } from './setup';

/** Where a player can still play a ball, round the place it should come to. Metres. */
export interface Reach {
  readonly lowM: number;
  readonly highM: number;
  /** Steps towards the wall and away from it. */
  readonly forwardM: number;
  readonly backM: number;
  /** To either side: arm, racket, and a step. */
  readonly sideM: number;
}

/** Lowest ball as a share of the height: the shin. Ours. */
const lowShare = 0.13;
/** Highest ball as a share of the height: the top of the head. Ours. */
const highShare = 1;

/**
 * A child's reach without a run: one and a half strides in, one back, a side step and the length of the arm and racket
 * sideways. The numbers of steps are ours.
 */
export function reachOf(body: {
  readonly heightM: number;
  readonly strideM: number;
  readonly sideStepM: number;
  readonly contactM: number;
}): Reach {
  return {
    lowM: lowShare * body.heightM,
    highM: highShare * body.heightM,
    forwardM: 1.5 * body.strideM,
    backM: body.strideM,
    sideM: body.sideStepM + body.contactM,
  };
}

/** Where a ball is met in comfort: half-way between knee and hip. Common practice of the trade. */
const comfortShare = (bodyShare.knee + bodyShare.hip) / 2;

/** Height a ball is met at in each shot, as a share of the body's: comfort, chest, overhead. Ours but for the comfort. */
const handShares = {
  'one bounce': comfortShare,
  volley: 0.75,
  down: comfortShare,
  'floor first': 1.25,
} as const;
/** Over a table: a hand's breadth over its edge, metres. Ours. */
const overTableM = 0.95;

/** Height of the hand in a shot, metres, to a centimetre. */
export function handHeightM(shot: Shot, bodyM: number): number {
  return shot === 'table' ? overTableM : Math.round(100 * handShares[shot] * bodyM) / 100;
}

/** Height of a hit from overhead, metres. */
export const overheadM = (bodyM: number): number => handHeightM('floor first', bodyM);
