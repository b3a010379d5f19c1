import type { AgeBand } from './types';

/** The age band of an age in years; ages outside 4 to 16 take the nearest band. */
export function ageBandOf(age: number): AgeBand {
  if (age <= 6) return '4-6';
  if (age <= 9) return '7-9';
  if (age <= 12) return '10-12';
  return '13-16';
}

/** The age that stands for a band where something is worked out for all of it: its middle, in whole years. */
export const ageOfBand: Readonly<Record<AgeBand, number>> = { '4-6': 5, '7-9': 8, '10-12': 11, '13-16': 14 };
