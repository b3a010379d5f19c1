import { createClient, type InValue, type Row } from '@libsql/client';
import type { Database } from './database';
import { driverWaitMs } from './patience';
import { write } from './write';
import { sql } from 'drizzle-orm';

/*
 * A copy of last month knows last month's coaches and passcodes. Put back, it must open to nobody who was let go since, and
 * what was done since stays written down.
 */

/** Tables that go along whole; children first. */
const whole = ['sign_in', 'coach', 'audit'] as const;

/**
 * Takes over who may come in and what was done from the book that stands there now. One that
 * cannot be read, or is of before there were coaches, has nothing to say; one with no coach lets the copy's be.
 */
export async function carryDoors(present: string, restored: Database): Promise<void> {
  const rows = await readDoors(present);
  if (!rows) return;
  await write(restored, async (tx) => {
    if (rows.coach.length > 0) {
      await tx.run(sql`delete from sign_in`);
      await tx.run(sql`delete from coach`);
    }
    for (const table of [...whole].reverse())
      for (const row of rows[table]) {
        const columns = Object.keys(row);
        const values = columns.map((column) => sql`${row[column] as InValue}`);
        await tx.run(
          sql`insert or ignore into ${sql.identifier(table)} (${sql.join(
            columns.map((column) => sql.identifier(column)),
            sql`, `,
          )}) values (${sql.join(values, sql`, `)})`,
        );
      }
  });
}

type Doors = Record<(typeof whole)[number], readonly Row[]>;

async function readDoors(file: string): Promise<Doors | null> {
  const client = createClient({ url: `file:${file}`, timeout: driverWaitMs });
  const all = async (query: string) => (await client.execute(query)).rows;
  try {
    return {
      coach: await all('select * from coach'),
      sign_in: await all('select * from sign_in'),
      audit: await all('select * from audit'),
    };
  } catch {
    return null;
  } finally {
    client.close();
  }
}
