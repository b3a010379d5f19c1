import type { Explanation } from '../base/explain';
import type { DrawnTime, PlanTime } from '../plan/plan-time';
import { inMinutes } from '../base/words';
import { partsOfASecond, partsOfATouch } from './rounding';

/** A line of a plan: a block, or the circuit whose stations are done side by side. */
interface PlanLine {
  readonly label: string;
  readonly startS: number;
  readonly totalS: number;
}

/** A plan line by line; its stations make one line. */
function linesOf({ blocks }: DrawnTime, titles: readonly string[]): PlanLine[] {
  const lines: PlanLine[] = [];
  for (const [index, { station, startS, totalS }] of blocks.entries()) {
    if (station && station.at > 0 && blocks[index - 1]?.station?.id === station.id) continue;
    const mates = station ? blocks.filter((one) => one.station?.id === station.id).length : 1;
    const names = titles.slice(index, index + mates);
    const label =
      mates > 1
        ? `${index + 1} to ${index + mates}. Side by side: ${names.join(', ')}`
        : `${index + 1}. ${names[0] ?? ''}`;
    lines.push({ label, startS, totalS });
  }
  return lines;
}

/** Opens the length of a plan against its booking. */
export function explainPlanTotal(plan: DrawnTime, titles: readonly string[]): Explanation {
  const over = plan.overrunS > 0;
  const lines = linesOf(plan, titles);
  return {
    title: over ? 'Over the booking' : 'Room left in the booking',
    value: inMinutes(Math.abs(plan.overrunS)),
    formula: over ? 'All blocks together − booked time.' : 'Booked time − all blocks together.',
    inputs: [
      { label: 'Booked', value: inMinutes(plan.bookedS), from: 'the session' },
      ...lines.map(({ label, totalS, startS }) => ({
        label,
        value: inMinutes(totalS),
        from: `from ${inMinutes(startS)}`,
      })),
      ...partsOfASecond(
        Math.abs(plan.overrunS),
        over
          ? [...lines.map(({ totalS }) => totalS), -plan.bookedS]
          : [plan.bookedS, ...lines.map(({ totalS }) => -totalS)],
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
