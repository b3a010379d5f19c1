import { amountOf, withAmount } from '@/core/dose/amount';
import { breathless, scaled, scaledAmount } from '@/core/dose/scale';
import type { CircuitPart } from '@/core/plan/circuit/circuit';
import { changesUnder, type Conditions } from '@/core/counting/conditions';
import { ageBandOf } from '@/drills/base/age-band';
import type { Book } from '@/drills/book';
import { isEased } from '@/drills/base/changes';
import { sameShape, workOf, type PlanBlock, type PlanPlayer, type Work } from '../base/plan';
import type { Drill, Step } from '@/drills/base/types';

/** A player's step and dose as they are on court: the plan, with what was adjusted since. */
export interface CourtWork extends Work {
  /** The changes that act. */
  readonly changes: readonly string[];
}

/**
 * What a player does under some conditions. A step moved to on court is done at the amount of the player's age; a step
 * that is no longer on the ladder is passed over.
 * @param share how much of the block's dose is left when it was shortened to end on time
 */
export function workOnCourt(
  book: Book,
  block: PlanBlock,
  player: PlanPlayer,
  conditions: Conditions,
  share = 1,
): CourtWork | undefined {
  const changes = changesUnder(block.changes, conditions);
  const stood = steppedTo(book, block, player, conditions.stepId);
  const planned = workOf(
    book,
    stood
      ? { ...block, changes, dose: stood.dose, stepId: stood.step.id, own: noOwn }
      : { ...block, changes },
    player.id,
  );
  if (!planned) return undefined;
  const shared = share < 1 ? scaled(planned.dose, share) : planned.dose;
  return { ...planned, changes, dose: conditions.breathless ? breathless(shared) : shared };
}

/** A block that was shortened to end on time: everybody's own amount with it, as {@link workOnCourt} has it. */
export function shortened(block: PlanBlock, share: number): PlanBlock {
  if (share >= 1) return block;
  const own = block.own.map((one) =>
    one.amount === null ? one : { ...one, amount: scaledAmount(block.dose, one.amount, share) },
  );
  const { circuit } = block;
  const shorter = circuit ? { ...circuit, stationS: visitS(circuit, share) } : circuit;
  return { ...block, dose: scaled(block.dose, share), own, circuit: shorter };
}

/** Seconds of a visit to a station when its circuit was shortened. */
export const visitS = ({ stationS }: CircuitPart, share: number): number => Math.max(1, stationS * share);

const noOwn: PlanBlock['own'] = [];

function steppedTo(
  book: Book,
  block: PlanBlock,
  player: PlanPlayer,
  stepId: string | null,
): { step: Step; dose: PlanBlock['dose'] } | undefined {
  const planned = stepId === null ? undefined : workOf(book, block, player.id);
  const step = planned?.drill.steps.find((one) => one.id === stepId);
  if (!planned || !step || step.id === planned.step.id || !sameShape(step, planned.step)) return undefined;
  return { step, dose: withAmount(block.dose, amountOf(step.doses[ageBandOf(player.age)])) };
}

/**
 * The step a player can be moved to in the middle of a block: the next one up or back that is counted and dosed in the
 * same way, because everybody in a block shares its clock. Undefined when there is none.
 */
export function stepBeside(drill: Drill, step: Step, way: 'up' | 'back'): Step | undefined {
  const at = drill.steps.findIndex((one) => one.id === step.id);
  const fits = (one: Step) => sameShape(one, step);
  return way === 'up' ? drill.steps.slice(at + 1).find(fits) : drill.steps.slice(0, at).findLast(fits);
}

/** Is an attempt made with the other hand? */
export const otherHandOnCourt = (planned: readonly string[], conditions: Conditions): boolean =>
  changesUnder(planned, conditions).includes('other hand');

/** Does an attempt stand for its step? Not under an easing, and not with a softer ball than the player's own. */
export const easedOnCourt = (planned: readonly string[], conditions: Conditions): boolean =>
  isEased(changesUnder(planned, conditions)) || conditions.softerBall;
