import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { createClient, type Client } from '@libsql/client';
import { libsqlStandIn, type StandIn } from './libsql-server';

/* The stand-in against the real client: what it says of itself is what a server of that protocol says. */
let folder: string, server: StandIn, client: Client;
beforeAll(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'vowstep-hrana-'));
  server = await libsqlStandIn(path.join(folder, 'book.db'), { token: 'secret' });
  client = createClient({ url: server.url, authToken: 'secret' });
  await client.executeMultiple('create table t (id integer primary key, n integer, x real, s text, b blob);');
});
afterAll(async () => {
  client.close();
  await server.close();
  rmSync(folder, { recursive: true });
});
const all = async () => (await client.execute('select n from t order by id')).rows.map((row) => row.n);

test('every kind of value goes there and back', async () => {
  const blob = Uint8Array.of(0, 1, 255);
  const put = await client.execute({
    sql: 'insert into t (n, x, s, b) values (?, ?, ?, ?)',
    args: [7n, 1.5, 'Grüße 🎾', blob],
  });
  expect([put.rowsAffected, put.lastInsertRowid]).toEqual([1, 1n]);
  const { rows, columns } = await client.execute({
    sql: 'select n, x, s, b, null as z from t where n = :n',
    args: { n: 7 },
  });
  expect(columns).toEqual(['n', 'x', 's', 'b', 'z']);
  expect({ ...rows[0], b: [...new Uint8Array(rows[0]!.b as ArrayBuffer)] }).toMatchObject({
    n: 7,
    x: 1.5,
    s: 'Grüße 🎾',
    z: null,
    b: [...blob],
  });
});

test('a batch is all or nothing, and one trip', async () => {
  const before = await all();
  server.trips();
  await expect(
    client.batch(['insert into t (n) values (8)', 'insert into nowhere values (1)'], 'write'),
  ).rejects.toMatchObject({ code: 'SQLITE_ERROR' });
  expect(server.trips()).toBe(1);
  expect(await all()).toEqual(before);
  const [, two] = await client.batch(['insert into t (n) values (8)', 'select max(n) as m from t'], 'write');
  expect(two!.rows[0]!.m).toBe(8);
});

test('a transaction sees its own writes; nobody else does before it is committed; a rollback leaves nothing', async () => {
  const tx = await client.transaction('write');
  await tx.execute('insert into t (n) values (9)');
  expect((await tx.execute('select count(*) as c from t where n = 9')).rows[0]!.c).toBe(1);
  expect(await all()).not.toContain(9);
  await tx.commit();
  expect(await all()).toContain(9);
  const other = await client.transaction('write');
  await other.execute('insert into t (n) values (10)');
  await other.rollback();
  expect(await all()).not.toContain(10);
});

test('who has not the token gets nothing; who asks while it is away neither', async () => {
  const stranger = createClient({ url: server.url, authToken: 'guess' });
  await expect(stranger.execute('select 1')).rejects.toThrow();
  stranger.close();
  server.dials.away = true;
  await expect(client.execute('select 1')).rejects.toThrow();
  server.dials.away = false;
  expect((await client.execute('select 1 as one')).rows[0]!.one).toBe(1);
});

test('an answer that is lost was done all the same', async () => {
  server.dials.lose = 1;
  await expect(client.execute('insert into t (n) values (11)')).rejects.toThrow();
  server.dials.lose = 0;
  expect((await all()).filter((n) => n === 11)).toHaveLength(1);
  server.dials.refuse = 1;
  await expect(client.execute('insert into t (n) values (12)')).rejects.toThrow();
  server.dials.refuse = 0;
  expect(await all()).not.toContain(12);
});
