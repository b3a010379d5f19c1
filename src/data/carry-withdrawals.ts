import { createClient, type InValue, type Row } from '@libsql/client';
import { sql } from 'drizzle-orm';
import type { Database, Executor } from './database';
import { erasePlayer } from './erase';
import { driverWaitMs } from './patience';
import { write } from './write';

/*
 * What was withdrawn or removed for good is so for ever. A copy of last month knows links that were open then, and children
 * who were still there: before it takes the book's place, it is told what became of them.
 */

/** Tables whose rows are revoked and never opened again, and what tells one from another. */
const revocable = [
  ['helper_link', 'token_hash'],
  ['vow_file', 'id'],
] as const;

/**
 * Takes over what was withdrawn, and which children were removed for good, from the book that stands there now. One that
 * cannot be read has nothing to say; neither has one of before there was such a thing.
 * @param restored a copy, brought up to date, before anybody opens it
 */
export async function carryWithdrawals(present: string, restored: Database, nowMs: number): Promise<void> {
  const client = createClient({ url: `file:${present}`, timeout: driverWaitMs });
  const all = async (query: string): Promise<readonly Row[]> => {
    try {
      return (await client.execute(query)).rows;
    } catch {
      return [];
    }
  };
  try {
    const revoked = await Promise.all(
      revocable.map(([table, key]) =>
        all(`select ${key} as id, revoked_at_ms as at from ${table} where revoked_at_ms is not null`),
      ),
    );
    const erased = await all('select * from player where erased_at_ms is not null');
    await write(restored, async (tx) => {
      for (const [index, [table, key]] of revocable.entries())
        for (const { id, at } of revoked[index]!)
          await tx.run(
            sql`update ${sql.identifier(table)} set revoked_at_ms = ${at as InValue}
                where ${sql.identifier(key)} = ${id as InValue} and revoked_at_ms is null`,
          );
      for (const player of erased) await carryErased(tx, player, nowMs);
    });
  } finally {
    client.close();
  }
}

/** Removes a child from a copy who was removed from the book; one the copy does not know stays known as removed. */
async function carryErased(tx: Executor, player: Row, nowMs: number): Promise<void> {
  const columns = Object.keys(player);
  await tx.run(
    sql`insert or ignore into player (${sql.join(
      columns.map((column) => sql.identifier(column)),
      sql`, `,
    )}) values (${sql.join(
      columns.map((column) => sql`${player[column] as InValue}`),
      sql`, `,
    )})`,
  );
  await erasePlayer(tx, String(player.id), Number(player.erased_at_ms) || nowMs, {
    year: Number(player.birth_year),
    file: true,
  });
}
