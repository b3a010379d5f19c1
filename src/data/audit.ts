import { AsyncLocalStorage } from 'node:async_hooks';
import { desc, sql } from 'drizzle-orm';
import type { Executor } from './database';
import { audit } from './schema';

export type AuditRow = typeof audit.$inferSelect;

/** What is being done, and by whom: whatever is written meanwhile carries it. */
export interface Doing {
  readonly id: string;
  readonly atMs: number;
  readonly who: string;
  readonly what: string;
  readonly about: readonly string[];
}

// Next bundles routes separately: all of them must mean the same thing that is being done.
const shared = globalThis as typeof globalThis & {
  vowstepDoing?: AsyncLocalStorage<Doing & { said: boolean }>;
};
const scope = () => (shared.vowstepDoing ??= new AsyncLocalStorage());

/** Does some work under a name: what it writes says so in the same transaction, once. */
export const whileDoing = <T>(doing: Doing, work: () => Promise<T>): Promise<T> =>
  scope().run({ ...doing, said: false }, work);

/** The same thing done again within this time is one line, milliseconds. Ours: a plan is saved with every key. */
const againMs = 600_000;
/** Lines are kept so long: 400 days, over a year. */
const keptMs = 400 * 86_400_000;

/**
 * Writes down what is being done, if anything is: called by every transaction as it ends well.
 * @param made the id of what the work made; null where it made nothing
 * @param again true where this very transaction said it before, and is done again
 * @returns whether it was written down
 */
export async function sayDoing(db: Executor, made: string | null, again = false): Promise<boolean> {
  const doing = scope().getStore();
  if (!doing || (doing.said && !again)) return false;
  const about = made !== null && !doing.about.includes(made) ? [...doing.about, made] : doing.about;
  await insertAudit(db, { ...doing, about });
  doing.said = true;
  return true;
}

export async function insertAudit(db: Executor, { id, atMs, who, what, about }: Doing): Promise<void> {
  const text = JSON.stringify(about);
  await db.run(sql`delete from audit where at_ms < ${atMs - keptMs}`);
  const { rowsAffected } = await db.run(sql`
    update audit set times = times + 1, at_ms = ${atMs}
    where id = (select id from audit where at_ms > ${atMs - againMs} order by at_ms desc, id desc limit 1)
      and who = ${who} and what = ${what} and about = ${text}`);
  if (rowsAffected > 0) return;
  await db.run(sql`
    insert into audit (id, at_ms, who, what, about, seq)
    values (${id}, ${atMs}, ${who}, ${what}, ${text}, (select coalesce(max(seq), 0) from touch_event))`);
}

/** What was done last, the newest first. */
export async function auditBefore(db: Executor, before: number, most: number): Promise<AuditRow[]> {
  return db
    .select()
    .from(audit)
    .where(sql`at_ms < ${before}`)
    .orderBy(desc(audit.atMs), desc(audit.id))
    .limit(most);
}
