import { findings, type Finding, type Tapped } from '@/core/skill/honest';
import { tapping } from '@/core/ballistics/tap/bounce-tempo';
import type { Tap } from '@/core/counting/tap';
import type { Book } from '@/drills/book';
import type { Drill } from '@/drills/types';

/** Nobody bounces a ball lower than this on purpose, metres. Ours. */
const lowestM = 0.05;
/** The shortest time a ball allows between two touches of a drill; 0 where none sets it. Every ball falls as fast from so low. */
const ballTime = ({ family }: Drill): number =>
  family === 'touch' ? tapping('yellow', 'strings', lowestM).periodS : 0;

/** What is found in how players' touches were tapped, and in what they told, by player. */
export function honestyOf(
  book: Book,
  taps: readonly Tap[],
  told: readonly (readonly [playerId: string, result: number])[],
): Map<string, Finding[]> {
  const tapped = new Map<
    string,
    Map<string, { gaps: number[]; drops: number; dropCostS: number; ballS: number }>
  >();
  let before: Tap | null = null;
  for (const tap of taps) {
    const [playerId, blockId, drillId, stepId, drop, attempt, monoMs, device] = tap;
    const blocks = tapped.get(playerId) ?? new Map();
    tapped.set(playerId, blocks);
    let block = blocks.get(blockId);
    if (!block) {
      const drill = book.drill(drillId, playerId);
      const step = book.step(drillId, stepId, playerId);
      block = {
        gaps: [],
        drops: 0,
        dropCostS: step?.dropCostS.value ?? 0,
        ballS: drill ? ballTime(drill) : 0,
      };
      blocks.set(blockId, block);
    }
    if (drop) block.drops += 1;
    else if (
      before &&
      before[0] === playerId &&
      before[1] === blockId &&
      before[4] === 0 &&
      before[5] === attempt &&
      before[7] === device
    )
      block.gaps.push((monoMs - before[6]) / 1000);
    before = tap;
  }
  const counts = new Map<string, number[]>();
  for (const [playerId, result] of told) counts.set(playerId, [...(counts.get(playerId) ?? []), result]);
  const found = new Map<string, Finding[]>();
  for (const playerId of new Set([...tapped.keys(), ...counts.keys()])) {
    const own: Tapped[] = [...(tapped.get(playerId)?.values() ?? [])];
    // A dose ends at its aim: only vows say what was aimed at beside what was told.
    found.set(playerId, findings(own, counts.get(playerId) ?? [], []));
  }
  return found;
}
