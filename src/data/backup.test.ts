import { copyFileSync, existsSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { execFileSync } from 'node:child_process';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { createClient } from '@libsql/client';
import { sql } from 'drizzle-orm';
import { seededRandom, wholeBetween } from '@/core/base/random';
import { ingestTouches } from '@/server/court/ingest';
import { eventsOf, ids, oneBlockSession, problem, scratch, value } from '@/server/testing/scratch';
import { backup } from './backup';
import { migrateDatabase, openDatabase } from './client';
import { epochOf } from './epoch';
import { restore } from './restore';

const folder = mkdtempSync(path.join(tmpdir(), 'vowstep-backup-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const file = (name: string) => path.join(folder, name);
const now = new Date(2026, 10, 26, 9, 30, 5);

/** What a file holds, seen by nobody of ours: its integrity, and the log in its order. */
async function contents(name: string): Promise<{ integrity: unknown; log: string[] }> {
  const client = createClient({ url: `file:${name}` });
  const integrity = (await client.execute('PRAGMA integrity_check')).rows[0]![0];
  const { rows } = await client.execute('select seq, id, kind from touch_event order by seq');
  client.close();
  return { integrity, log: rows.map((row) => `${String(row.seq)} ${String(row.id)} ${String(row.kind)}`) };
}

test('copied while touches pour in, and put back over another book with its journal: sound, and the same log, three times', async () => {
  const box = await scratch();
  const { block, playerIds } = await oneBlockSession(box.context);
  const nextId = ids(7);
  const random = seededRandom(20261126);
  let pouring = true;
  let sent = 0;
  let enough = 0;
  const rest = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
  const pour = async () => {
    try {
      while (pouring) {
        // A hall counts on; it does not count ever faster, the longer a copy takes.
        if (sent > enough + 60) {
          await rest(2);
          continue;
        }
        const events = eventsOf('xxxxx-xx', block.id, playerIds[sent % 2]!, nextId, 1000 + 100 * sent);
        value(await ingestTouches(box.context, { events }));
        sent += events.length;
        await rest(wholeBetween(random, 0, 3));
      }
    } finally {
      pouring = false;
    }
  };
  const pours = [pour(), pour()];
  try {
    for (let round = 0; round < 3; round++) {
      enough = sent + wholeBetween(random, 20, 90);
      while (pouring && sent < enough) await rest(1);
      const before = sent;
      const copy = value(await backup(box.file, file(`copy-${round}.db`)));
      const there = await contents(copy.file);
      expect(there.integrity).toBe('ok');
      expect(there.log).toHaveLength(copy.marks);
      expect(copy.marks).toBeGreaterThanOrEqual(before - 16);

      // Another book stands where it goes, with a journal that was never put into it.
      const target = file(`book-${round}.db`);
      // Another process copies it: whoever closes a file gives up all the locks this process has on it.
      for (const ending of ['', '-wal', '-shm'])
        if (existsSync(box.file + ending)) execFileSync('cp', [box.file + ending, target + ending]);
      const back = value(await restore(copy.file, target, now));
      expect(await contents(target)).toEqual(there);
      expect(back.kept).toBe(`${target}.before-20261126-093005`);
      expect((await contents(back.kept!)).integrity).toBe('ok');
    }
  } finally {
    pouring = false;
    await Promise.all(pours);
    box.close();
  }
  expect(sent).toBeGreaterThanOrEqual(60);
  // A busy machine copies slowly.
}, 60_000);

test('a book that was put back has another epoch, and goes on', async () => {
  const box = await scratch();
  const { sessionId } = await oneBlockSession(box.context);
  const epoch = await epochOf(box.context.db);
  value(await backup(box.file, file('one.db')));
  value(await restore(file('one.db'), file('new.db'), now));
  const db = await openDatabase(`file:${file('new.db')}`);
  await migrateDatabase(db);
  expect(await epochOf(db)).not.toBe(epoch);
  expect(await db.all(sql`select id from session`)).toEqual([{ id: sessionId }]);
  db.$client.close();
  box.close();
});

describe('what is not put back', () => {
  const untouched = async (copy: string) => {
    // What other tests had open may be let go of meanwhile.
    const there = () =>
      readdirSync(folder)
        .filter((name) => !name.startsWith('new.db-'))
        .sort();
    const before = there();
    const outcome = await restore(copy, file('kept.db'), now);
    expect(there()).toEqual(before);
    return problem(outcome);
  };
  beforeAll(async () => {
    const box = await scratch();
    value(await backup(box.file, file('kept.db')));
    value(await backup(box.file, file('newer.db')));
    box.close();
    const newer = createClient({ url: `file:${file('newer.db')}` });
    await newer.execute(
      `insert into __drizzle_migrations (hash, created_at) values ('later', 99999999999999)`,
    );
    newer.close();
    const other = createClient({ url: `file:${file('other.db')}` });
    await other.execute('create table recipes (name text)');
    other.close();
    writeFileSync(file('text.db'), 'This is a shopping list. '.repeat(400));
    copyFileSync(file('kept.db'), file('torn.db'));
    const { writeSync, openSync, closeSync } = await import('node:fs');
    const torn = openSync(file('torn.db'), 'r+');
    for (let page = 3; page < 12; page++) writeSync(torn, Buffer.alloc(4096, page), 0, 4096, page * 4096);
    closeSync(torn);
  });

  test.each([
    ['nowhere.db', 'There is no file'],
    ['kept.db', 'This is the book itself'],
    ['newer.db', 'kept by a newer Vow Step'],
    ['other.db', 'no book of Vow Step'],
    ['text.db', 'no database'],
    ['torn.db', 'damaged'],
  ])('%s', async (name, words) => expect(await untouched(file(name))).toContain(words));

  test('anything, while the book is open', async () => {
    const open = createClient({ url: `file:${file('open.db')}` });
    await open.execute('PRAGMA journal_mode = WAL');
    await open.execute('create table t (a)');
    expect(problem(await restore(file('kept.db'), file('open.db'), now))).toContain('end it first');
    expect((await open.execute('select count(*) as n from t')).rows[0]!.n).toBe(0);
    open.close();
  });
});

test('a copy never takes the place of a file that is there, and of nothing there is none', async () => {
  const box = await scratch();
  writeFileSync(file('mine.txt'), 'mine');
  expect(problem(await backup(box.file, file('mine.txt')))).toContain('is there already');
  expect(problem(await backup(file('no.db'), file('x.db')))).toContain('nothing to copy');
  expect(existsSync(file('x.db'))).toBe(false);
  box.close();
});
