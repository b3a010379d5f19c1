import { inArray, sql } from 'drizzle-orm';
import type { EventKind, TouchEvent } from '@/core/counting/event';
import type { Executor } from './database';
import { idList, jsonRows } from './json-rows';
import { kindList } from './kind-list';
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
      e.origin ?? null,
      e.atMs,
      e.monoMs,
      e.device,
    ]),
  );
  const result = await db.run(sql`
    insert into touch_event (id, block_id, player_id, kind, attempt, value, ref, text, by, origin, at_ms, mono_ms, device)
    select value ->> 0, value ->> 1, value ->> 2, value ->> 3, value ->> 4, value ->> 5,
           value ->> 6, value ->> 7, value ->> 8, value ->> 9, value ->> 10, value ->> 11, value ->> 12
    from json_each(${rows}) where true
    on conflict (id) do nothing`);
  return result.rowsAffected;
}

/** A block as far as a count needs it: its drill, its step and changes, and each player's own step. */
export interface BlockWork {
  readonly drillId: string;
  readonly stepId: string;
  readonly changes: readonly string[];
  /** Own steps by player; null for who does what the block says. */
  readonly players: ReadonlyMap<string, string | null>;
  /** Those of them who were removed for good. */
  readonly erased: ReadonlySet<string>;
}

/** What is planned in blocks, and who is in them. Blocks of other sessions, and those nobody planned, are left out. */
export async function blockWorks(
  db: Executor,
  blockIds: readonly string[],
  sessionId?: string,
): Promise<Map<string, BlockWork>> {
  const own = sessionId === undefined ? sql`true` : sql`b.session_id = ${sessionId}`;
  const rows = await jsonRows<[string, string, string, string, string | null, string | null, number]>(
    db,
    sql`id, drill_id, step_id, changes, player_id, own_step, erased`,
    sql`select b.id, b.drill_id, b.step_id, b.changes, p.player_id, p.step_id as own_step,
          e.erased_at_ms is not null as erased
        from block b left join block_player p on p.block_id = b.id left join player e on e.id = p.player_id
        where b.id in (${idList(blockIds)}) and ${own}`,
  );
  type Work = BlockWork & { readonly players: Map<string, string | null>; readonly erased: Set<string> };
  const works = new Map<string, Work>();
  for (const [id, drillId, stepId, changes, playerId, ownStep, erased] of rows) {
    let work = works.get(id);
    if (!work) {
      work = {
        drillId,
        stepId,
        changes: JSON.parse(changes) as string[],
        players: new Map(),
        erased: new Set(),
      };
      works.set(id, work);
    }
    if (playerId !== null) work.players.set(playerId, ownStep);
    if (playerId !== null && erased) work.erased.add(playerId);
  }
  return works;
}

/** The events that say what blocks were when they were begun or corrected, with what takes them back, in the order made. */
export async function recordEvents(db: Executor, blockIds: readonly string[]): Promise<TouchEvent[]> {
  const rows = await jsonRows<EventValues>(
    db,
    eventColumns,
    sql`select * from touch_event
        where block_id in (${idList(blockIds)}) and player_id is null and kind in (${records}, 'undo')
        order by id`,
  );
  return rows.map(toEvent);
}

/** The blocks of a session in which anything was logged: those that were held. */
export async function loggedBlocks(db: Executor, sessionId: string): Promise<string[]> {
  const rows = await db.all<{ id: string }>(sql`
    select b.id from block b where b.session_id = ${sessionId}
      and exists (select 1 from touch_event e where e.block_id = b.id) order by b.position`);
  return rows.map((row) => row.id);
}

/** Held blocks whose log does not say all of what they were, and when the first thing happened in them. */
export async function unrecordedBlocks(
  db: Executor,
  sessionId?: string,
): Promise<{ readonly blockId: string; readonly firstMs: number }[]> {
  const own = sessionId === undefined ? sql`true` : sql`b.session_id = ${sessionId}`;
  return db.all(sql`
    select e.block_id as blockId, min(e.at_ms) as firstMs
    from block b join touch_event e on e.block_id = b.id
    where ${own} and not exists (select 1 from touch_event r where r.block_id = b.id and r.player_id is null
                                 and r.kind = 'begun' and r.text ->> '$.held' is not null)
    group by e.block_id`);
}

/** Stored events with these ids, as they stand: what came before under the same id. */
export async function storedAs(db: Executor, ids: readonly string[]): Promise<TouchEvent[]> {
  const rows = await jsonRows<EventValues>(
    db,
    eventColumns,
    sql`select * from touch_event where id in (${idList(ids)})`,
  );
  return rows.map(toEvent);
}

export async function markStale(db: Executor, blockIds: readonly string[]): Promise<void> {
  await db
    .update(blockPlayer)
    .set({ stale: 1 })
    .where(inArray(blockPlayer.blockId, [...blockIds]));
}

/** Blocks whose cached attempts lag behind the log, so many at most. */
export async function staleBlocks(db: Executor, most: number): Promise<string[]> {
  const rows = await db
    .selectDistinct({ id: blockPlayer.blockId })
    .from(blockPlayer)
    .where(sql`stale = 1`)
    .limit(most);
  return rows.map((row) => row.id);
}

export async function clearStale(db: Executor, blockIds: readonly string[]): Promise<void> {
  await db
    .update(blockPlayer)
    .set({ stale: 0 })
    .where(inArray(blockPlayer.blockId, [...blockIds]));
}

const records = kindList(({ group }) => group === 'record');
const remarks = kindList(({ group }) => group === 'remark');
const eventColumns = sql`id, block_id, player_id, kind, attempt, value, ref, text, by, origin, at_ms, mono_ms, device`;
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
  string | null,
  number,
  number,
  string,
];

function toEvent(row: EventValues): TouchEvent {
  const [id, blockId, playerId, kind, attempt, value, ref, text, by, origin, atMs, monoMs, device] = row;
  return { id, blockId, playerId, kind, attempt, value, ref, text, by, origin, atMs, monoMs, device };
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
        where block_id in (${idList(blockIds)}) and kind in (${remarks}, 'undo') order by id`,
  );
  return rows.map(toEvent);
}

/** A note of the log, or what takes one back, with where it was made. */
export interface CourtNote extends TouchEvent {
  readonly sessionId: string;
  readonly drillId: string;
}

/** Notes on a player made on court in sessions, with what takes them back. */
export async function notesOnCourt(
  db: Executor,
  playerId: string,
  sessionIds: readonly string[],
): Promise<CourtNote[]> {
  const rows = await jsonRows<[string, string, ...EventValues]>(
    db,
    sql`session_id, drill_id, ${eventColumns}`,
    sql`select b.session_id, b.drill_id, e.* from block b join touch_event e on e.block_id = b.id
        where b.session_id in (${idList(sessionIds)}) and e.player_id = ${playerId} and e.kind in ('note', 'undo')
        order by e.id`,
  );
  return rows.map(([sessionId, drillId, ...event]) => ({ ...toEvent(event), sessionId, drillId }));
}

/** At most this many events are handed on at once to a device that follows a session. */
const mostFollowed = 2000;

/**
 * Events of blocks that were stored after a number of the log, in the order stored, and how far they reach.
 */
export async function eventsStoredAfter(
  db: Executor,
  blockIds: readonly string[],
  after: number,
): Promise<{ readonly events: TouchEvent[]; readonly reached: Reached; readonly more: boolean }> {
  const rows = await jsonRows<[number, ...EventValues]>(
    db,
    sql`seq, ${eventColumns}`,
    sql`select * from touch_event
        where block_id in (${idList(blockIds)}) and seq > ${after} order by seq limit ${mostFollowed}`,
  );
  const events = rows.map(([, ...row]) => toEvent(row));
  const last = rows.at(-1);
  return {
    events,
    reached: last ? { seq: last[0], id: last[1] } : await reachedAt(db, after),
    more: rows.length === mostFollowed,
  };
}

/** How far a device has read the log: the number of an event, and its id, by which it can be told from another history. */
export interface Reached {
  readonly seq: number;
  readonly id: string | null;
}

/** The event with a number; without an id where there is none (any more). */
export async function reachedAt(db: Executor, seq: number): Promise<Reached> {
  const [row] = await db.all<{ id: string }>(sql`select id from touch_event where seq = ${seq}`);
  return { seq, id: row?.id ?? null };
}

/** How far the log reaches. */
export async function endOfLog(db: Executor): Promise<Reached> {
  const [row] = await db.all<{ seq: number; id: string }>(
    sql`select seq, id from touch_event order by seq desc limit 1`,
  );
  return row ? { seq: row.seq, id: row.id } : { seq: 0, id: null };
}

export type AttemptRow = typeof attempt.$inferSelect;

/** Replaces the attempts of blocks. */
export async function replaceAttempts(
  db: Executor,
  blockIds: readonly string[],
  rows: readonly AttemptRow[],
): Promise<void> {
  await db.delete(attempt).where(inArray(attempt.blockId, [...blockIds]));
  // SQLite takes some thirty thousand parameters; some twenty a row.
  for (let from = 0; from < rows.length; from += 1000) {
    await db.insert(attempt).values(rows.slice(from, from + 1000));
  }
}

/** Attempts of blocks, in the order done. */
export async function attemptsOfBlocks(db: Executor, blockIds: readonly string[]): Promise<BlockAttempt[]> {
  const rows = await jsonRows<
    [
      string,
      string,
      string,
      number | null,
      number,
      number,
      number,
      number,
      number,
      number,
      string | null,
      number,
    ]
  >(
    db,
    sql`block_id, player_id, step_id, result, touches, drops, gaps, touching_ms, reported, fixed, origin, doubtful`,
    sql`select * from attempt where block_id in (${idList(blockIds)}) order by block_id, player_id, number`,
  );
  return rows.map(
    ([
      blockId,
      playerId,
      stepId,
      result,
      touches,
      drops,
      gaps,
      touchingMs,
      reported,
      fixed,
      origin,
      doubtful,
    ]) => ({
      blockId,
      playerId,
      stepId,
      result,
      touches,
      drops,
      gaps,
      touchingMs,
      reported: reported === 1,
      fixed: fixed === 1,
      doubtful: doubtful === 1,
      origin,
    }),
  );
}

export type BlockAttempt = Pick<
  AttemptRow,
  | 'blockId'
  | 'playerId'
  | 'stepId'
  | 'result'
  | 'touches'
  | 'drops'
  | 'gaps'
  | 'touchingMs'
  | 'reported'
  | 'fixed'
  | 'doubtful'
  | 'origin'
>;

/** An attempt with a result: day, start, step, result, and whether it was made at home. */
export type DatedResult = readonly [
  day: string,
  startedMs: number,
  stepId: string,
  result: number,
  home: 0 | 1,
];

/** Every attempt with a result of one player on one drill since a day, in the order done. */
export async function resultsOn(
  db: Executor,
  playerId: string,
  drillId: string,
  sinceDay: string,
): Promise<DatedResult[]> {
  return jsonRows<DatedResult>(
    db,
    sql`day, started_ms, step_id, result, home`,
    sql`select * from attempt
        where player_id = ${playerId} and drill_id = ${drillId} and day >= ${sinceDay} and result is not null
        order by started_ms, number`,
  );
}
