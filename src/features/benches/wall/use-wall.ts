'use client';

import { useDeferredValue, useMemo } from 'react';
import { nearestThatWork, type WallMend } from '@/core/ballistics/wall/advise';
import { forgiveness } from '@/core/ballistics/wall/forgive';
import { paceChange, paceFactors, type PaceChange } from '@/core/ballistics/wall/pace-change';
import type { WallSetup } from '@/core/ballistics/wall/setup';
import { solveWall, wallPath, type WallAnswer } from '@/core/ballistics/wall/solve';
import { wallSpread, type WallSpread } from '@/core/ballistics/wall/spread';
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

/** Everything the wall bench shows of a set-up, recomputed with every turn of a dial. */
export function useWall(setup: WallSetup, child: BenchChild): WallWork {
  const answer = useMemo(() => solveWall(setup), [setup]);
  const rally = useMemo<DrawnRally | null>(() => {
    if (!answer.ok) return null;
    const { solution } = answer;
    return {
      setup,
      solution,
      path: wallPath(setup, solution),
      forgives: forgiveness(setup, solution, child.reach),
      bodyM: child.heightM,
    };
  }, [setup, answer, child]);
  // Dials and the first view stay quick: what takes longer follows them.
  const later = useDeferredValue<WallSetup | null>(setup, null);
  const slow = useMemo(() => {
    if (!later) return { of: null, mends: [], spread: null, paces: [] };
    const solved = solveWall(later);
    if (!solved.ok) return { of: later, mends: nearestThatWork(later), spread: null, paces: [] };
    const { solution } = solved;
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
