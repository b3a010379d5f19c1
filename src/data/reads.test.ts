/** @jest-environment node */
import { createClient, type Client, type InStatement } from '@libsql/client';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { keepsAnswers } from './reads';

let folder: string, url: string, client: Client, watch: Client, other: Client;
let ran: string[];
let kept: ReturnType<typeof keepsAnswers>;

beforeEach(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'vowstep-reads-'));
  url = `file:${path.join(folder, 'book.db')}`;
  [client, watch, other] = [createClient({ url }), createClient({ url }), createClient({ url })];
  await client.executeMultiple(
    "pragma journal_mode = wal; create table t (n integer, s text); insert into t values (1, 'one');",
  );
  ran = [];
  const execute = (statement: InStatement) => {
    ran.push(typeof statement === 'string' ? statement : statement.sql);
    return client.execute(statement);
  };
  kept = keepsAnswers(execute as Client['execute'], { version });
});

afterEach(() => {
  for (const one of [client, watch, other]) one.close();
  rmSync(folder, { recursive: true });
});

const version = async () => (await watch.execute('PRAGMA data_version')).rows[0]!.data_version;
const turn = () => new Promise((resolve) => setImmediate(resolve));
const n = async () => (await kept.execute('select n from t')).rows[0]!.n;

test('the same question costs one query, until anything is written', async () => {
  expect([await n(), await n()]).toEqual([1, 1]);
  await turn();
  expect(await n()).toBe(1);
  expect(ran).toHaveLength(1);
});

test('what another connection wrote is seen from the next turn on', async () => {
  expect(await n()).toBe(1);
  await other.execute('update t set n = 2');
  await turn();
  expect(await n()).toBe(2);
});

test('what this process wrote is seen at once, in the same turn, whether through the client or beside it', async () => {
  expect(await n()).toBe(1);
  await kept.execute('update t set n = 3');
  expect(await n()).toBe(3);
  const tx = await other.transaction('write');
  await tx.execute('update t set n = 4');
  await tx.commit();
  kept.written();
  expect(await n()).toBe(4);
});

test('values tell questions apart, also those that look alike as text', async () => {
  const typed = async (arg: string | number | null) =>
    (await kept.execute({ sql: 'select typeof(?) as t from t', args: [arg] })).rows[0]!.t;
  expect([await typed(1), await typed('1'), await typed(null), await typed('null')]).toEqual([
    'real',
    'text',
    'null',
    'text',
  ]);
});

test('an answer that was asked for before a write is not kept after it', async () => {
  let release = () => {};
  const slow = keepsAnswers(
    (async (statement: InStatement) => {
      const answer = await client.execute(statement);
      await new Promise<void>((resolve) => (release = resolve));
      return answer;
    }) as Client['execute'],
    { version },
  );
  const first = slow.execute('select n from t');
  await turn();
  await other.execute('update t set n = 9');
  await turn();
  // Somebody else asks meanwhile: the file stands at another number from here on.
  const second = slow.execute('select s from t');
  await turn();
  release();
  await second;
  void first;
  const third = slow.execute('select n from t');
  await turn();
  release();
  expect((await third).rows[0]!.n).toBe(9);
});

test('where the number cannot be told, nothing is kept', async () => {
  const blind = keepsAnswers(
    ((statement: InStatement) => {
      ran.push(String(statement));
      return client.execute(statement);
    }) as Client['execute'],
    { version: () => Promise.reject(new Error('locked')) },
  );
  await blind.execute('select n from t');
  await turn();
  await blind.execute('select n from t');
  expect(ran).toHaveLength(2);
});

test('what was used longest ago is given up first', async () => {
  const long = (letter: string) => `select '${letter}' || printf('%.*c', 7000000, 'x') as s from t`;
  for (const letter of ['a', 'b', 'a', 'c']) await kept.execute(long(letter));
  ran = [];
  await kept.execute(long('a'));
  expect(ran).toHaveLength(0);
  await kept.execute(long('b'));
  expect(ran).toHaveLength(1);
});
