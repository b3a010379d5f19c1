/** How the tempo goes through a round: the same all through, or slow first and then fast. */
export const tempoWays = ['even', 'slow, then fast'] as const;
export type TempoWay = (typeof tempoWays)[number];

/** Where “slow, then fast” begins: at so much of the tempo it ends with. Ours. */
export const slowShare = 0.6;

/** Strokes a minute that can be called. Ours: slower is no rhythm, faster cannot be spoken. */
export const tempoLimits = { min: 6, max: 90 } as const;

/** One stroke of a looped sequence. */
export interface LoopedStroke {
  /** When it is called, seconds from the start of the round. */
  readonly atS: number;
  /** Which shot of the sequence, from 0. */
  readonly shot: number;
  /** Seconds until the next one is due. */
  readonly forS: number;
}

/**
 * A sequence looped through a round: when each stroke is called. A stroke is called only when there is time to play it.
 * @param shots how many the sequence has, >= 1
 * @param perMin strokes a minute, the fastest of the round
 * @param forS seconds of the round
 */
export function loopOf(shots: number, perMin: number, forS: number, way: TempoWay = 'even'): LoopedStroke[] {
  const fastS = 60 / perMin;
  const slowS = fastS / slowShare;
  const strokes: LoopedStroke[] = [];
  for (let atS = 0, n = 0; ; n++) {
    const everyS =
      way === 'even' ? fastS : Math.max(fastS, slowS + (fastS - slowS) * Math.min(1, atS / (0.8 * forS)));
    // Each at its own multiple of the period where the tempo is even, so that no rounding adds up.
    const nextS = way === 'even' ? (n + 1) * fastS : atS + everyS;
    if (nextS > forS + 1e-9) return strokes;
    strokes.push({ atS, shot: n % shots, forS: nextS - atS });
    atS = nextS;
  }
}

/** Whole passes in so many strokes, and the strokes of the one that was begun. */
export const passesIn = (strokes: number, shots: number): { passes: number; more: number } => ({
  passes: Math.floor(strokes / shots),
  more: strokes % shots,
});

/** A round is usually about so long, seconds: what a stroke takes is reckoned over it. Ours. */
const usualRoundS = 40;

/** Seconds from stroke to stroke over rounds of different tempos, to a hundredth. */
export function secondsAStroke(tempos: readonly number[], way: TempoWay): number {
  if (way === 'even') {
    const perMin = tempos.reduce((sum, tempo) => sum + tempo, 0) / tempos.length;
    return Math.round(6000 / perMin) / 100;
  }
  const strokes = tempos.reduce((sum, perMin) => sum + loopOf(1, perMin, usualRoundS, way).length, 0);
  return Math.round((100 * usualRoundS * tempos.length) / Math.max(1, strokes)) / 100;
}
