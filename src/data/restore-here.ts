import { randomUUID } from 'node:crypto';
import type { Transaction } from '@libsql/client';
import { done, refused, type Outcome } from '@/core/base/outcome';
import { clientApart } from './apart';
import { asideOf, backup, refusedBy } from './backup';
import { carryWithdrawals } from './carry-withdrawals';
import type { Database } from './database';
import { driverWaitMs } from './patience';
import { clear, partOf, prepare } from './prepare';
import type { Restored } from './restore';
import { alone } from './write';

/*
 * A restore while servers have the book open. The file is not replaced under them: a connection that is closed lingers in
 * the driver, and takes the journal of whatever stands at its path with it when it goes. What is in the book is replaced
 * instead, in one transaction, which power that goes undoes and every connection sees.
 */

/** Tables that stay as they are: who may come in, what was done, and what belongs to this file alone. */
const staying = [
  'coach',
  'sign_in',
  'sign_in_try',
  'audit',
  'write_mark',
  'take_over',
  'vowstep_migrating',
  '__drizzle_migrations',
];

/**
 * Puts what a copy holds in the place of what a book holds. The copy is looked through and brought up to date first, and
 * stays as it is; the book as it was is kept beside it. Coaches, what was withdrawn and who was removed for good stay as they are now.
 * Devices will look again at what is here.
 */
export async function restoreHere(db: Database, copy: string, now: Date): Promise<Outcome<Restored>> {
  const book = db.$file?.path;
  if (!book) return refused('database', 'The book is on a libSQL server: put a copy back there.');
  const part = partOf(book);
  try {
    const sound = await prepare(copy, part, (ready) => carryWithdrawals(book, ready, now.getTime()));
    if (!sound.ok) return sound;
    return await alone(db, async () => {
      const kept = await backup(book, asideOf(book, now));
      if (!kept.ok) return kept;
      await replaced(book, part);
      db.$written?.();
      return done({ ...sound.value, file: book, kept: kept.value.file });
    });
  } catch (error) {
    return refusedBy(error);
  } finally {
    clear(part);
  }
}

async function replaced(book: string, part: string): Promise<void> {
  // One connection of its own: a file that is attached is attached to one.
  const client = clientApart(book, 250 * driverWaitMs);
  try {
    await client.execute('pragma foreign_keys = off');
    await client.execute({ sql: 'attach ? as given', args: [part] });
    const tx = await client.transaction('write');
    try {
      await fill(tx);
      await tx.commit();
    } finally {
      tx.close();
    }
    await client.execute('detach given');
    // Else the next mark that is stored would have to put all of it into the file.
    await client.execute('PRAGMA wal_checkpoint(TRUNCATE)');
  } finally {
    await client.end();
  }
}

async function fill(client: Pick<Transaction, 'execute'>): Promise<void> {
  const { rows } = await client.execute(
    `select name from main.sqlite_master where type = 'table' and name not like 'sqlite_%' order by name`,
  );
  const tables = rows.map((row) => String(row.name)).filter((name) => !staying.includes(name));
  for (const name of tables) {
    const columns = (
      await client.execute({ sql: 'select name from pragma_table_info(?)', args: [name] })
    ).rows
      .map((row) => `"${String(row.name)}"`)
      .join(', ');
    await client.execute(`delete from main."${name}"`);
    await client.execute(`insert into main."${name}" (${columns}) select ${columns} from given."${name}"`);
  }
  await client.execute({
    sql: `insert into main.database_fact (key, value) values ('epoch', ?) on conflict (key) do update set value = excluded.value`,
    args: [randomUUID()],
  });
  const loose = await client.execute('pragma main.foreign_key_check');
  if (loose.rows.length > 0) throw new Error('What was restored has rows that point nowhere.');
}
