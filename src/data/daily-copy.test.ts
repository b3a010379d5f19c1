import { existsSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { sql } from 'drizzle-orm';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { withOneMoreMigration } from '@/server/testing/one-more-migration';
import { oneBlockSession, problem, scratch, value } from '@/server/testing/scratch';
import { copiesWithFacts } from './copies';
import { migrationsFolder, openDatabase } from './client';
import { dailyCopy } from './daily-copy';
import { copyBeforeUpdate } from './open-book';
import { copyFile, copyNow } from '@/server/files/copies';

const folderOf = (file: string) => path.join(path.dirname(file), 'backups');

test('a copy a day, once; old ones go, and those made by hand stay', async () => {
  const box = await scratch();
  await oneBlockSession(box.context);
  const first = value(await dailyCopy(box.file, '2026-11-01'));
  expect(path.basename(first!)).toBe('daily-2026-11-01.db');
  expect(value(await dailyCopy(box.file, '2026-11-01'))).toBeNull();
  value(await copyNow(box.context));
  for (let day = 2; day <= 27; day++)
    writeFileSync(path.join(folderOf(box.file), `daily-2026-11-${String(day).padStart(2, '0')}.db`), 'old');
  writeFileSync(path.join(folderOf(box.file), 'daily-of-mine.db'), 'mine');
  value(await dailyCopy(box.file, '2026-11-28'));
  expect(readdirSync(folderOf(box.file)).sort()).toEqual([
    'daily-2026-11-08.db',
    'daily-2026-11-15.db',
    ...[22, 23, 24, 25, 26, 27, 28].map((day) => `daily-2026-11-${day}.db`),
    'daily-of-mine.db',
    expect.stringMatching(/^vowstep-2026\d{4}-\d{6}\.db$/),
  ]);
  const [newest] = (await copiesWithFacts(box.file)).filter(({ name }) => name === 'daily-2026-11-28.db');
  expect(newest!.holds).toMatchObject({ sessions: 1, players: 2, marks: 0 });
  // What is no database says so, and nothing falls over it.
  expect((await copiesWithFacts(box.file)).find(({ name }) => name === 'daily-of-mine.db')!.holds).toBeNull();
  box.close();
});

test('where no copy can be made the old ones stay', async () => {
  const box = await scratch();
  value(await dailyCopy(box.file, '2026-10-01'));
  const other = path.join(path.dirname(box.file), 'no-such-book.db');
  expect(problem(await dailyCopy(other, '2026-11-28'))).toContain('There is no book');
  expect(readdirSync(folderOf(box.file))).toEqual(['daily-2026-10-01.db']);
  box.close();
});

test('a copy is taken away by its name, and nothing else is', async () => {
  const box = await scratch();
  const { name } = value(await copyNow(box.context));
  expect(copyFile(box.context, name)!.bytes).toBeGreaterThan(0);
  for (const wrong of ['../test.db', '..%2Ftest.db', 'test.db', '', 'a/b.db', `${name}/`])
    expect(copyFile(box.context, wrong)).toBeNull();
  box.close();
});

test('a book of an earlier version is copied before it is brought up to date; one of this version is not', async () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'vowstep-before-'));
  const file = path.join(folder, 'book.db');
  const db = await openDatabase(`file:${file}`);
  await copyBeforeUpdate(db);
  await migrate(db, { migrationsFolder: migrationsFolder() });
  await db.run(
    sql`insert into player (id, name, birth_year, sport, hand, created_at_ms) values ('p', 'Ada', 2016, 'tennis', 'right', 0)`,
  );
  await copyBeforeUpdate(db);
  expect(existsSync(folderOf(file))).toBe(false);
  const later = withOneMoreMigration('create table probe (n integer)');
  const cwd = jest.spyOn(process, 'cwd').mockReturnValue(later);
  await copyBeforeUpdate(db);
  const [copy] = await copiesWithFacts(file);
  expect(copy).toMatchObject({
    name: expect.stringMatching(/^before-update-/) as string,
    holds: { players: 1 },
  });
  await migrate(db, { migrationsFolder: migrationsFolder() });
  await copyBeforeUpdate(db);
  expect(readdirSync(folderOf(file))).toHaveLength(1);
  cwd.mockRestore();
  db.$client.close();
  rmSync(later, { recursive: true, force: true });
  rmSync(folder, { recursive: true, force: true });
});
