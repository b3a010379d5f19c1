import { feet } from './drills/feet';
import { games } from './drills/games';
import { hands } from './drills/hands';
import { loosen } from './drills/loosen';
import { serveBase } from './drills/serve-base';
import { stroke } from './drills/stroke';
import { touch } from './drills/touch';
import { wall } from './drills/wall';
import type { Drill, Step } from './types';

/** Every drill, in the order of the families. */
export const catalogue: readonly Drill[] = [
  ...loosen,
  ...feet,
  ...hands,
  ...touch,
  ...serveBase,
  ...wall,
  ...stroke,
  ...games,
];

const drillsById = new Map(catalogue.map((drill) => [drill.id, drill]));

export function findDrill(id: string): Drill | undefined {
  return drillsById.get(id);
}

export function findStep(drillId: string, stepId: string): Step | undefined {
  return findDrill(drillId)?.steps.find((step) => step.id === stepId);
}

/** The step one up (+1) or back (-1) from a step; the step itself at the end of the ladder. */
export function neighbourStep(drill: Drill, stepId: string, by: 1 | -1): Step {
  const at = drill.steps.findIndex((step) => step.id === stepId);
  const step = drill.steps[Math.min(drill.steps.length - 1, Math.max(0, at + by))];
  if (!step) throw new RangeError(`Drill ${drill.id} has no steps.`);
  return step;
}
