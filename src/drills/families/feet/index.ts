import type { Drill } from '../../base/types';
import { ballsOfFeetBalance, ladderWithASwing, triangleRun } from './courses';
import { figureOfEight, markerTaps, markerTouches, starOfFour } from './markers';
import { retreatForTheHighBall, shortBallApproach, whenToMoveIn } from './reading-the-ball';
import { markTheSpot, sayWhereItLands } from './prediction';
import { sockTaps, spacingRound } from './routines';
import { spacingClosed, spacingOpen } from './spacing';
import { courtPatterns } from './court-patterns';
import { pushAndSideStep, shadowPatterns, threeSideSteps } from './table-tennis';

export const feet: readonly Drill[] = [
  ladderWithASwing,
  markerTouches,
  starOfFour,
  markerTaps,
  sockTaps,
  figureOfEight,
  triangleRun,
  ballsOfFeetBalance,
  pushAndSideStep,
  threeSideSteps,
  spacingClosed,
  spacingOpen,
  spacingRound,
  sayWhereItLands,
  markTheSpot,
  retreatForTheHighBall,
  shortBallApproach,
  whenToMoveIn,
  shadowPatterns,
  courtPatterns,
];
