import { inArray, sql } from 'drizzle-orm';
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
      e.atMs,
      e.monoMs,
      e.device,
    ]),
  );
  const result = await db.run(sql`
    insert into touch_event (id, block_id, player_id, kind, attempt, value, ref, at_ms, mono_ms, device)
    select value ->> 0, value ->> 1, value ->> 2, value ->> 3, value ->> 4, value ->> 5,
           value ->> 6, value ->> 7, value ->> 8, value ->> 9
    from json_each(${rows}) where true
    on conflict (id) do nothing`);
  return result.rowsAffected;
}

/** The players of blocks, as `block player` keys: who may be counted where. */
export async function knownPairs(db: Executor, blockIds: readonly string[]): Promise<Set<string>> {
  const rows = await db
    .select({ blockId: blockPlayer.blockId, playerId: blockPlayer.playerId })
    .from(blockPlayer)
    .where(inArray(blockPlayer.blockId, [...blockIds]));
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

/** All events of blocks, in the order of the log. */
export async function eventsOfBlocks(db: Executor, blockIds: readonly string[]): Promise<TouchEvent[]> {
  type Row = [
    string,
    string,
    string | null,
    EventKind,
    number,
    number | null,
    string | null,
    number,
    number,
    string,
  ];
  const rows = await jsonRows<Row>(
    db,
    sql`id, block_id, player_id, kind, attempt, value, ref, at_ms, mono_ms, device`,
    sql`select * from touch_event where block_id in (${idList(blockIds)}) order by id`,
  );
  return rows.map(([id, blockId, playerId, kind, number, value, ref, atMs, monoMs, device]) => ({
    id,
    blockId,
    playerId,
    kind,
    attempt: number,
    value,
    ref,
    atMs,
    monoMs,
    device,
  }));
}

export type AttemptRow = typeof attempt.$inferSelect;

/** Puts the attempts of blocks anew. */
export async function replaceAttempts(
  db: Executor,
  blockIds: readonly string[],
  rows: readonly AttemptRow[],
): Promise<void> {
  await db.delete(attempt).where(inArray(attempt.blockId, [...blockIds]));
  // SQLite takes some thirty thousand parameters; ten a row.
  for (let from = 0; from < rows.length; from += 1000) {
    await db.insert(attempt).values(rows.slice(from, from + 1000));
  }
}

/** Attempts of blocks, in the order done. */
export async function attemptsOfBlocks(db: Executor, blockIds: readonly string[]): Promise<BlockAttempt[]> {
  const rows = await jsonRows<[string, string, number | null, number, number, number]>(
    db,
    sql`block_id, player_id, result, touches, drops, touching_ms`,
    sql`select * from attempt where block_id in (${idList(blockIds)}) order by block_id, player_id, number`,
  );
  return rows.map(([blockId, playerId, result, touches, drops, touchingMs]) => ({
    blockId,
    playerId,
    result,
    touches,
    drops,
    touchingMs,
  }));
}

export type BlockAttempt = Pick<
  AttemptRow,
  'blockId' | 'playerId' | 'result' | 'touches' | 'drops' | 'touchingMs'
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
