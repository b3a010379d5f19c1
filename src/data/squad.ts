import { and, asc, desc, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { Executor } from './database';
import { idList, jsonRows } from './json-rows';
import { decision, focus, ladderPlace, player } from './schema';

export type PlayerRow = typeof player.$inferSelect;
export type PlayerFields = Omit<PlayerRow, 'id' | 'createdAtMs' | 'removedAtMs' | 'erasedAtMs'>;
export type PlayerWithFocus = PlayerRow & { focus: string };

const openFocus = and(eq(focus.playerId, player.id), isNull(focus.untilMs));

function playersWithFocus(db: Executor) {
  return db.select({ player, focus: focus.text }).from(player).leftJoin(focus, openFocus).$dynamic();
}

const flat = (row: { player: PlayerRow; focus: string | null }): PlayerWithFocus => ({
  ...row.player,
  focus: row.focus ?? '',
});

export async function listPlayers(db: Executor): Promise<PlayerWithFocus[]> {
  const rows = await playersWithFocus(db)
    .where(isNull(player.removedAtMs))
    .orderBy(asc(player.name), asc(player.id));
  return rows.map(flat);
}

export async function getPlayers(db: Executor, ids: readonly string[]): Promise<PlayerWithFocus[]> {
  if (ids.length === 0) return [];
  return (await playersWithFocus(db).where(inArray(player.id, [...ids]))).map(flat);
}

export async function getPlayer(db: Executor, id: string): Promise<PlayerWithFocus | undefined> {
  return (await getPlayers(db, [id]))[0];
}

export async function insertPlayer(
  db: Executor,
  id: string,
  fields: PlayerFields,
  nowMs: number,
): Promise<void> {
  await db.insert(player).values({ id, ...fields, createdAtMs: nowMs });
}

export async function updatePlayer(db: Executor, id: string, fields: PlayerFields): Promise<void> {
  await db.update(player).set(fields).where(eq(player.id, id));
}

export async function setPlayerRemoved(db: Executor, id: string, removedAtMs: number | null): Promise<void> {
  await db.update(player).set({ removedAtMs }).where(eq(player.id, id));
}

/** Closes the open focus and opens a new one; an empty text only closes. Nothing happens when it is the same. */
export async function setFocus(
  db: Executor,
  playerId: string,
  text: string,
  id: string,
  nowMs: number,
): Promise<void> {
  const open = and(eq(focus.playerId, playerId), isNull(focus.untilMs));
  const current = await db.select({ text: focus.text }).from(focus).where(open);
  if ((current[0]?.text ?? '') === text) return;
  await db.update(focus).set({ untilMs: nowMs }).where(open);
  if (text) await db.insert(focus).values({ id, playerId, text, sinceMs: nowMs });
}

export type LadderPlaceRow = typeof ladderPlace.$inferSelect;

export async function placesOf(db: Executor, playerIds: readonly string[]): Promise<LadderPlaceRow[]> {
  const rows = await jsonRows<[string, string, string, number, number, string]>(
    db,
    sql`player_id, drill_id, step_id, target, since_ms, why`,
    sql`select * from ladder_place where player_id in (${idList(playerIds)})`,
  );
  return rows.map(([playerId, drillId, stepId, target, sinceMs, why]) => ({
    playerId,
    drillId,
    stepId,
    target,
    sinceMs,
    why,
  }));
}

export async function putPlaces(db: Executor, places: readonly LadderPlaceRow[]): Promise<void> {
  await db
    .insert(ladderPlace)
    .values([...places])
    .onConflictDoUpdate({
      target: [ladderPlace.playerId, ladderPlace.drillId],
      set: {
        stepId: sql`excluded.step_id`,
        target: sql`excluded.target`,
        sinceMs: sql`excluded.since_ms`,
        why: sql`excluded.why`,
      },
    });
}

export type DecisionRow = typeof decision.$inferSelect;

export async function putDecisions(db: Executor, rows: readonly DecisionRow[]): Promise<void> {
  await db
    .insert(decision)
    .values([...rows])
    .onConflictDoUpdate({
      target: [decision.blockId, decision.playerId],
      set: {
        // A block may have been corrected since.
        drillId: sql`excluded.drill_id`,
        stepId: sql`excluded.step_id`,
        verdict: sql`excluded.verdict`,
        nextStepId: sql`excluded.next_step_id`,
        target: sql`excluded.target`,
        reason: sql`excluded.reason`,
        overridden: sql`excluded.overridden`,
        decidedAtMs: sql`excluded.decided_at_ms`,
        evidence: sql`excluded.evidence`,
        by: sql`excluded.by`,
      },
    });
}

export async function decisionsOfBlocks(db: Executor, blockIds: readonly string[]): Promise<DecisionRow[]> {
  if (blockIds.length === 0) return [];
  return db
    .select()
    .from(decision)
    .where(inArray(decision.blockId, [...blockIds]));
}

export async function decisionsOfPlayer(
  db: Executor,
  playerId: string,
  limit: number,
): Promise<DecisionRow[]> {
  return db
    .select()
    .from(decision)
    .where(eq(decision.playerId, playerId))
    .orderBy(desc(decision.decidedAtMs))
    .limit(limit);
}

/** Takes a player off a ladder; what was counted and decided stays. */
export async function deletePlace(db: Executor, playerId: string, drillId: string): Promise<void> {
  await db
    .delete(ladderPlace)
    .where(and(eq(ladderPlace.playerId, playerId), eq(ladderPlace.drillId, drillId)));
}

/** Children who were removed for good. */
export async function erasedIds(db: Executor): Promise<string[]> {
  const rows = await db.all<{ id: string }>(sql`select id from player where erased_at_ms is not null`);
  return rows.map(({ id }) => id);
}
