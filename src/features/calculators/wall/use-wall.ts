'use client';

import { useDeferredValue, useMemo } from 'react';
import { nearestThatWork, type WallMend } from '@/core/ballistics/wall/advise';
import { forgiveness } from '@/core/ballistics/wall/forgive';
import { paceChange, paceFactors, type PaceChange } from '@/core/ballistics/wall/pace-change';
import type { WallSetup } from '@/core/ballistics/wall/setup';
import { solveWall, wallPath, type WallAnswer } from '@/core/ballistics/wall/solve';
import { wallSpread, type WallSpread } from '@/core/ballistics/wall/spread';
import { remembering } from '@/core/base/remember';
import type { BenchChild } from '../child';
import type { DrawnRally } from './wall-drawing';

export interface WallWork {
  readonly answer: WallAnswer;
  readonly rally: DrawnRally | null;
  readonly mends: readonly WallMend[];
  /** Worked out a moment later: it takes fifteen solves. Null until then. */
  readonly spread: WallSpread | null;
  readonly paces: readonly PaceChange[];
}

// The first view is drawn on the server too, often of the same set-up.
const solved = remembering((setup: WallSetup) => solveWall(setup));
const drawn = remembering((setup: WallSetup, child: Pick<BenchChild, 'reach' | 'heightM'>) => {
  const answer = solved(setup);
  if (!answer.ok) return null;
  const { solution } = answer;
  return {
    setup,
    solution,
    path: wallPath(setup, solution),
    forgives: forgiveness(setup, solution, child.reach),
    bodyM: child.heightM,
  };
});

/** Everything the wall bench shows of a set-up, recomputed with every turn of a dial. */
export function useWall(setup: WallSetup, child: BenchChild): WallWork {
  const { reach, heightM } = child;
  const answer = useMemo(() => solved(setup), [setup]);
  const rally = useMemo<DrawnRally | null>(() => drawn(setup, { reach, heightM }), [setup, reach, heightM]);
  // Dials and the first view stay quick: what takes longer follows them.
  const later = useDeferredValue<WallSetup | null>(setup, null);
  const slow = useMemo(() => {
    if (!later) return { of: null, mends: [], spread: null, paces: [] };
    const settled = solved(later);
    if (!settled.ok) return { of: later, mends: nearestThatWork(later), spread: null, paces: [] };
    const { solution } = settled;
    return {
      of: later,
      mends: [],
      spread: wallSpread(later, solution),
      paces: paceFactors.flatMap((factor) => paceChange(later, solution, factor) ?? []),
    };
  }, [later]);
  const fresh = slow.of === setup;
  return {
    answer,
    rally,
    mends: fresh ? slow.mends : [],
    spread: fresh ? slow.spread : null,
    paces: fresh ? slow.paces : [],
  };
}
