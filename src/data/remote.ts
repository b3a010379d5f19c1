import { randomUUID } from 'node:crypto';
import { sql } from 'drizzle-orm';
import type { Database, Executor } from './database';
import { troubleOf } from './trouble';

/**
 * A server that is away is asked again for so long, milliseconds: a restart takes seconds, and what a lost stream had begun
 * is let go after ten. Ours.
 */
const patienceMs = 15_000;
const [firstPauseMs, longestPauseMs] = [50, 1000];
/** Marks of writes are kept so long, milliseconds: far longer than anybody waits for an answer. Ours. */
const markMs = 3_600_000;

/**
 * A write transaction on a libSQL server, done once and wholly, whatever becomes of its answers. What failed before the
 * commit was sent was not done, and is done again; whether a commit whose answer was lost was done is told by a mark that
 * was written with it.
 */
export async function remoteTransaction<T>(db: Database, work: (tx: Executor) => Promise<T>): Promise<T> {
  const id = randomUUID();
  const until = performance.now() + patienceMs;
  let pauseMs = firstPauseMs;
  const pause = async (error: unknown) => {
    const kind = troubleOf(error)?.kind;
    if ((kind !== 'away' && kind !== 'locked') || performance.now() + pauseMs > until) throw error;
    await new Promise((resolve) => setTimeout(resolve, pauseMs));
    pauseMs = Math.min(longestPauseMs, 2 * pauseMs);
  };
  for (;;) {
    let ended: { readonly result: T } | null = null;
    let failed: { readonly error: unknown } | null = null;
    try {
      return await db.transaction(async (tx) => {
        try {
          const result = await work(tx);
          await mark(tx, id);
          ended = { result };
          return result;
        } catch (error) {
          failed = { error };
          throw error;
        }
      });
    } catch (error) {
      const { error: own } = (failed ?? { error }) as { error: unknown };
      // The commit was on its way: was it done?
      const uncertain = ended as { readonly result: T } | null;
      if (uncertain && (await wasDone(db, id, pause))) return uncertain.result;
      await pause(own);
    }
  }
}

async function mark(tx: Executor, id: string): Promise<void> {
  const nowMs = Date.now();
  await tx.run(sql`insert into write_mark (id, at_ms) values (${id}, ${nowMs})`);
  // Not each time: it is another way to the server.
  if (nowMs % 64 === 0)
    await tx.run(
      sql`delete from write_mark where at_ms < ${nowMs - markMs} and n < (select max(n) from write_mark)`,
    );
}

async function wasDone(db: Database, id: string, pause: (error: unknown) => Promise<void>): Promise<boolean> {
  for (;;)
    try {
      // Not through what is kept of answers: this is about the write itself.
      const { rows } = await db.$direct!.execute({
        sql: 'select 1 from write_mark where id = ?',
        args: [id],
      });
      return rows.length > 0;
    } catch (error) {
      await pause(error);
    }
}

/** How long one server may take to bring a database up to date before another tries, milliseconds. Ours. */
const migratingMs = 60_000;

/** Lets one server at a time do something to the database itself: the others wait, and find it done. */
export async function oneServer(db: Database, work: () => Promise<void>): Promise<void> {
  const direct = db.$direct;
  if (!direct) return work();
  const own = randomUUID();
  await direct.execute(
    'create table if not exists vowstep_migrating (one integer primary key check (one = 1), who text not null, until_ms integer not null)',
  );
  for (;;) {
    const nowMs = Date.now();
    const { rowsAffected } = await direct.execute({
      sql: `insert into vowstep_migrating (one, who, until_ms) values (1, ?, ?)
            on conflict (one) do update set who = excluded.who, until_ms = excluded.until_ms where until_ms < ?`,
      args: [own, nowMs + migratingMs, nowMs],
    });
    if (rowsAffected > 0) break;
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  try {
    await work();
  } finally {
    await direct.execute({ sql: 'delete from vowstep_migrating where who = ?', args: [own] });
  }
}
