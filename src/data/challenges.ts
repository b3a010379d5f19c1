import { and, asc, desc, eq, isNull, sql } from 'drizzle-orm';
import type { Executor } from './database';
import { jsonRows } from './json-rows';
import { challenge, challengePlayer, challengeResult, player } from './schema';

export type ChallengeRow = typeof challenge.$inferSelect;
export type ChallengePlayerRow = typeof challengePlayer.$inferSelect;
export type ChallengeResultRow = typeof challengeResult.$inferSelect;

export async function insertChallenge(
  db: Executor,
  row: typeof challenge.$inferInsert,
  players: readonly ChallengePlayerRow[],
): Promise<void> {
  await db.insert(challenge).values(row);
  await db.insert(challengePlayer).values([...players]);
}

export async function getChallenge(db: Executor, id: string): Promise<ChallengeRow | undefined> {
  return (await db.select().from(challenge).where(eq(challenge.id, id)))[0];
}

/** Challenges that are on, the newest first. */
export async function listChallenges(db: Executor): Promise<ChallengeRow[]> {
  return db
    .select()
    .from(challenge)
    .where(isNull(challenge.removedAtMs))
    .orderBy(desc(challenge.untilDay), desc(challenge.createdAtMs))
    .limit(100);
}

export async function setChallengeRemoved(
  db: Executor,
  id: string,
  removedAtMs: number | null,
): Promise<void> {
  await db.update(challenge).set({ removedAtMs }).where(eq(challenge.id, id));
}

/** Who is in a challenge, by name. */
export async function challengers(
  db: Executor,
  id: string,
): Promise<
  (ChallengePlayerRow & Pick<typeof player.$inferSelect, 'name' | 'birthYear' | 'sport' | 'stage'>)[]
> {
  const rows = await db
    .select({
      own: challengePlayer,
      who: { name: player.name, birthYear: player.birthYear, sport: player.sport, stage: player.stage },
    })
    .from(challengePlayer)
    .innerJoin(player, eq(player.id, challengePlayer.playerId))
    .where(and(eq(challengePlayer.challengeId, id), isNull(player.erasedAtMs)))
    .orderBy(asc(player.name));
  return rows.map(({ own, who }) => ({ ...own, ...who }));
}

export async function insertResult(db: Executor, row: typeof challengeResult.$inferInsert): Promise<void> {
  await db.insert(challengeResult).values(row);
}

export async function setResultRemoved(db: Executor, id: string, removedAtMs: number | null): Promise<void> {
  await db.update(challengeResult).set({ removedAtMs }).where(eq(challengeResult.id, id));
}

export async function getResult(db: Executor, id: string): Promise<ChallengeResultRow | undefined> {
  return (await db.select().from(challengeResult).where(eq(challengeResult.id, id)))[0];
}

/** Results typed in, in the order made. */
export async function typedResults(db: Executor, challengeId: string): Promise<ChallengeResultRow[]> {
  return db
    .select()
    .from(challengeResult)
    .where(and(eq(challengeResult.challengeId, challengeId), isNull(challengeResult.removedAtMs)))
    .orderBy(asc(challengeResult.atMs), asc(challengeResult.id));
}

/** A player's attempt on court: result and touches, in the order made. What was made easier is left out. */
export type CourtResult = readonly [playerId: string, result: number | null, touches: number, day: string];

export async function courtResults(
  db: Executor,
  step: { readonly drillId: string; readonly stepId: string },
  fromDay: string,
  untilDay: string,
): Promise<CourtResult[]> {
  return jsonRows<CourtResult>(
    db,
    sql`p, r, t, day`,
    sql`select player_id as p, result as r, touches as t, day from attempt indexed by attempt_by_day
        where day between ${fromDay} and ${untilDay} and drill_id = ${step.drillId} and step_id = ${step.stepId}
          and eased = 0
        order by day, started_ms, number`,
  );
}

/** Takes off what a club brought before. */
export async function removeClub(
  db: Executor,
  challengeId: string,
  club: string,
  nowMs: number,
): Promise<void> {
  await db
    .update(challengeResult)
    .set({ removedAtMs: nowMs })
    .where(
      and(
        eq(challengeResult.challengeId, challengeId),
        eq(challengeResult.club, club),
        isNull(challengeResult.removedAtMs),
      ),
    );
}
