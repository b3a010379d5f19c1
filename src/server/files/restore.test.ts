import {
  copyFileSync,
  existsSync,
  mkdtempSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  utimesSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import { createClient } from '@libsql/client';
import { withOneMoreMigration } from '../testing/one-more-migration';
import { sql } from 'drizzle-orm';
import { database } from '@/data/open-book';
import { erasedIds } from '@/data/squad';
import { finishRestore } from '@/data/restore';
import { putIntoOneFile } from '@/data/client';
import { contextIn } from '../base/context';
import { aboutCopy, copyNow, restoreCopy } from './copies';
import { addCoach, removeCoach } from '../access/coaches';
import { signInCoach, whoComes } from '../access/sign-in';
import { removePlayer, savePlayer } from '../players/squad';
import { eraseForGood } from '../players/erase';
import { makeVowLink, vowLinkState, withdrawVowLinks } from '../vows/links';
import { oneBlockSession, problem, value } from '../testing/scratch';

const folder = mkdtempSync(path.join(tmpdir(), 'vowstep-restore-'));
const file = path.join(folder, 'book.db');
beforeAll(() => (process.env.VOWSTEP_DATABASE_URL = `file:${file}`));
afterAll(async () => {
  (await database()).$client.close();
  rmSync(folder, { recursive: true, force: true });
});

const child = { name: 'Ilva', birthYear: 2016, sport: 'tennis', hand: 'right' };
const long = 'quiet lantern over gravel';

test('a copy is put back while the server runs: what was there is kept, coaches and what was done go along', async () => {
  let context = await contextIn();
  await oneBlockSession(context);
  const gone = value(await savePlayer(context, child));
  value(await addCoach(context, { name: 'Ottilie', passcode: long }));
  const { token } = value(await signInCoach(context, { name: 'Ottilie', passcode: long }, { address: '' }));
  value(await addCoach(context, { name: 'Sefa', passcode: `${long} two` }));
  // Links and a file for home that are open when the copy is made, and withdrawn after it.
  const other = value(await savePlayer(context, { ...child, name: 'Runa' }));
  const gones = value(await makeVowLink(context, gone.id)).token;
  const others = value(await makeVowLink(context, other.id)).token;
  await context.db.run(
    sql`insert into vow_file (id, player_id, key, created_at_ms) values ('f', ${other.id}, 'k', 0)`,
  );
  const open = async (token: string) => (await vowLinkState(await contextIn(), token)).kind;
  expect([await open(gones), await open(others)]).toEqual(['open', 'open']);
  const { name } = value(await copyNow(context));

  // After the copy: a coach is let go, a child removed for good, another one comes.
  const sefa = (await context.db.all<{ id: string }>(sql`select id from coach where name = 'Sefa'`))[0]!.id;
  value(await removeCoach(context, sefa));
  value(await removePlayer(context, gone.id, true));
  value(await eraseForGood(context, gone.id, { name: 'Ilva', sure: true }));
  value(await savePlayer(context, { ...child, name: 'Yrsa' }));
  value(await withdrawVowLinks(context, other.id));

  const about = value(await aboutCopy(context, name));
  expect(about).toMatchObject({ older: false, erased: 1 });
  expect(about.now.players).toBe(about.holds.players);

  const before = value(await restoreCopy(context, name));
  expect(existsSync(path.join(folder, before.kept!))).toBe(true);
  context = await contextIn();
  const names = (await context.db.all<{ name: string }>(sql`select name from player`)).map((row) => row.name);
  expect(names).toContain('Runa');
  expect(names).not.toContain('Yrsa');
  // Who was removed for good stays removed, and what was withdrawn opens nothing.
  expect(names).not.toContain('Ilva');
  expect(await erasedIds(context.db)).toEqual([gone.id]);
  expect([await open(gones), await open(others)]).toEqual(['unknown', 'revoked']);
  expect(await context.db.all(sql`select count(*) as n from vow_file where revoked_at_ms is null`)).toEqual([
    { n: 0 },
  ]);
  await putIntoOneFile(context.db);
  expect(readFileSync(file).includes('Ilva')).toBe(false);
  // Who was let go stays out; who was signed in still is.
  expect(
    problem(await signInCoach(context, { name: 'Sefa', passcode: `${long} two` }, { address: '' })),
  ).toContain('wrong');
  expect((await whoComes(context, token)).who).toMatchObject({ name: 'Ottilie', role: 'owner' });
  expect(await context.db.all(sql`select what from audit where what = 'copy.restore'`)).toHaveLength(1);
  // Others who have the file open go on with the very same book, also once the driver lets go of what it had.
  const client = createClient({ url: `file:${file}` });
  for (const say of ['before', 'after']) {
    await client.execute({ sql: 'update player set care_note = ?', args: [say] });
    await new Promise((resolve) => setImmediate(resolve));
    const notes = async () => context.db.all<{ n: string }>(sql`select distinct care_note as n from player`);
    expect(await notes()).toEqual([{ n: say }]);
    value(await savePlayer(context, { ...child, name: `Kept ${say}` }));
    expect(
      (await client.execute(`select count(*) as n from player where name = 'Kept ${say}'`)).rows[0]!.n,
    ).toBe(1);
    setFlagsFromString('--expose-gc');
    (runInNewContext('gc') as () => void)();
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
  client.close();
}, 60_000);

test('a copy of a trial version, of before the baseline, is refused with what to do', async () => {
  const context = await contextIn();
  const { name } = value(await copyNow({ ...context, nowMs: context.nowMs + 5000 }));
  const copy = createClient({ url: `file:${path.join(folder, 'backups', name)}` });
  await copy.execute('update __drizzle_migrations set created_at = 1');
  copy.close();
  expect(problem(await aboutCopy(context, name))).toMatch(/trial version .* export everything there/);
  expect(problem(await restoreCopy(context, name))).toMatch(/trial version/);
}, 60_000);

test('a copy of an earlier version is brought up to date on the way', async () => {
  const context = await contextIn();
  const { name } = value(await copyNow({ ...context, nowMs: context.nowMs + 6000 }));
  const later = withOneMoreMigration(`update player set name = name || ' later'`);
  const before = await context.db.all<{ name: string }>(
    sql`select name from player where erased_at_ms is null order by id`,
  );
  const cwd = jest.spyOn(process, 'cwd').mockReturnValue(later);
  expect(value(await aboutCopy(context, name))).toMatchObject({ older: true });
  value(await restoreCopy(context, name));
  const { db } = await contextIn();
  expect(await db.all(sql`select name from player where erased_at_ms is null order by id`)).toEqual(
    before.map((one) => ({ name: `${one.name} later` })),
  );
  cwd.mockRestore();
  rmSync(later, { recursive: true, force: true });
}, 60_000);

test('what is no copy is not put back, and the server goes on', async () => {
  const context = await contextIn();
  const names = async () =>
    (await contextIn()).db.all(sql`select name from player where erased_at_ms is null order by id`);
  const before = await names();
  for (const name of ['nowhere.db', '../book.db', 'daily.db-wal', ''])
    expect(problem(await restoreCopy(context, name))).toContain('There is no copy');
  const { name } = value(await copyNow({ ...context, nowMs: context.nowMs + 90_000 }));
  const copy = path.join(folder, 'backups', name);
  copyFileSync(__filename, copy);
  expect(problem(await restoreCopy(context, name))).toContain('database');
  expect(problem(await aboutCopy(context, name))).toContain('database');
  expect(before.length).toBeGreaterThan(0);
  expect(await names()).toEqual(before);
}, 60_000);

test('power that goes in a restore leaves one book: the one before, or the restored one', () => {
  const [book, ready] = [path.join(folder, 'x.db'), path.join(folder, 'x.db.restored')];
  const at = (name: string, seconds: number) => {
    copyFileSync(__filename, name);
    utimesSync(name, seconds, seconds);
  };
  const left = () => (existsSync(book) ? statSync(book).mtimeMs / 1000 : null);
  // Before the book was set aside: nothing happened.
  at(book, 1);
  at(ready, 2);
  at(`${book}.restoring`, 3);
  finishRestore(book);
  expect(left()).toBe(1);
  expect([existsSync(ready), existsSync(`${book}.restoring`)]).toEqual([false, false]);
  // After: the restored one takes its place.
  at(ready, 2);
  renameSync(book, `${book}.before-1`);
  finishRestore(book);
  expect(left()).toBe(2);
  finishRestore(book);
  expect(left()).toBe(2);
});
