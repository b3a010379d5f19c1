import { bySeverity, type CareInput, type Rule, type Warning } from './care';
import { youngerThanUsual } from './rules/age';
import { loadCaps } from './rules/caps';
import { careNotes } from './rules/care-note';
import { limitedSteps } from './rules/limited-steps';
import { clearCeiling, clearFloor, nothingBreakable, ownLanes, wallMayBeHit } from './rules/room';
import { bothSides, drinkBreaks, heat, totalMinutes } from './rules/time';
import { warmUpFirst } from './rules/warm-up';

export const rules: readonly Rule[] = [
  limitedSteps,
  warmUpFirst,
  careNotes,
  loadCaps,
  clearCeiling,
  wallMayBeHit,
  heat,
  totalMinutes,
  clearFloor,
  drinkBreaks,
  ownLanes,
  nothingBreakable,
  youngerThanUsual,
  bothSides,
];

/** Every warning of every rule, the gravest first. */
export function careFor(input: CareInput): Warning[] {
  return bySeverity(rules.flatMap((rule) => rule(input)));
}
