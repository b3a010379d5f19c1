import { easedOnCourt } from '@/catalogue/on-court';
import { workOf, type Work } from '@/catalogue/plan';
import { groupBy } from '@/core/group-by';
import type { TouchEvent } from '@/core/counting/event';
import { forEverybody } from '@/core/counting/conditions';
import { tally } from '@/core/counting/tally';
import type { Database } from '@/data/client';
import { clearStale, eventsOfBlocks, replaceAttempts, staleBlocks, type AttemptRow } from '@/data/log';
import { getSession, type SessionRow } from '@/data/session';
import { write } from '@/data/write';
import { plannedBlocksByIds, type PlannedRow } from './blocks';
import { bookFor } from './book';

/** The attempts of one player in one block, each on the step it was made on, counted as that step is measured. */
function attemptsOf(
  block: PlannedRow,
  playerId: string,
  events: readonly TouchEvent[],
  { drill, step }: Pick<Work, 'drill' | 'step'>,
  day: string,
): AttemptRow[] {
  return tally(events, step.measure).attempts.map((attempt) => {
    const { number, result, touches, drops, startedMs, touchingMs, reported, fixed, conditions } = attempt;
    const moved = drill.steps.find((one) => one.id === conditions.stepId);
    return {
      blockId: block.id,
      playerId,
      number,
      drillId: drill.id,
      stepId: (moved ?? step).id,
      day,
      result,
      touches,
      drops,
      startedMs,
      touchingMs,
      eased: easedOnCourt(block.changes, conditions),
      reported,
      fixed: fixed !== null,
      feed: conditions.feed,
      ball: conditions.ball,
    };
  });
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
      const logged = events.get(block.id) ?? [];
      // What was adjusted for everybody in the block is part of each player's own log.
      const forAll = forEverybody(logged);
      for (const [playerId, own] of groupBy(logged, (event) => event.playerId)) {
        const work = playerId === null ? undefined : workOf(book, block, playerId);
        if (playerId === null || !work) continue;
        rows.push(...attemptsOf(block, playerId, [...forAll, ...own], work, session.day));
      }
    }
    await replaceAttempts(tx, blockIds, rows);
    await clearStale(tx, blockIds);
  });
}
