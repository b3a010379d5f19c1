import { and, asc, eq, isNull, ne, sql } from 'drizzle-orm';
import type { Executor } from './database';
import { coach, signIn, signInTry } from './schema';

export type CoachRow = typeof coach.$inferSelect;

/** The name as it is compared: capitals, marks and blanks around it do not matter. */
export const nameKeyOf = (name: string): string => name.normalize('NFKC').trim().toLowerCase();

/** Everybody who can sign in, the oldest first. */
export async function listCoaches(db: Executor): Promise<CoachRow[]> {
  return db.select().from(coach).where(isNull(coach.removedAtMs)).orderBy(asc(coach.id));
}

export async function coachNamed(db: Executor, name: string): Promise<CoachRow | undefined> {
  return db
    .select()
    .from(coach)
    .where(and(eq(coach.nameKey, nameKeyOf(name)), isNull(coach.removedAtMs)))
    .get();
}

export async function insertCoach(db: Executor, row: CoachRow): Promise<void> {
  await db.insert(coach).values(row);
}

export async function changeCoach(
  db: Executor,
  id: string,
  changes: Partial<Pick<CoachRow, 'name' | 'nameKey' | 'role' | 'passcode' | 'removedAtMs'>>,
): Promise<void> {
  await db.update(coach).set(changes).where(eq(coach.id, id));
}

/** Who comes with a token, and whether anybody has to: asked once for every request. */
export interface AtTheDoor {
  /** False while nobody has a passcode. */
  readonly kept: boolean;
  readonly who: {
    readonly id: string;
    readonly name: string;
    readonly role: CoachRow['role'];
    readonly signedInAtMs: number;
    readonly lastUsedAtMs: number;
  } | null;
}

export async function atTheDoor(db: Executor, tokenHash: string | null): Promise<AtTheDoor> {
  const row = await db.get<{
    kept: number;
    id: string | null;
    name: string;
    role: CoachRow['role'];
    signedInAtMs: number;
    lastUsedAtMs: number;
  }>(sql`
    select exists (select 1 from coach where removed_at_ms is null) as kept, c.id as id, c.name as name, c.role as role,
           s.created_at_ms as signedInAtMs, s.last_used_at_ms as lastUsedAtMs
    from (select 1) left join sign_in s on s.token_hash = ${tokenHash} and s.ended_at_ms is null
         left join coach c on c.id = s.coach_id and c.removed_at_ms is null`);
  if (!row?.id) return { kept: row?.kept === 1, who: null };
  const { kept, id, ...rest } = row;
  return { kept: kept === 1, who: { ...rest, id } };
}

export async function insertSignIn(db: Executor, row: typeof signIn.$inferSelect): Promise<void> {
  await db.insert(signIn).values(row);
}

export async function touchSignIn(db: Executor, tokenHash: string, nowMs: number): Promise<void> {
  await db.update(signIn).set({ lastUsedAtMs: nowMs }).where(eq(signIn.tokenHash, tokenHash));
}

/** Ends the sign-in of one browser, whosever it is. */
export async function endSignIn(db: Executor, tokenHash: string, nowMs: number): Promise<void> {
  await db
    .update(signIn)
    .set({ endedAtMs: nowMs })
    .where(and(eq(signIn.tokenHash, tokenHash), isNull(signIn.endedAtMs)));
}

/** Ends sign-ins of a coach: one, or all (but one). */
export async function endSignIns(
  db: Executor,
  coachId: string,
  nowMs: number,
  { only, but }: { readonly only?: string; readonly but?: string } = {},
): Promise<void> {
  await db
    .update(signIn)
    .set({ endedAtMs: nowMs })
    .where(
      and(
        eq(signIn.coachId, coachId),
        isNull(signIn.endedAtMs),
        only === undefined ? undefined : eq(signIn.tokenHash, only),
        but === undefined ? undefined : ne(signIn.tokenHash, but),
      ),
    );
}

/** How many browsers each coach is signed in with, since a moment. */
export async function openSignIns(db: Executor, sinceMs: number): Promise<Map<string, number>> {
  const rows = await db.all<{ id: string; n: number }>(sql`
    select coach_id as id, count(*) as n from sign_in where ended_at_ms is null and last_used_at_ms > ${sinceMs} group by coach_id`);
  return new Map(rows.map(({ id, n }) => [id, n]));
}

export type TryRow = typeof signInTry.$inferSelect;

export async function triesOf(db: Executor, keys: readonly string[]): Promise<TryRow[]> {
  return db.all<TryRow>(sql`
    select key, failures, last_at_ms as lastAtMs from sign_in_try where key in (select value from json_each(${JSON.stringify(keys)}))`);
}

/** One more wrong try under each of these keys. What is older than a while begins anew. */
export async function countTries(
  db: Executor,
  keys: readonly string[],
  nowMs: number,
  forgetMs: number,
): Promise<void> {
  await db.run(sql`delete from sign_in_try where last_at_ms < ${nowMs - forgetMs}`);
  for (const key of keys)
    await db.run(sql`
      insert into sign_in_try (key, failures, last_at_ms) values (${key}, 1, ${nowMs})
      on conflict (key) do update set failures = failures + 1, last_at_ms = ${nowMs}`);
}

/** Takes back one try under each of these keys. */
export async function giveBackTry(db: Executor, keys: readonly string[]): Promise<void> {
  await db.run(
    sql`update sign_in_try set failures = max(0, failures - 1) where key in (select value from json_each(${JSON.stringify(keys)}))`,
  );
}

/** Forgets all tries there were: the computer's own owner says so. */
export async function forgetAllTries(db: Executor): Promise<void> {
  await db.delete(signInTry);
}

export async function forgetTries(db: Executor, keys: readonly string[]): Promise<void> {
  await db.run(
    sql`delete from sign_in_try where key in (select value from json_each(${JSON.stringify(keys)}))`,
  );
}
