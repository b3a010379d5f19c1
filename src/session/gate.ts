import { growingSum, routineStretches, type Dose } from '@/core/dose/dose';
import type { Gate, Judged } from '@/core/skill/next-target';
import type { Drill, Step } from '@/drills/types';

/**
 * A step's gate under the dose that was given: the gate is written for the step's largest dose,
 * and nobody can pass a mark that their dose does not reach. Reps and holds are cut to the dose;
 * points, grades and timed counts shrink or grow in proportion (at least 1). A row, a lap time and a spread stay as
 * they are.
 */
export function gateFor(step: Step, dose: Dose): Gate {
  const written = step.doses['13-16'];
  const { result, days } = step.gate;
  const inProportion = (given: number, full: number) => ({
    days,
    result: Math.max(1, Math.round((result * given) / full)),
  });
  if (step.measure === 'steadiness') return step.gate;
  switch (dose.kind) {
    case 'reps':
      if (step.measure === 'grade')
        return written.kind === 'reps' ? inProportion(dose.reps, written.reps) : step.gate;
      return { days, result: Math.min(result, dose.reps) };
    case 'hold':
    case 'growing':
    case 'routine':
      return { days, result: Math.min(result, mostOf(step, dose)) };
    case 'shots':
      return written.kind === 'shots' ? inProportion(dose.shots, written.shots) : step.gate;
    case 'timed':
      return written.kind === 'timed' ? inProportion(dose.workS, written.workS) : step.gate;
    case 'row':
    case 'course':
      return step.gate;
  }
}

/** The best result one attempt at a dose can have, where the dose sets an end. */
function mostOf(step: Step, dose: Dose): number {
  switch (dose.kind) {
    case 'reps':
      return dose.reps * (step.zones?.[0]?.points ?? 1);
    case 'hold':
      return dose.holdS;
    case 'growing':
      return growingSum(dose.to);
    case 'routine':
      return routineStretches(dose).length;
    case 'shots':
      return dose.shots * (step.zones?.[0]?.points ?? 1);
    default:
      return Infinity;
  }
}

/** What a player on this step is judged on, with what they have to show. */
export function judgedOn(
  drill: Drill,
  step: Step,
  dose: Dose,
  shown: Pick<Judged, 'best' | 'reachedDays'> = { best: null, reachedDays: 0 },
): Judged {
  const top = drill.steps.at(-1)?.id === step.id;
  const { best, reachedDays } = shown;
  return {
    measure: step.measure,
    gate: gateFor(step, dose),
    top,
    most: mostOf(step, dose),
    best,
    reachedDays,
  };
}
