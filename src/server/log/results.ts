import { easedOnCourt } from '@/session/on-court';
import { workOf, type Work } from '@/session/plan';
import { groupBy } from '@/core/group-by';
import type { TouchEvent } from '@/core/counting/event';
import { forEverybody } from '@/core/counting/conditions';
import { tally } from '@/core/counting/tally';
import type { Database } from '@/data/database';
import { clearStale, eventsOfBlocks, replaceAttempts, staleBlocks, type AttemptRow } from '@/data/log';
import { getSession, type SessionRow } from '@/data/session';
import { troubleOf } from '@/data/trouble';
import { write } from '@/data/write';
import { runBlocksByIds, type PlannedRow } from '../readers/blocks';
import { bookFor } from '../readers/book';

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

interface Refreshing {
  /** Resolves when all that was asked for until now is done. */
  last: Promise<void>;
  /** Set while the next one gathers: ends the gathering. */
  hurry: (() => void) | null;
}

// Next bundles routes separately: what is under way hangs on the global object.
const shared = globalThis as typeof globalThis & { vowstepRefreshing?: WeakMap<object, Refreshing> };
const refreshing = () => (shared.vowstepRefreshing ??= new WeakMap());

/** Touches come in batches: attempts are brought up to date once in so long, or when somebody looks. Milliseconds, ours. */
const gatherMs = 1000;
/** A page does not wait longer than this for results to be brought up to date, milliseconds. Ours. */
const patienceMs = 2000;

/** Brings the kept attempts up to date a moment later, once for all that comes until then. */
export function refreshSoon(db: Database): void {
  const state = refreshing().get(db) ?? { last: Promise.resolve(), hurry: null };
  refreshing().set(db, state);
  if (state.hurry) return;
  const gathered = new Promise<void>((resolve) => {
    const timer = setTimeout(resolve, gatherMs);
    state.hurry = () => {
      clearTimeout(timer);
      resolve();
    };
  });
  state.last = Promise.all([state.last, gathered]).then(async () => {
    state.hurry = null;
    if (db.$client.closed) return;
    await refreshAttempts(db).catch((error: unknown) =>
      console.error('Results could not be brought up to date:', troubleOf(error)?.message ?? error),
    );
  });
}

/**
 * Waits until results that are about to be brought up to date are there. Pages call it before they read: they never
 * write themselves, and show what there is when it takes too long.
 */
export async function resultsReady(db: Database): Promise<void> {
  const state = refreshing().get(db);
  if (!state) return;
  state.hurry?.();
  let timer: ReturnType<typeof setTimeout> | undefined;
  await Promise.race([state.last, new Promise((resolve) => (timer = setTimeout(resolve, patienceMs)))]);
  clearTimeout(timer);
}

/** Brings the kept attempts up to date with the log, where they lag behind. */
export async function refreshAttempts(db: Database): Promise<void> {
  if ((await staleBlocks(db)).length === 0) return;
  await write(db, async (tx) => {
    const blockIds = await staleBlocks(tx);
    const [blocks, log, book] = await Promise.all([
      runBlocksByIds(tx, blockIds),
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
