import { and, eq, inArray, sql } from 'drizzle-orm';
import type { Executor } from './database';
import { fitOverride, ownDrill, schoolChoice } from './schema';

/* What a house adds to the catalogue and to the fit: its own drills, its schools, its own numbers for a child. */

export type OwnDrillRow = typeof ownDrill.$inferSelect;
export type SchoolChoiceRow = typeof schoolChoice.$inferSelect;

/** Own drills, those taken off the list as well when asked: a held session still needs its drill. */
export async function ownDrills(db: Executor): Promise<OwnDrillRow[]> {
  return db.select().from(ownDrill);
}

export async function getOwnDrill(db: Executor, id: string): Promise<OwnDrillRow | undefined> {
  return (await db.select().from(ownDrill).where(eq(ownDrill.id, id)))[0];
}

export async function putOwnDrill(db: Executor, id: string, drill: string, nowMs: number): Promise<void> {
  await db
    .insert(ownDrill)
    .values({ id, drill, createdAtMs: nowMs })
    .onConflictDoUpdate({ target: ownDrill.id, set: { drill } });
}

export async function setOwnDrillRemoved(
  db: Executor,
  id: string,
  removedAtMs: number | null,
): Promise<void> {
  await db.update(ownDrill).set({ removedAtMs }).where(eq(ownDrill.id, id));
}

export async function schoolChoices(db: Executor): Promise<SchoolChoiceRow[]> {
  return db.select().from(schoolChoice);
}

/** Puts a choice; null goes back to what stands above it. */
export async function putSchoolChoice(
  db: Executor,
  { scope, key, question, answer }: Omit<SchoolChoiceRow, 'answer'> & { answer: string | null },
): Promise<void> {
  const same = and(
    eq(schoolChoice.scope, scope),
    eq(schoolChoice.key, key),
    eq(schoolChoice.question, question),
  );
  await db.delete(schoolChoice).where(same);
  if (answer !== null) await db.insert(schoolChoice).values({ scope, key, question, answer });
}

/** A coach's own numbers for players, by player and key; who has none is left out. */
export async function fitOverridesOf(
  db: Executor,
  playerIds: readonly string[],
): Promise<Record<string, Record<string, number>>> {
  if (playerIds.length === 0) return {};
  const rows = await db
    .select()
    .from(fitOverride)
    .where(inArray(fitOverride.playerId, [...playerIds]));
  const own: Record<string, Record<string, number>> = {};
  for (const { playerId, key, value } of rows) (own[playerId] ??= {})[key] = value;
  return own;
}

export async function putFitOverride(
  db: Executor,
  playerId: string,
  key: string,
  value: number | null,
): Promise<void> {
  await db.delete(fitOverride).where(and(eq(fitOverride.playerId, playerId), eq(fitOverride.key, key)));
  if (value !== null) await db.insert(fitOverride).values({ playerId, key, value });
}

/** The steps of a drill that stand in a plan or on somebody's ladder, or have counts. */
export async function stepsInUse(db: Executor, drillId: string): Promise<string[]> {
  const rows = await db.all<{ step: string }>(sql`
    select step_id as step from block where drill_id = ${drillId}
    union select p.step_id from block_player p join block b on b.id = p.block_id
      where b.drill_id = ${drillId} and p.step_id is not null
    union select step_id from ladder_place where drill_id = ${drillId}
    union select step_id from attempt where drill_id = ${drillId}
    union select step_id from decision where drill_id = ${drillId}
    union select next_step_id from decision where drill_id = ${drillId}`);
  return rows.map((row) => row.step);
}
