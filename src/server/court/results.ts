import { attemptsOf } from '@/session/court/rebuild';
import { groupBy } from '@/core/base/group-by';
import type { Database, Executor } from '@/data/database';
import { clearStale, eventsOfBlocks, replaceAttempts, staleBlocks, type AttemptRow } from '@/data/log';
import { troubleOf } from '@/data/trouble';
import { write } from '@/data/write';
import { wholeRecords } from '../readers/held-records';

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

/** So many blocks are brought up to date in one go: counts that come meanwhile wait no longer for it. Ours. */
const blocksAtOnce = 200;

/** Brings the kept attempts up to date with the log, where they lag behind. */
export async function refreshAttempts(db: Database): Promise<void> {
  // An upgrade can make every block of a book stale.
  while ((await staleBlocks(db, 1)).length > 0) await write(db, refreshSome);
}

async function refreshSome(tx: Executor): Promise<void> {
  const blockIds = await staleBlocks(tx, blocksAtOnce);
  const [records, log] = await Promise.all([wholeRecords(tx, blockIds), eventsOfBlocks(tx, blockIds)]);
  const events = groupBy(log, (event) => event.blockId);
  const rows = blockIds.flatMap<AttemptRow>((blockId) => {
    const record = records.get(blockId);
    return record
      ? attemptsOf(record, events.get(blockId) ?? []).map((attempt) => ({ blockId, ...attempt }))
      : [];
  });
  await replaceAttempts(tx, blockIds, rows);
  await clearStale(tx, blockIds);
}
