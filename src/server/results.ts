import { isEased } from '@/catalogue/changes';
import { workOf } from '@/catalogue/plan';
import { groupBy } from '@/core/group-by';
import type { TouchEvent } from '@/core/counting/event';
import { tally } from '@/core/counting/tally';
import type { Database } from '@/data/client';
import { clearStale, eventsOfBlocks, replaceAttempts, staleBlocks, type AttemptRow } from '@/data/log';
import { getSession, type SessionRow } from '@/data/session';
import { write } from '@/data/write';
import { plannedBlocksByIds, type PlannedRow } from './blocks';
import { bookFor } from './book';

/** The attempts of one player in one block, each counted as their own step is measured. */
function attemptsOf(
  block: PlannedRow,
  playerId: string,
  events: readonly TouchEvent[],
  { drillId, stepId, measure }: { drillId: string; stepId: string; measure: Parameters<typeof tally>[1] },
  day: string,
): AttemptRow[] {
  const eased = isEased(block.changes);
  return tally(events, measure).attempts.map(({ number, result, touches, drops, startedMs, touchingMs }) => ({
    blockId: block.id,
    playerId,
    number,
    drillId,
    stepId,
    day,
    result,
    touches,
    drops,
    startedMs,
    touchingMs,
    eased,
  }));
}

/**
 * Brings the kept attempts up to date with the log, where they lag behind.
 * Pages call it before they read results; nearly always there is nothing to do.
 */
export async function refreshAttempts(db: Database): Promise<void> {
  if ((await staleBlocks(db)).length === 0) return;
  await write(db, async (tx) => {
    const blockIds = await staleBlocks(tx);
    const [blocks, log, book] = await Promise.all([
      plannedBlocksByIds(tx, blockIds),
      eventsOfBlocks(tx, blockIds),
      bookFor(tx),
    ]);
    const events = groupBy(log, (event) => event.blockId);
    const sessions = new Map<string, SessionRow>();
    const rows: AttemptRow[] = [];
    for (const block of blocks) {
      const session = sessions.get(block.sessionId) ?? (await getSession(tx, block.sessionId))!;
      sessions.set(session.id, session);
      for (const [playerId, own] of groupBy(events.get(block.id) ?? [], (event) => event.playerId)) {
        const work = playerId === null ? undefined : workOf(book, block, playerId);
        if (playerId === null || !work) continue;
        const step = { drillId: block.drillId, stepId: work.step.id, measure: work.step.measure };
        rows.push(...attemptsOf(block, playerId, own, step, session.day));
      }
    }
    await replaceAttempts(tx, blockIds, rows);
    await clearStale(tx, blockIds);
  });
}
