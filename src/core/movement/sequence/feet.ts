import type { Point } from '../../geometry/points';
import type { Gap } from './feasible';

/** Where the feet are, and what they do there. */
export interface FeetAt {
  readonly at: Point;
  /** The stroke that is played or run to, from 0. */
  readonly shot: number;
  readonly doing: 'waits' | 'runs' | 'swings';
}

/**
 * The feet at a moment of a looped sequence: the end of the swing before, the way, what time is left over as waiting at the
 * place, the swing, its contact at the end of the gap.
 * @param gaps as {@link import('./feasible').gapsOf} gives them
 * @param everyS seconds a stroke has
 * @param nowS seconds since the first stroke was due
 */
export function feetAt(gaps: readonly Gap[], everyS: number, nowS: number): FeetAt {
  const n = Math.floor(Math.max(0, nowS) / everyS);
  const gap = gaps[n % gaps.length]!;
  const shot = gap.to;
  const intoS = Math.max(0, nowS) - n * everyS;
  const first = gap.stretches[0]!.from;
  const last = gap.stretches.at(-1)!.to;
  // Faster than can be played, all of it is squeezed: the drawing shows what was asked for.
  const squeeze = Math.min(1, everyS / gap.needsS);
  if (intoS < gap.finishS * squeeze) return { at: first, shot, doing: 'swings' };
  if (intoS >= everyS - gap.setS * squeeze) return { at: last, shot, doing: 'swings' };
  const runS = gap.stretches.reduce((sum, { seconds }) => sum + seconds, 0) * squeeze;
  let leftS = intoS - gap.finishS * squeeze;
  if (runS <= 0 || leftS >= runS) return { at: last, shot, doing: 'waits' };
  for (const { from, to, seconds } of gap.stretches) {
    const forS = seconds * squeeze;
    if (leftS < forS) {
      const share = leftS / forS;
      return {
        at: { x: from.x + share * (to.x - from.x), y: from.y + share * (to.y - from.y) },
        shot,
        doing: 'runs',
      };
    }
    leftS -= forS;
  }
  return { at: last, shot, doing: 'waits' };
}
