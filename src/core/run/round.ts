import type { Dose } from '../dose/dose';
import { positionAt, roundsOf, triesARound, type Phase, type Position } from './phases';

/** A tap this many seconds after a time box still belongs to it: a thumb is later than the eye. Ours. */
export const lateTapS = 0.8;

/**
 * The round a mark belongs to, from 1: the set, line or round of a course (by how many tries are done), the box for a
 * timed count (by the clock), else 1. Null when a timed count is not running: such a tap counts nothing.
 * @param passedS running seconds of the block
 * @param tries touches and drops of the player in this block so far
 */
export function roundNow(
  dose: Dose,
  phases: readonly Phase[],
  passedS: number,
  tries: number,
): number | null {
  switch (dose.kind) {
    case 'reps':
    case 'course':
    case 'growing':
      return Math.min(roundsOf(dose), Math.floor(tries / triesARound(dose)!) + 1);
    case 'timed':
      return boxAt(positionAt(phases, passedS)) ?? boxAt(positionAt(phases, Math.max(0, passedS - lateTapS)));
    case 'hold':
      return positionAt(phases, passedS).phase.round;
    case 'row':
    case 'shots':
    case 'routine':
      return 1;
  }
}

const boxAt = ({ phase, done }: Position): number | null =>
  phase.kind === 'work' && !done ? phase.round : null;
