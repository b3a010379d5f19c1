import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import type { Executor } from './database';
import { jsonRows } from './json-rows';
import { countWord, focus, ledger } from './schema';

export interface FocusRow {
  readonly id: string;
  readonly text: string;
  readonly sinceMs: number;
  readonly untilMs: number | null;
  /** Null while nobody has said what counts towards it. */
  readonly goal: number | null;
  readonly drillIds: readonly string[];
}

/** A player's foci, the oldest first, each with its ledger. */
export async function fociOf(db: Executor, playerId: string): Promise<FocusRow[]> {
  const rows = await db
    .select({ focus, goal: ledger.goal, counts: ledger.counts })
    .from(focus)
    .leftJoin(ledger, eq(ledger.focusId, focus.id))
    .where(eq(focus.playerId, playerId))
    .orderBy(asc(focus.sinceMs));
  return rows.map(({ focus: own, goal, counts }) => ({
    id: own.id,
    text: own.text,
    sinceMs: own.sinceMs,
    untilMs: own.untilMs,
    goal,
    drillIds:
      counts === null ? [] : (JSON.parse(counts) as [string, string | null][]).map(([drill]) => drill),
  }));
}

export async function putLedger(
  db: Executor,
  focusId: string,
  goal: number,
  drillIds: readonly string[],
): Promise<void> {
  const counts = JSON.stringify(drillIds.map((drillId) => [drillId, null]));
  await db
    .insert(ledger)
    .values({ focusId, goal, counts })
    .onConflictDoUpdate({ target: ledger.focusId, set: { goal, counts } });
}

/** Touches that held, of some drills, by day. */
export async function goodTouches(
  db: Executor,
  playerId: string,
  drillIds: readonly string[],
  sinceDay: string,
): Promise<readonly (readonly [day: string, touches: number, atHome: number])[]> {
  return jsonRows<[string, number, number]>(
    db,
    sql`day, t, h`,
    sql`select day, sum(touches) as t, sum(case home when 1 then touches else 0 end) as h
        from attempt indexed by attempt_by_player
        where player_id = ${playerId} and drill_id in (select value from json_each(${JSON.stringify(drillIds)}))
          and day >= ${sinceDay}
        group by day order by day`,
  );
}

export type CountWordRow = typeof countWord.$inferSelect;

/** The coach's words on how players count that stand. */
export async function countWords(db: Executor): Promise<CountWordRow[]> {
  return db.select().from(countWord).where(isNull(countWord.removedAtMs));
}

export async function insertCountWord(db: Executor, row: typeof countWord.$inferInsert): Promise<void> {
  await db.insert(countWord).values(row);
}

/** @returns false where there is none of that id */
export async function setCountWordRemoved(
  db: Executor,
  id: string,
  removedAtMs: number | null,
): Promise<boolean> {
  const rows = await db
    .update(countWord)
    .set({ removedAtMs })
    .where(and(eq(countWord.id, id)))
    .returning({ id: countWord.id });
  return rows.length > 0;
}
