import type { Verdict } from '@/core/skill/next-target';
import type { Drill, Step } from './types';

/** The step one up (+1) or back (-1) from a step; the step itself at the end of the ladder. */
export function neighbourStep(drill: Drill, stepId: string, by: 1 | -1): Step {
  const at = drill.steps.findIndex((step) => step.id === stepId);
  const step = drill.steps[Math.min(drill.steps.length - 1, Math.max(0, at + by))];
  if (!step) throw new RangeError(`Drill ${drill.id} has no steps.`);
  return step;
}

/** The step a verdict leads to. */
export function stepAfter(drill: Drill, stepId: string, verdict: Verdict): Step {
  const step = drill.steps.find((one) => one.id === stepId)!;
  return verdict === 'hold' ? step : neighbourStep(drill, stepId, verdict === 'up' ? 1 : -1);
}
