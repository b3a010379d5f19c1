import type { Dose } from '@/core/dose/dose';

/** How long one go of a dose against the clock lasts, seconds; null where it has no clock. */
export function boxSeconds(dose: Dose): number | null {
  if (dose.kind === 'timed') return dose.workS;
  if (dose.kind === 'routine') return dose.parts.reduce((sum, { partS, sides }) => sum + partS * sides, 0);
  return null;
}
