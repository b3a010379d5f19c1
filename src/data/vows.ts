import { and, asc, desc, eq, gte, inArray, isNull, sql } from 'drizzle-orm';
import type { Executor } from './database';
import { idList, jsonRows } from './json-rows';
import { home, player, vow, vowDay, vowFile } from './schema';

export type VowRow = typeof vow.$inferSelect;
export type VowDayRow = typeof vowDay.$inferSelect;
export type HomeRow = typeof home.$inferSelect;
export type VowFileRow = typeof vowFile.$inferSelect;

export async function homeOf(db: Executor, playerId: string): Promise<HomeRow | undefined> {
  return (await db.select().from(home).where(eq(home.playerId, playerId)))[0];
}

/** The homes of players that were said. */
export async function homesOf(db: Executor, playerIds: readonly string[]): Promise<HomeRow[]> {
  return playerIds.length === 0
    ? []
    : db
        .select()
        .from(home)
        .where(inArray(home.playerId, [...playerIds]));
}

/** Vows of some players that run on a day. */
export async function runningVows(
  db: Executor,
  playerIds: readonly string[],
  day: string,
): Promise<VowRow[]> {
  if (playerIds.length === 0) return [];
  return db
    .select()
    .from(vow)
    .where(
      and(
        inArray(vow.playerId, [...playerIds]),
        isNull(vow.removedAtMs),
        isNull(vow.endedOn),
        gte(vow.untilDay, day),
      ),
    );
}

export async function putHome(db: Executor, row: HomeRow): Promise<void> {
  const { playerId: _id, ...fields } = row;
  await db.insert(home).values(row).onConflictDoUpdate({ target: home.playerId, set: fields });
}

/** Whose vow a row is, by name and year of birth. */
export interface VowOf extends VowRow {
  readonly name: string;
  readonly birthYear: number;
}

/** Vows of players on the squad, those that run longest first; ended ones for so long after their last day. */
export async function listVows(db: Executor, sinceDay: string): Promise<VowOf[]> {
  const rows = await db
    .select({ own: vow, name: player.name, birthYear: player.birthYear })
    .from(vow)
    .innerJoin(player, eq(player.id, vow.playerId))
    .where(and(isNull(vow.removedAtMs), isNull(player.removedAtMs), gte(vow.untilDay, sinceDay)))
    .orderBy(desc(vow.untilDay), asc(player.name), asc(vow.createdAtMs))
    .limit(500);
  return rows.map(({ own, name, birthYear }) => ({ ...own, name, birthYear }));
}

/** The vows of a player that were not taken away, the newest first. */
export async function vowsOfPlayer(db: Executor, playerId: string): Promise<VowRow[]> {
  return db
    .select()
    .from(vow)
    .where(and(eq(vow.playerId, playerId), isNull(vow.removedAtMs)))
    .orderBy(desc(vow.createdAtMs))
    .limit(200);
}

/** Every vow of a player there ever was, those taken away too. */
export async function allVowsOfPlayer(db: Executor, playerId: string): Promise<VowRow[]> {
  return db.select().from(vow).where(eq(vow.playerId, playerId)).orderBy(desc(vow.createdAtMs)).limit(200);
}

export async function getVow(db: Executor, id: string): Promise<VowRow | undefined> {
  return (await db.select().from(vow).where(eq(vow.id, id)))[0];
}

export async function insertVow(db: Executor, row: typeof vow.$inferInsert): Promise<void> {
  await db.insert(vow).values(row);
}

export async function updateVow(
  db: Executor,
  id: string,
  changes: Partial<VowRow>,
  nowMs: number,
): Promise<void> {
  await db
    .update(vow)
    .set({ ...changes, changedAtMs: nowMs, revision: sql`revision + 1` })
    .where(eq(vow.id, id));
}

/** Days of vows, in order. */
export async function daysOfVows(db: Executor, ids: readonly string[]): Promise<VowDayRow[]> {
  if (ids.length === 0) return [];
  type Row = [string, string, number, string, string, string, string, string, VowDayRow['state']];
  const rows = await jsonRows<Row>(
    db,
    sql`vow_id, day, part, drill_id, step_id, dose, session_id, block_id, state`,
    sql`select * from vow_day where vow_id in (${idList(ids)}) order by day, vow_id, part`,
  );
  return rows.map(([vowId, day, part, drillId, stepId, dose, sessionId, blockId, state]) => ({
    vowId,
    day,
    part,
    drillId,
    stepId,
    dose,
    sessionId,
    blockId,
    state,
  }));
}

/** Days of vows by the blocks their counts stand in. */
export async function daysByBlocks(db: Executor, blockIds: readonly string[]): Promise<VowDayRow[]> {
  if (blockIds.length === 0) return [];
  return db
    .select()
    .from(vowDay)
    .where(inArray(vowDay.blockId, [...blockIds]));
}

/** The days of a vow that have counts, by their blocks. */
export async function countedBlocks(db: Executor, vowId: string): Promise<Set<string>> {
  const rows = await db.all<{ id: string }>(sql`
    select d.block_id as id from vow_day d
    where d.vow_id = ${vowId} and exists (select 1 from touch_event e where e.block_id = d.block_id)`);
  return new Set(rows.map((row) => row.id));
}

/** The days of a vow from a day on are asked for no more; those with counts stay as they are. */
export async function dropDays(db: Executor, vowId: string, fromDay: string): Promise<void> {
  await db.run(sql`
    update vow_day set state = 'dropped' where vow_id = ${vowId} and day >= ${fromDay}
      and not exists (select 1 from touch_event e where e.block_id = vow_day.block_id)`);
}

/** Puts days in; one that was dropped before is asked for again, with its new dose. */
export async function putDays(db: Executor, rows: readonly VowDayRow[]): Promise<void> {
  for (let from = 0; from < rows.length; from += 500)
    await db
      .insert(vowDay)
      .values(rows.slice(from, from + 500))
      .onConflictDoUpdate({
        target: [vowDay.vowId, vowDay.day, vowDay.part],
        set: {
          state: sql`excluded.state`,
          drillId: sql`excluded.drill_id`,
          stepId: sql`excluded.step_id`,
          dose: sql`excluded.dose`,
        },
      });
}

/** What was done on a day of a vow: one attempt. */
export interface VowAttempt {
  readonly blockId: string;
  readonly stepId: string;
  readonly result: number | null;
  readonly touches: number;
  readonly drops: number;
  /** Done as a whole and not counted. */
  readonly whole: boolean;
  readonly reported: boolean;
  readonly startedMs: number;
}

/** What was done on the days of vows, in the order done. */
export async function attemptsOfVows(db: Executor, vowIds: readonly string[]): Promise<VowAttempt[]> {
  if (vowIds.length === 0) return [];
  const rows = await jsonRows<[string, string, number | null, number, number, number, number]>(
    db,
    sql`b, s, r, t, dr, rep, at`,
    sql`select a.block_id as b, a.step_id as s, a.result as r, a.touches as t, a.drops as dr, a.reported as rep,
               a.started_ms as at
        from vow_day d join attempt a on a.block_id = d.block_id
        where d.vow_id in (${idList(vowIds)}) order by d.day, a.block_id, a.number`,
  );
  return rows.map(([blockId, stepId, result, touches, drops, reported, startedMs]) => ({
    blockId,
    stepId,
    result,
    touches,
    drops,
    startedMs,
    reported: reported === 1,
    whole: result === null && drops === 0,
  }));
}

/** Lines from home and how it felt: note events on the days of vows, with what takes them back. */
export async function wordsFromHome(
  db: Executor,
  vowIds: readonly string[],
  sinceMs: number,
): Promise<
  readonly (readonly [id: string, blockId: string, felt: number | null, text: string, atMs: number])[]
> {
  if (vowIds.length === 0) return [];
  return jsonRows<[string, string, number | null, string, number]>(
    db,
    sql`id, b, v, t, at`,
    sql`select e.id as id, e.block_id as b, e.value as v, coalesce(e.text, '') as t, e.at_ms as at
        from vow_day d join touch_event e on e.block_id = d.block_id
        where d.vow_id in (${idList(vowIds)}) and e.kind = 'note' and e.at_ms >= ${sinceMs}
          and not exists (select 1 from touch_event u where u.block_id = e.block_id and u.kind = 'undo' and u.ref = e.id)
        order by e.id`,
  );
}

/** What came back from home from a day on: player, name, days, good repetitions, the last line sent. */
export async function fromHomeSince(
  db: Executor,
  sinceDay: string,
): Promise<
  readonly (readonly [playerId: string, name: string, days: number, touches: number, text: string])[]
> {
  return jsonRows<[string, string, number, number, string]>(
    db,
    sql`p, name, days, touches, line`,
    sql`select a.player_id as p, pl.name as name, count(distinct a.day) as days, sum(a.touches) as touches,
               coalesce((select e.text from session s join block b on b.session_id = s.id
                           join touch_event e on e.block_id = b.id
                         where s.kind = 'home' and s.day >= ${sinceDay} and e.player_id = a.player_id
                           and e.kind = 'note' and e.text <> '' order by e.id desc limit 1), '') as line
        from attempt a indexed by attempt_by_day join player pl on pl.id = a.player_id
        where a.day >= ${sinceDay} and a.home = 1 and pl.removed_at_ms is null
        group by a.player_id order by pl.name`,
  );
}

export async function insertVowFile(db: Executor, row: VowFileRow): Promise<void> {
  await db.insert(vowFile).values(row);
}

export async function getVowFile(db: Executor, id: string): Promise<VowFileRow | undefined> {
  return (await db.select().from(vowFile).where(eq(vowFile.id, id)))[0];
}

export async function revokeVowFiles(db: Executor, playerId: string, nowMs: number): Promise<void> {
  await db
    .update(vowFile)
    .set({ revokedAtMs: nowMs })
    .where(and(eq(vowFile.playerId, playerId), isNull(vowFile.revokedAtMs)));
}
