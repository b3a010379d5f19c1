import {
  and,
  asc,
  desc,
  eq,
  gte,
  inArray,
  isNull,
  lt,
  lte,
  ne,
  notInArray,
  or,
  sql,
  type SQLWrapper,
} from 'drizzle-orm';
import type { Attendance } from '@/core/players/attendance';
import type { Executor } from './database';
import { idList, jsonRows } from './json-rows';
import { block, blockPlayer, session, sessionPlayer, touchEvent } from './schema';

export type SessionRow = typeof session.$inferSelect;
export type SessionFields = Pick<
  SessionRow,
  'title' | 'day' | 'startTime' | 'bookedMin' | 'coach' | 'placeName' | 'placeId' | 'airC'
>;
export type BlockRow = typeof block.$inferSelect;

/** What was done at home is on no list of sessions. */
const onCourt = eq(session.kind, 'court');

export async function getSession(db: Executor, id: string): Promise<SessionRow | undefined> {
  return (await db.select().from(session).where(eq(session.id, id)))[0];
}

export async function insertSession(
  db: Executor,
  id: string,
  fields: SessionFields & Partial<SessionRow>,
  nowMs: number,
): Promise<void> {
  await db.insert(session).values({ id, ...fields, createdAtMs: nowMs });
}

export async function updateSession(db: Executor, id: string, changes: Partial<SessionRow>): Promise<void> {
  await db.update(session).set(changes).where(eq(session.id, id));
}

/** Was any session ever begun? */
export async function anySessionBegun(db: Executor): Promise<boolean> {
  const rows = await db
    .select({ id: session.id })
    .from(session)
    .where(and(onCourt, ne(session.state, 'planned')))
    .limit(1);
  return rows.length > 0;
}

/** What sessions are narrowed to; what is empty is open. */
export interface SessionFilter {
  readonly place: string;
  readonly coach: string;
  readonly sport: string;
  /** The first and the last day of it, local ISO; null for any. */
  readonly days: readonly [from: string, to: string] | null;
}

function narrowed(filter: SessionFilter | undefined) {
  if (!filter) return undefined;
  const { place, coach, sport, days } = filter;
  return and(
    place ? eq(session.placeName, place) : undefined,
    coach ? eq(session.coach, coach) : undefined,
    sport
      ? sql`exists (select 1 from session_player sp join player p on p.id = sp.player_id
                    where sp.session_id = ${session.id} and p.sport = ${sport})`
      : undefined,
    days ? and(gte(session.day, days[0]), lte(session.day, days[1])) : undefined,
  );
}

/** Players on the list of a session like that, since a day. */
export async function playersInSessions(
  db: Executor,
  since: string,
  filter: SessionFilter,
): Promise<Set<string>> {
  const rows = await db
    .selectDistinct({ id: sessionPlayer.playerId })
    .from(sessionPlayer)
    .innerJoin(session, eq(session.id, sessionPlayer.sessionId))
    .where(
      and(
        onCourt,
        isNull(session.removedAtMs),
        filter.days ? undefined : gte(session.day, since),
        narrowed(filter),
      ),
    );
  return new Set(rows.map((row) => row.id));
}

/** The places and coaches that stand on sessions since a day, in order. */
export async function namesOnSessions(
  db: Executor,
  since: string,
): Promise<{ readonly places: string[]; readonly coaches: string[] }> {
  const rows = await db
    .selectDistinct({ place: session.placeName, coach: session.coach })
    .from(session)
    .where(and(onCourt, isNull(session.removedAtMs), gte(session.day, since)));
  const names = (of: (row: (typeof rows)[number]) => string) =>
    [...new Set(rows.map(of))].filter(Boolean).sort((a, b) => a.localeCompare(b));
  return { places: names((row) => row.place), coaches: names((row) => row.coach) };
}

/** Sessions with a stretch of text in their title, place or coach, whatever its case, the newest first. */
export async function sessionsWith(db: Executor, text: string, limit: number): Promise<SessionRow[]> {
  const part = `%${text.replace(/[\\%_]/g, '\\$&')}%`;
  const has = (column: SQLWrapper) => sql`${column} like ${part} escape '\\'`;
  return db
    .select()
    .from(session)
    .where(
      and(
        onCourt,
        isNull(session.removedAtMs),
        or(has(session.title), has(session.placeName), has(session.coach)),
      ),
    )
    .orderBy(desc(session.day), desc(session.startTime))
    .limit(limit);
}

/** Sessions of a span of days, both ends included, in order. */
export async function sessionsBetween(
  db: Executor,
  from: string,
  to: string,
  filter?: SessionFilter,
): Promise<SessionRow[]> {
  return db
    .select()
    .from(session)
    .where(
      and(
        onCourt,
        isNull(session.removedAtMs),
        gte(session.day, from),
        lte(session.day, to),
        narrowed(filter),
      ),
    )
    .orderBy(asc(session.day), asc(session.startTime));
}

/** The last sessions before a day, newest first. */
export async function sessionsBefore(
  db: Executor,
  day: string,
  limit: number,
  offset = 0,
  filter?: SessionFilter,
): Promise<SessionRow[]> {
  return db
    .select()
    .from(session)
    .where(and(onCourt, isNull(session.removedAtMs), lt(session.day, day), narrowed(filter)))
    .orderBy(desc(session.day), desc(session.startTime))
    .limit(limit)
    .offset(offset);
}

/** Sessions whose day is over and of which nobody has said what became, oldest first. */
export async function sessionsUnsaid(db: Executor, today: string): Promise<SessionRow[]> {
  return db
    .select()
    .from(session)
    .where(
      and(
        onCourt,
        isNull(session.removedAtMs),
        lt(session.day, today),
        eq(session.state, 'planned'),
        isNull(session.notHeld),
      ),
    )
    .orderBy(asc(session.day), asc(session.startTime))
    .limit(mostUnsaid);
}
/** Nobody settles more than so many at once. */
const mostUnsaid = 20;

/** The sessions of a player, newest first. */
export async function sessionsOfPlayer(db: Executor, playerId: string, limit: number): Promise<SessionRow[]> {
  const rows = await db
    .select({ session })
    .from(sessionPlayer)
    .innerJoin(session, eq(session.id, sessionPlayer.sessionId))
    .where(and(eq(sessionPlayer.playerId, playerId), onCourt, isNull(session.removedAtMs)))
    .orderBy(desc(session.day), desc(session.startTime))
    .limit(limit);
  return rows.map((row) => row.session);
}

export interface SessionOfBlock {
  readonly id: string;
  readonly title: string;
  readonly day: string;
}

/** Which session blocks belong to; blocks that are not there (any more) are left out. */
export async function sessionsOfBlocks(
  db: Executor,
  blockIds: readonly string[],
): Promise<readonly (SessionOfBlock & { readonly blockId: string })[]> {
  if (blockIds.length === 0) return [];
  return db
    .select({ blockId: block.id, id: session.id, title: session.title, day: session.day })
    .from(block)
    .innerJoin(session, eq(session.id, block.sessionId))
    .where(and(inArray(block.id, [...blockIds]), isNull(session.removedAtMs)));
}

/** Player ids of sessions, in their order on the list. */
export async function playersOfSessions(
  db: Executor,
  ids: readonly string[],
): Promise<Map<string, string[]>> {
  const players = new Map<string, string[]>(ids.map((id) => [id, []]));
  if (ids.length === 0) return players;
  const rows = await db
    .select()
    .from(sessionPlayer)
    .where(inArray(sessionPlayer.sessionId, [...ids]))
    .orderBy(asc(sessionPlayer.position));
  for (const row of rows) players.get(row.sessionId)?.push(row.playerId);
  return players;
}

export async function setSessionPlayers(
  db: Executor,
  sessionId: string,
  playerIds: readonly string[],
): Promise<void> {
  await db
    .delete(sessionPlayer)
    .where(and(eq(sessionPlayer.sessionId, sessionId), notInArray(sessionPlayer.playerId, [...playerIds])));
  if (playerIds.length === 0) return;
  await db
    .insert(sessionPlayer)
    .values(playerIds.map((playerId, position) => ({ sessionId, playerId, position })))
    .onConflictDoUpdate({
      target: [sessionPlayer.sessionId, sessionPlayer.playerId],
      set: { position: sql`excluded.position` },
    });
}

/** Who came to sessions, as far as anybody has said. */
export async function attendanceOf(
  db: Executor,
  sessionIds: readonly string[],
): Promise<{ sessionId: string; playerId: string; attendance: Attendance }[]> {
  return db.all(sql`
    select session_id as sessionId, player_id as playerId, attendance
    from session_player where session_id in (${idList(sessionIds)}) and attendance is not null`);
}

/**
 * Who gets no turn in sessions: who is said to be absent. What was counted of somebody stands against what was said by
 * mistake.
 */
export async function absentFrom(
  db: Executor,
  sessionIds: readonly string[],
): Promise<{ sessionId: string; playerId: string }[]> {
  return db.all(sql`
    select session_id as sessionId, player_id as playerId from session_player p
    where session_id in (${idList(sessionIds)}) and attendance = 'absent' and not exists (
      select 1 from block b join touch_event e on e.block_id = b.id
      where b.session_id = p.session_id and e.player_id = p.player_id)
    order by player_id`);
}

/** In how many sessions since a day players were there, as it was said. */
export async function attendedSince(
  db: Executor,
  sinceDay: string,
): Promise<{ playerId: string; sessions: number }[]> {
  return db.all(sql`
    select p.player_id as playerId, count(*) as sessions
    from session s join session_player p on p.session_id = s.id
    where s.day >= ${sinceDay} and s.removed_at_ms is null and p.attendance in ('here', 'late', 'left')
    group by p.player_id`);
}

/** Players with counts in a session were there, where nobody has said otherwise. */
export async function countedAreHere(db: Executor, sessionId: string, nowMs: number): Promise<void> {
  await db.run(sql`
    update session_player set attendance = 'here', attendance_at_ms = ${nowMs}
    where session_id = ${sessionId} and attendance is null and exists (
      select 1 from block b join touch_event e on e.block_id = b.id
      where b.session_id = ${sessionId} and e.player_id = session_player.player_id)`);
}

/** Notes whether players came; null takes it back. */
export async function setAttendance(
  db: Executor,
  sessionId: string,
  playerIds: readonly string[],
  attendance: Attendance | null,
  nowMs: number,
  by: string | null,
): Promise<void> {
  await db
    .update(sessionPlayer)
    .set({ attendance, attendanceAtMs: attendance === null ? null : nowMs, attendanceBy: by })
    .where(and(eq(sessionPlayer.sessionId, sessionId), inArray(sessionPlayer.playerId, [...playerIds])));
}

export async function blocksOfSessions(db: Executor, ids: readonly string[]): Promise<BlockRow[]> {
  if (ids.length === 0) return [];
  return db
    .select()
    .from(block)
    .where(inArray(block.sessionId, [...ids]))
    .orderBy(asc(block.position));
}

export async function blocksByIds(db: Executor, ids: readonly string[]): Promise<BlockRow[]> {
  if (ids.length === 0) return [];
  return db
    .select()
    .from(block)
    .where(inArray(block.id, [...ids]));
}

/** Puts the blocks of a session as they are given: changed, added, and the others of the session removed. */
export async function putBlocks(db: Executor, sessionId: string, blocks: readonly BlockRow[]): Promise<void> {
  const ids = blocks.map((row) => row.id);
  await db.delete(block).where(and(eq(block.sessionId, sessionId), notInArray(block.id, ids)));
  if (blocks.length === 0) return;
  await db
    .insert(block)
    .values([...blocks])
    .onConflictDoUpdate({
      target: block.id,
      set: {
        position: sql`excluded.position`,
        drillId: sql`excluded.drill_id`,
        stepId: sql`excluded.step_id`,
        dose: sql`excluded.dose`,
        changes: sql`excluded.changes`,
        stations: sql`excluded.stations`,
        breakS: sql`excluded.break_s`,
        retest: sql`excluded.retest`,
        setting: sql`excluded.setting`,
        circuit: sql`excluded.circuit`,
      },
    });
}

export type BlockPlayerRow = typeof blockPlayer.$inferSelect;

export async function blockPlayers(db: Executor, blockIds: readonly string[]): Promise<BlockPlayerRow[]> {
  if (blockIds.length === 0) return [];
  type Row = [string, string, string | null, number | null, number, number];
  const rows = await jsonRows<Row>(
    db,
    sql`block_id, player_id, step_id, amount, sits_out, stale`,
    sql`select * from block_player where block_id in (${idList(blockIds)})`,
  );
  return rows.map(([blockId, playerId, stepId, amount, sitsOut, stale]) => ({
    blockId,
    playerId,
    stepId,
    amount,
    sitsOut: sitsOut === 1,
    stale,
  }));
}

/** Puts the parts players have in a block; rows of players who left go. */
export async function putBlockPlayers(
  db: Executor,
  blockId: string,
  rows: readonly Omit<BlockPlayerRow, 'blockId' | 'stale'>[],
): Promise<void> {
  const ids = rows.map((row) => row.playerId);
  await db
    .delete(blockPlayer)
    .where(and(eq(blockPlayer.blockId, blockId), notInArray(blockPlayer.playerId, ids)));
  if (rows.length === 0) return;
  await db
    .insert(blockPlayer)
    .values(rows.map((row) => ({ blockId, ...row })))
    .onConflictDoUpdate({
      target: [blockPlayer.blockId, blockPlayer.playerId],
      set: {
        stepId: sql`excluded.step_id`,
        amount: sql`excluded.amount`,
        sitsOut: sql`excluded.sits_out`,
      },
    });
}

/** Which players have touches logged in which blocks of a session. */
export async function loggedPairs(
  db: Executor,
  sessionId: string,
): Promise<{ blockId: string; playerId: string | null }[]> {
  return db
    .selectDistinct({ blockId: touchEvent.blockId, playerId: touchEvent.playerId })
    .from(touchEvent)
    .innerJoin(block, eq(block.id, touchEvent.blockId))
    .where(eq(block.sessionId, sessionId));
}

/** The names coaches stand under on sessions. */
export async function coachesOf(db: Executor): Promise<string[]> {
  const rows = await db.selectDistinct({ coach: session.coach }).from(session).orderBy(asc(session.coach));
  return rows.map((row) => row.coach).filter((coach) => coach !== '');
}

/** Moves the planned session of a block to another day. */
export async function moveSessionTo(db: Executor, blockId: string, day: string): Promise<void> {
  await db.run(sql`
    update session set day = ${day}
    where state = 'planned' and day <> ${day} and id = (select session_id from block where id = ${blockId})`);
}

/** Sets planned sessions of some blocks running. */
export async function startSessionsOf(
  db: Executor,
  blockIds: readonly string[],
  nowMs: number,
): Promise<void> {
  await db.run(sql`
    update session set state = 'running', not_held = null, started_at_ms = coalesce(started_at_ms, ${nowMs})
    where state = 'planned' and id in (select session_id from block where id in (${idList(blockIds)}))`);
}
