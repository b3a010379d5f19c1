import { and, inArray, sql } from 'drizzle-orm';
import type { EventKind, TouchEvent } from '@/core/counting/event';
import type { Executor } from './client';
import { idList, jsonRows } from './json-rows';
import { attempt, blockPlayer } from './schema';

/**
 * Appends events; those already known are passed over. Returns how many were new.
 * One statement for the whole batch: the rows travel as one JSON parameter.
 */
export async function appendEvents(db: Executor, events: readonly TouchEvent[]): Promise<number> {
  const rows = JSON.stringify(
    events.map((e) => [
      e.id,
      e.blockId,
      e.playerId,
      e.kind,
      e.attempt,
      e.value,
      e.ref,
      e.text ?? null,
      e.by ?? null,
      e.atMs,
      e.monoMs,
      e.device,
    ]),
  );
  const result = await db.run(sql`
    insert into touch_event (id, block_id, player_id, kind, attempt, value, ref, text, by, at_ms, mono_ms, device)
    select value ->> 0, value ->> 1, value ->> 2, value ->> 3, value ->> 4, value ->> 5,
           value ->> 6, value ->> 7, value ->> 8, value ->> 9, value ->> 10, value ->> 11
    from json_each(${rows}) where true
    on conflict (id) do nothing`);
  return result.rowsAffected;
}

/** The players of blocks, as `block player` keys: who may be counted where. Blocks of other sessions are left out. */
export async function knownPairs(
  db: Executor,
  blockIds: readonly string[],
  sessionId?: string,
): Promise<Set<string>> {
  const own =
    sessionId === undefined
      ? undefined
      : sql`${blockPlayer.blockId} in (select id from block where session_id = ${sessionId})`;
  const rows = await db
    .select({ blockId: blockPlayer.blockId, playerId: blockPlayer.playerId })
    .from(blockPlayer)
    .where(and(inArray(blockPlayer.blockId, [...blockIds]), own));
  return new Set(rows.map((row) => `${row.blockId} ${row.playerId}`));
}

export async function markStale(db: Executor, blockIds: readonly string[]): Promise<void> {
  await db
    .update(blockPlayer)
    .set({ stale: 1 })
    .where(inArray(blockPlayer.blockId, [...blockIds]));
}

/** Blocks whose cached attempts lag behind the log. */
export async function staleBlocks(db: Executor): Promise<string[]> {
  const rows = await db
    .selectDistinct({ id: blockPlayer.blockId })
    .from(blockPlayer)
    .where(sql`stale = 1`);
  return rows.map((row) => row.id);
}

export async function clearStale(db: Executor, blockIds: readonly string[]): Promise<void> {
  await db
    .update(blockPlayer)
    .set({ stale: 0 })
    .where(inArray(blockPlayer.blockId, [...blockIds]));
}

const eventColumns = sql`id, block_id, player_id, kind, attempt, value, ref, text, by, at_ms, mono_ms, device`;
type EventValues = [
  string,
  string,
  string | null,
  EventKind,
  number,
  number | null,
  string | null,
  string | null,
  string | null,
  number,
  number,
  string,
];

function toEvent(row: EventValues): TouchEvent {
  const [id, blockId, playerId, kind, attempt, value, ref, text, by, atMs, monoMs, device] = row;
  return { id, blockId, playerId, kind, attempt, value, ref, text, by, atMs, monoMs, device };
}

/** All events of blocks, in the order of the log. */
export async function eventsOfBlocks(db: Executor, blockIds: readonly string[]): Promise<TouchEvent[]> {
  const rows = await jsonRows<EventValues>(
    db,
    eventColumns,
    sql`select * from touch_event where block_id in (${idList(blockIds)}) order by id`,
  );
  return rows.map(toEvent);
}

/** What was remarked in blocks, with what takes it back. */
export async function remarkEvents(db: Executor, blockIds: readonly string[]): Promise<TouchEvent[]> {
  const rows = await jsonRows<EventValues>(
    db,
    eventColumns,
    sql`select * from touch_event
        where block_id in (${idList(blockIds)}) and kind in ('held', 'broke', 'note', 'undo') order by id`,
  );
  return rows.map(toEvent);
}

/** At most this many events are handed on at once to a device that follows a session. */
const mostFollowed = 2000;

/**
 * Events of blocks that were stored after a place in the log, in the order stored, and the place after them. The log
 * only grows, so its row numbers do.
 */
export async function eventsStoredAfter(
  db: Executor,
  blockIds: readonly string[],
  after: number,
): Promise<{ events: TouchEvent[]; after: number }> {
  const rows = await jsonRows<[number, ...EventValues]>(
    db,
    sql`place, ${eventColumns}`,
    sql`select rowid as place, * from touch_event
        where block_id in (${idList(blockIds)}) and rowid > ${after} order by rowid limit ${mostFollowed}`,
  );
  return {
    events: rows.map(([, ...row]) => toEvent(row)),
    after: rows.at(-1)?.[0] ?? after,
  };
}

/** The place after everything that is stored. */
export async function endOfLog(db: Executor): Promise<number> {
  const [row] = await db.all<{ place: number | null }>(sql`select max(rowid) as place from touch_event`);
  return row?.place ?? 0;
}

export type AttemptRow = typeof attempt.$inferSelect;

/** Puts the attempts of blocks anew. */
export async function replaceAttempts(
  db: Executor,
  blockIds: readonly string[],
  rows: readonly AttemptRow[],
): Promise<void> {
  await db.delete(attempt).where(inArray(attempt.blockId, [...blockIds]));
  // SQLite takes some thirty thousand parameters; fifteen a row.
  for (let from = 0; from < rows.length; from += 1000) {
    await db.insert(attempt).values(rows.slice(from, from + 1000));
  }
}

/** Attempts of blocks, in the order done. */
export async function attemptsOfBlocks(db: Executor, blockIds: readonly string[]): Promise<BlockAttempt[]> {
  const rows = await jsonRows<
    [string, string, string, number | null, number, number, number, number, number]
  >(
    db,
    sql`block_id, player_id, step_id, result, touches, drops, touching_ms, reported, fixed`,
    sql`select * from attempt where block_id in (${idList(blockIds)}) order by block_id, player_id, number`,
  );
  return rows.map(([blockId, playerId, stepId, result, touches, drops, touchingMs, reported, fixed]) => ({
    blockId,
    playerId,
    stepId,
    result,
    touches,
    drops,
    touchingMs,
    reported: reported === 1,
    fixed: fixed === 1,
  }));
}

export type BlockAttempt = Pick<
  AttemptRow,
  'blockId' | 'playerId' | 'stepId' | 'result' | 'touches' | 'drops' | 'touchingMs' | 'reported' | 'fixed'
>;

/** An attempt with a result: day, start, step, result. */
export type DatedResult = readonly [day: string, startedMs: number, stepId: string, result: number];

/** Every attempt with a result of one player on one drill since a day, in the order done. */
export async function resultsOn(
  db: Executor,
  playerId: string,
  drillId: string,
  sinceDay: string,
): Promise<DatedResult[]> {
  return jsonRows<DatedResult>(
    db,
    sql`day, started_ms, step_id, result`,
    sql`select * from attempt
        where player_id = ${playerId} and drill_id = ${drillId} and day >= ${sinceDay} and result is not null
        order by started_ms, number`,
  );
}
