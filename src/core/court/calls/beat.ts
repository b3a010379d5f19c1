import { g } from '@/core/base/gravity';

/** One beat of a metronome. */
export interface Beat {
  readonly atS: number;
  /** True for the first of every group: the side, or the first of the count. */
  readonly accent: boolean;
}

/** Slowest and fastest beat, a minute: a held stretch, and quick feet. Ours. */
export const beatLimits = { min: 20, max: 260 } as const;

/**
 * The beats of a stretch: each at its own multiple of the period, so that no rounding adds up.
 * @param tempoPerMin beats a minute, within {@link beatLimits}
 * @param fromS where the stretch starts
 * @param forS how long it lasts, >= 0; a beat on its very end is left out
 * @param accentEvery beats from accent to accent, >= 1; 0 for none
 */
export function beats(tempoPerMin: number, fromS: number, forS: number, accentEvery = 0): Beat[] {
  const { min, max } = beatLimits;
  if (!(tempoPerMin >= min && tempoPerMin <= max))
    throw new RangeError(`A beat is ${min} to ${max} a minute, not ${tempoPerMin}.`);
  const count = Math.ceil((forS * tempoPerMin) / 60 - 1e-9);
  return Array.from({ length: Math.max(0, count) }, (_, index) => ({
    atS: fromS + (index * 60) / tempoPerMin,
    accent: accentEvery > 0 && index % accentEvery === 0,
  }));
}

/** Seconds from the hand to the top of a toss or lob of height h, metres: t = √(2h/g), without drag. */
export const apexS = (heightM: number): number => Math.sqrt((2 * heightM) / g);
