import type { AgeBand } from './types';

/** The age band of an age in years; ages outside 4 to 16 take the nearest band. */
export function ageBandOf(age: number): AgeBand {
  if (age <= 6) return '4-6';
  if (age <= 9) return '7-9';
  if (age <= 12) return '10-12';
  return '13-16';
}
