import { findStep } from '@/catalogue';
import { groupBy } from '@/core/group-by';
import type { TouchEvent } from '@/core/counting/event';
import { tally, type Tally } from '@/core/counting/tally';
import type { Measure } from '@/core/counting/measure';
import type { Database } from '@/data/client';
import { clearStale, eventsOfBlocks, replaceAttempts, staleBlocks, type AttemptRow } from '@/data/log';
import { blocksByIds, getSession } from '@/data/session';
import { write } from '@/data/write';

/** The tallies of one block, by player. */
export function talliesOf(events: readonly TouchEvent[], measure: Measure): Map<string, Tally> {
  const byPlayer = groupBy(events, (event) => event.playerId);
  return new Map(
    [...byPlayer].flatMap(([playerId, own]) =>
      playerId === null ? [] : [[playerId, tally(own, measure)] as const],
    ),
  );
}

/**
 * Brings the kept attempts up to date with the log, where they lag behind.
 * Pages call it before they read results; nearly always there is nothing to do.
 */
export async function refreshAttempts(db: Database): Promise<void> {
  if ((await staleBlocks(db)).length === 0) return;
  await write(db, async (tx) => {
    const blockIds = await staleBlocks(tx);
    const blocks = await blocksByIds(tx, blockIds);
    const events = groupBy(await eventsOfBlocks(tx, blockIds), (event) => event.blockId);
    const rows: AttemptRow[] = [];
    const days = new Map<string, string>();
    for (const block of blocks) {
      const step = findStep(block.drillId, block.stepId);
      if (!step) continue;
      const day = days.get(block.sessionId) ?? (await getSession(tx, block.sessionId))!.day;
      days.set(block.sessionId, day);
      for (const [playerId, result] of talliesOf(events.get(block.id) ?? [], step.measure)) {
        for (const { number, result: value, touches, drops, startedMs, touchingMs } of result.attempts) {
          const { id: blockId, drillId, stepId } = block;
          rows.push({
            blockId,
            playerId,
            number,
            drillId,
            stepId,
            day,
            result: value,
            touches,
            drops,
            startedMs,
            touchingMs,
          });
        }
      }
    }
    await replaceAttempts(tx, blockIds, rows);
    await clearStale(tx, blockIds);
  });
}
