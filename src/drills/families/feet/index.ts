import type { Drill } from '../../types';
import { ballsOfFeetBalance, ladderWithASwing, shadowServe, triangleRun } from './courses';
import { figureOfEight, markerTaps, markerTouches, starOfFour } from './markers';
import { retreatForTheHighBall, shortBallApproach, whenToMoveIn } from './reading-the-ball';
import { spacingClosed, spacingOpen } from './spacing';
import { pushAndSideStep, shadowPatterns, threeSideSteps } from './table-tennis';

export const feet: readonly Drill[] = [
  ladderWithASwing,
  markerTouches,
  starOfFour,
  markerTaps,
  figureOfEight,
  triangleRun,
  ballsOfFeetBalance,
  pushAndSideStep,
  threeSideSteps,
  spacingClosed,
  spacingOpen,
  retreatForTheHighBall,
  shortBallApproach,
  whenToMoveIn,
  shadowPatterns,
  shadowServe,
];
