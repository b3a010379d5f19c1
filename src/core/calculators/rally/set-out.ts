import type { BallKind } from '@/core/ballistics/balls';
import type { FloorKind, WallKind } from '@/core/ballistics/surfaces';
import { topSpeedFor } from '@/core/ballistics/wall/advise';
import { handHeightM, overheadM, type Reach } from '@/core/ballistics/wall/reach';
import type { Shot, WallSetup } from '@/core/ballistics/wall/setup';
import { solveWall } from '@/core/ballistics/wall/solve';
import { remembering } from '@/core/base/remember';
import type { RallySetting } from './simulate';

/** A rally as it was or will be set out. Metres. */
export interface SetOut {
  readonly shot: Shot;
  readonly distanceM: number;
  readonly markM: number;
  readonly ball: BallKind;
  readonly floor: FloorKind;
  readonly wall: WallKind;
  readonly ceilingM: number | null;
  /** Topspin of the hits, turns a second; none where it is left out. */
  readonly spinRps?: number;
}

/** Who plays it. */
export interface Rallier {
  readonly age: number;
  readonly sport: 'tennis' | 'table tennis';
  readonly heightM: number;
  readonly reach: Reach;
}

/** How far a mark is lifted, in tenths of a metre, before a set-up is given up. */
const mostLifts = 20;

/**
 * The set-up a child plays: the ball met in comfort. Where the mark is too low for this ball to come up to the hand, it
 * is lifted until it does, as a child does who aims higher. Null when no mark works.
 */
export const setOutFor = remembering(({ markM, ...out }: SetOut, child: Rallier): RallySetting | null => {
  const base: WallSetup = {
    ...out,
    contactM: handHeightM(out.shot, child.heightM),
    // What is hit down comes from overhead, however low it is met.
    ...(out.shot === 'down' && { hitM: overheadM(child.heightM) }),
    targetM: markM,
    meet: 'falling',
    // A logged rally was hit as hard as it had to be.
    topSpeedMps: 1.5 * topSpeedFor(child.age, child.sport),
    wallTopM: out.ceilingM ?? 6,
    tableGapM: 0.1,
    tableLengthM: Math.max(0.7, Math.min(2.74, out.distanceM - 0.2)),
  };
  for (let lift = 0; lift <= mostLifts; lift++) {
    const setup = { ...base, targetM: Math.round(100 * (markM + 0.1 * lift)) / 100 };
    if (solveWall(setup).ok) return { setup, reach: reachFor(child.reach, setup) };
  }
  return null;
});

/** A smash is met overhead: the reach goes up with it. Over a table nothing below its edge is played. */
function reachFor(reach: Reach, { shot, contactM }: WallSetup): Reach {
  if (shot === 'floor first') return { ...reach, lowM: 0.6 * contactM, highM: 1.25 * contactM };
  if (shot === 'table') return { ...reach, lowM: 0.8, highM: Math.max(reach.highM, 1.3) };
  return reach;
}
