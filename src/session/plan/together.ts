import { fixedTries } from '@/core/dose/facts';
import { doseTime } from '@/core/dose/time';
import type { Dose } from '@/core/dose/dose';
import type { Drill, Step } from '@/drills/base/types';

/**
 * Is a step run by the clock and done by everybody together, with nothing to count? Stretches and routines that are not counted are, and so
 * is the warming up that is done so many times. Common practice: nobody counts the misses of a stretch.
 */
export function doneTogether({ family }: Pick<Drill, 'family'>, step: Step): boolean {
  const dose = step.doses['13-16'];
  const { kind } = dose;
  return (
    step.stretch === true ||
    (dose.kind === 'routine' && !dose.counted) ||
    (family === 'loosen' && (kind === 'reps' || kind === 'hold'))
  );
}

/** What a dose asks of the body when all of it is done, tries. */
export function triesOf(step: Step, dose: Dose): number {
  const fixed = fixedTries(dose);
  if (fixed !== null) return fixed;
  const pace = { perTouchS: step.perTouchS.value, dropCostS: 0, successRate: 1 };
  return Math.max(1, Math.round(doseTime(dose, { ...pace, setUpS: 0, showS: 0, changeoverS: 0 }).tries));
}
