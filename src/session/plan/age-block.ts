import { amountOf } from '@/core/dose/amount';
import type { Dose } from '@/core/dose/dose';
import type { Book } from '@/drills/book';
import { ageBandOf } from '@/drills/base/age-band';
import type { PlanBlock, PlanPlayer } from '../base/plan';

/** A dose as one text, whatever order its fields came in. */
const fieldsOf = (dose: Dose): string =>
  JSON.stringify(Object.entries(dose).sort(([a], [b]) => (a < b ? -1 : 1)));

/**
 * A planned block on a day in another year. What was usual for the ages of its players becomes what is usual for their
 * ages then, as their pass marks do; a dose the coach chose stays.
 * @param players everybody who comes, at the ages the block was planned for
 * @param years later, or earlier where it is negative
 */
export function agedBlock(
  book: Book,
  block: PlanBlock,
  players: readonly PlanPlayer[],
  years: number,
): PlanBlock {
  const step = book.step(block.drillId, block.stepId);
  if (years === 0 || !step || players.length === 0) return block;
  const youngest = Math.min(...players.map(({ age }) => age));
  const usual = fieldsOf(step.doses[ageBandOf(youngest)]) === fieldsOf(block.dose);
  return {
    ...block,
    dose: usual ? step.doses[ageBandOf(youngest + years)] : block.dose,
    own: block.own.map((own) => {
      const age = players.find(({ id }) => id === own.playerId)?.age;
      const ownStep = book.step(block.drillId, own.stepId);
      if (age === undefined || !ownStep) return own;
      const isUsual = amountOf(ownStep.doses[ageBandOf(age)]) === own.amount;
      return isUsual ? { ...own, amount: amountOf(ownStep.doses[ageBandOf(age + years)]) } : own;
    }),
  };
}
