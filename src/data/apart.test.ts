import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import { sql } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/libsql';
import { clientApart } from './apart';
import { troubleOf } from './trouble';

const folder = mkdtempSync(path.join(tmpdir(), 'vowstep-apart-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

test('it answers as the driver does, in transactions too, and says what is wrong', async () => {
  const client = clientApart(path.join(folder, 'a.db'));
  const db = drizzle(client);
  await client.executeMultiple(
    'create table t (id integer primary key, name text); insert into t values (1, null)',
  );
  const { rows, columns } = await client.execute({ sql: 'select id, name, ? as x from t', args: ['y'] });
  expect([columns, rows.map((row) => ({ ...row })), rows[0]![2]]).toEqual([
    ['id', 'name', 'x'],
    [{ id: 1, name: null, x: 'y' }],
    'y',
  ]);
  await db.transaction(async (tx) => {
    await tx.run(sql`insert into t values (2, 'two')`);
  });
  await expect(
    db.transaction(async (tx) => {
      await tx.run(sql`insert into t values (3, 'three')`);
      throw new Error('no');
    }),
  ).rejects.toThrow('no');
  expect(await db.all(sql`select id from t order by id`)).toEqual([{ id: 1 }, { id: 2 }]);
  await expect(client.execute('select * from nowhere')).rejects.toMatchObject({ code: 'SQLITE_ERROR' });
  const other = clientApart(path.join(folder, 'a.db'), 20);
  const tx = await client.transaction('write');
  const locked = await other.execute('insert into t values (4, null)').catch((error: unknown) => error);
  expect(troubleOf(locked)?.kind).toBe('locked');
  tx.close();
  await other.execute('insert into t values (4, null)');
  client.close();
  other.close();
  await expect(client.execute('select 1')).rejects.toThrow();
});

test('this thread goes on while it works', async () => {
  const client = clientApart(path.join(folder, 'b.db'));
  await client.execute('create table n (a)');
  const loop = monitorEventLoopDelay({ resolution: 5 });
  loop.enable();
  let turns = 0;
  const turning = setInterval(() => (turns += 1), 1);
  await client.execute(
    'insert into n with recursive k(x) as (select 1 union all select x + 1 from k where x < 600000) select x from k',
  );
  await client.execute(
    'select count(*) from n a where exists (select 1 from n b where b.rowid = a.rowid + 1)',
  );
  clearInterval(turning);
  loop.disable();
  // The work takes hundreds of milliseconds: here it would leave this thread one turn.
  expect(turns).toBeGreaterThan(20);
  client.close();
});
