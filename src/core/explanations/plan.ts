import type { Explanation } from '../explain';
import type { DrawnTime, PlanTime } from '../planning/plan-time';
import { inMinutes } from '../words';
import { partsOfASecond, partsOfATouch } from './rounding';

/** Opens the length of a plan against its booking. */
export function explainPlanTotal(plan: DrawnTime, titles: readonly string[]): Explanation {
  const over = plan.overrunS > 0;
  return {
    title: over ? 'Over the booking' : 'Room left in the booking',
    value: inMinutes(Math.abs(plan.overrunS)),
    formula: over ? 'All blocks together − booked time.' : 'Booked time − all blocks together.',
    inputs: [
      { label: 'Booked', value: inMinutes(plan.bookedS), from: 'the session' },
      ...plan.blocks.map((block, index) => ({
        label: `${index + 1}. ${titles[index] ?? ''}`,
        value: inMinutes(block.totalS),
        from: `from ${inMinutes(block.startS)}`,
      })),
      ...partsOfASecond(
        Math.abs(plan.overrunS),
        over
          ? [...plan.blocks.map((block) => block.totalS), -plan.bookedS]
          : [plan.bookedS, ...plan.blocks.map((block) => -block.totalS)],
      ),
    ],
    source: 'Adding up.',
  };
}

/** Opens a player's expected touches over a whole plan. */
export function explainPlanTouches(
  plan: PlanTime,
  titles: readonly string[],
  playerId: string,
  who: string,
): Explanation {
  return {
    title: `Touches to expect, ${who}`,
    value: String(Math.round(plan.touchesOf[playerId] ?? 0)),
    formula: 'Sum over the blocks. Only good touches count.',
    inputs: [
      ...plan.blocks.map((block, index) => ({
        label: `${index + 1}. ${titles[index] ?? ''}`,
        value: String(Math.round(block.touchesOf[playerId] ?? 0)),
      })),
      ...partsOfATouch(
        plan.touchesOf[playerId] ?? 0,
        plan.blocks.map((block) => block.touchesOf[playerId] ?? 0),
      ),
    ],
    source:
      'Our arithmetic: each block’s work time at the player’s own success rate. Waiting for a turn gives none.',
  };
}
