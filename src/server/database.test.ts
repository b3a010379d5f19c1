import { sql } from 'drizzle-orm';
import {
  chmodSync,
  copyFileSync,
  readFileSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
  utimesSync,
  writeFileSync,
} from 'node:fs';
import path from 'node:path';
import { backup } from '@/data/backup';
import { clearCutShort, copiesFolder } from '@/data/copies';
import { createClient } from '@libsql/client';
import { eventsOf, ids, oneBlockSession, scratch, value } from './testing/scratch';
import { migrateDatabase, openDatabase } from '@/data/client';
import { schemaVersion } from '@/data/health';
import { epochOf } from '@/data/epoch';
import { troubleOf } from '@/data/trouble';
import { write } from '@/data/write';
import { ingestTouches } from './court/ingest';
import { refreshSoon } from './court/results';
import { sessionReviewView } from './views/session-review';
import { todayView } from './views/today';

let box: Awaited<ReturnType<typeof scratch>>;
beforeEach(async () => (box = await scratch()));
afterEach(() => box.close());

const settings = ['foreign_keys', 'busy_timeout', 'journal_mode', 'synchronous'] as const;

test('every connection, those of transactions too, has foreign keys, a short busy timeout, WAL and full sync', async () => {
  const { db } = box.context;
  const read = async (on: Pick<typeof db, 'all'>) =>
    Object.fromEntries(
      await Promise.all(
        settings.map(async (name) => [
          name,
          Object.values((await on.all<object>(sql.raw(`pragma ${name}`)))[0]!)[0],
        ]),
      ),
    );
  const wanted = { foreign_keys: 1, busy_timeout: 20, journal_mode: 'wal', synchronous: 2 };
  expect(await read(db)).toEqual(wanted);
  await db.transaction(async (tx) => {
    expect(await read(tx)).toEqual(wanted);
    // A second connection while the first is held by the transaction.
    expect(await read(db)).toEqual(wanted);
  });
});

test('a row that points nowhere is refused', async () => {
  await expect(
    box.context.db.run(sql`insert into focus (id, player_id, text, since_ms) values ('f', 'nobody', 'x', 0)`),
  ).rejects.toThrow();
});

test('a write that fails leaves nothing behind, and the next one goes on', async () => {
  const { db } = box.context;
  const player = (id: string) =>
    sql`insert into player (id, name, birth_year, sport, hand, created_at_ms) values (${id}, 'A', 2016, 'tennis', 'right', 0)`;
  const failing = write(db, async (tx) => {
    await tx.run(player('a'));
    throw new Error('half-way');
  });
  const after = write(db, (tx) => tx.run(player('b')));
  await expect(failing).rejects.toThrow('half-way');
  await after;
  expect(await db.all(sql`select id from player`)).toEqual([{ id: 'b' }]);
});

test('many writes at once stand in line', async () => {
  const { db } = box.context;
  await Promise.all(
    Array.from({ length: 20 }, (_, n) =>
      write(db, async (tx) => {
        await tx.run(
          sql`insert into player (id, name, birth_year, sport, hand, created_at_ms) values (${`p${n}`}, 'A', 2016, 'tennis', 'right', 0)`,
        );
        await new Promise((resolve) => setImmediate(resolve));
      }),
    ),
  );
  expect(await db.get(sql`select count(*) as n from player`)).toEqual({ n: 20 });
});

test('migrating twice changes nothing, and another opening finds the same schema', async () => {
  await migrateDatabase(box.context.db);
  const again = await openDatabase(`file:${box.file}`);
  await migrateDatabase(again);
  expect(await schemaVersion(again)).toBe(await schemaVersion(box.context.db));
  expect(await schemaVersion(again)).toBeGreaterThan(0);
  again.$client.close();
});

describe('a database somebody else has locked', () => {
  /** Takes the write lock from outside, as another program would. */
  const locked = async () => {
    const other = createClient({ url: `file:${box.file}` });
    const lock = await other.transaction('write');
    await lock.execute(`update player set name = name`);
    return async () => {
      await lock.rollback();
      other.close();
    };
  };

  test('a write waits for it, other work goes on meanwhile, and then it is done', async () => {
    const at = await oneBlockSession(box.context);
    const free = await locked();
    let ticks = 0;
    let longest = 0;
    let last = performance.now();
    const ticking = setInterval(() => {
      const now = performance.now();
      longest = Math.max(longest, now - last);
      last = now;
      if (++ticks === 20) void free();
    }, 10);
    const events = eventsOf('xxx', at.block.id, at.playerIds[0]!, ids());
    const stored = await ingestTouches(box.context, { events });
    clearInterval(ticking);
    expect(value(stored)).toEqual({ stored: 3 });
    // Seen by others as well: a connection that met a lock commits nothing any more, and must not be used again.
    const other = createClient({ url: `file:${box.file}` });
    expect((await other.execute('select count(*) as n from touch_event')).rows[0]!.n).toBe(3);
    other.close();
    expect(ticks).toBeGreaterThanOrEqual(20);
    // The driver itself stands still for twenty milliseconds at most; a slow machine may add to that, not seconds.
    expect(longest).toBeLessThan(1500);
  });

  test('pages are shown all the same: they never write', async () => {
    const at = await oneBlockSession(box.context);
    value(
      await ingestTouches(box.context, { events: eventsOf('xxx-', at.block.id, at.playerIds[0]!, ids()) }),
    );
    const free = await locked();
    const [today, review] = await Promise.all([
      todayView(box.context),
      sessionReviewView(box.context, at.sessionId),
    ]);
    expect(today.sessions).toHaveLength(1);
    expect(review!.blocks).toHaveLength(1);
    await free();
    refreshSoon(box.context.db);
    expect((await sessionReviewView(box.context, at.sessionId))!.blocks[0]!.lines).toHaveLength(1);
  });
});

describe('what makes a database unusable is said in one sentence', () => {
  const failing = async (work: () => Promise<unknown>) => {
    const error: unknown = await work().then(
      () => null,
      (one: unknown) => one,
    );
    return { kind: troubleOf(error)?.kind, message: troubleOf(error)?.message ?? '' };
  };
  const stored = (db = box.context.db) => write(db, (tx) => tx.run(sql`update player set name = name`));

  test('a file that was deleted, or replaced, while it was open takes nothing more', async () => {
    renameSync(box.file, `${box.file}.away`);
    expect(await failing(() => stored())).toMatchObject({
      kind: 'gone',
      message: expect.stringContaining('npm run restore'),
    });
    copyFileSync(`${box.file}.away`, box.file);
    expect(await failing(() => stored())).toMatchObject({ kind: 'replaced' });
    rmSync(box.file);
    renameSync(`${box.file}.away`, box.file);
    await stored();
  });

  test('one that a newer version kept', async () => {
    await box.context.db.run(
      sql`insert into __drizzle_migrations (hash, created_at) values ('later', 99999999999999)`,
    );
    const again = await openDatabase(`file:${box.file}`);
    expect(await failing(() => migrateDatabase(again))).toMatchObject({
      kind: 'newer',
      message: expect.stringContaining('newer Vow Step'),
    });
    again.$client.close();
  });

  test('one that is damaged, and a file that is none', async () => {
    const other = `${box.file}.other`;
    writeFileSync(other, 'This is no database, only a text. '.repeat(300));
    expect(await failing(() => openDatabase(`file:${other}`))).toMatchObject({ kind: 'damaged' });
  });

  test('a folder, and another program’s, which stays as it is to the last byte', async () => {
    expect(await failing(() => openDatabase(`file:${path.dirname(box.file)}`))).toMatchObject({
      kind: 'folder',
    });
    const other = `${box.file}.program`;
    const client = createClient({ url: `file:${other}` });
    await client.execute('create table bookmark (id integer primary key, address text)');
    client.close();
    const before = [readFileSync(other), statSync(other).mode] as const;
    expect(await failing(async () => migrateDatabase(await openDatabase(`file:${other}`)))).toMatchObject({
      kind: 'strange',
      message: expect.stringContaining('another program'),
    });
    expect(readFileSync(other).equals(before[0])).toBe(true);
    expect(statSync(other).mode).toBe(before[1]);
    expect(
      readdirSync(path.dirname(other)).filter((name) => name.startsWith(`${path.basename(other)}-`)),
    ).toEqual([]);
  });

  test('one that is made is this user’s alone, with its folder, what stands beside it, and its copies', async () => {
    const book = path.join(path.dirname(box.file), 'fresh', 'book.db');
    const db = await openDatabase(`file:${book}`);
    await migrateDatabase(db);
    const mode = (file: string) => (statSync(file).mode & 0o777).toString(8);
    const copy = path.join(copiesFolder(book), 'one.db');
    value(await backup(book, copy));
    expect([path.dirname(book), path.dirname(copy)].map(mode)).toEqual(['700', '700']);
    expect([book, `${book}-wal`, `${book}-shm`, copy].map(mode)).toEqual(['600', '600', '600', '600']);
    // One of before is closed when it is opened next, and so are its copies; a copy cut short goes, a young one does not.
    chmodSync(book, 0o644);
    chmodSync(copy, 0o644);
    (await openDatabase(`file:${book}`)).$client.close();
    for (const name of ['old.db.part', 'old.db.part-wal', 'young.db.part'])
      writeFileSync(path.join(copiesFolder(book), name), 'x');
    for (const name of ['old.db.part', 'old.db.part-wal'])
      utimesSync(path.join(copiesFolder(book), name), 1, 1);
    expect(clearCutShort(book, Date.now())).toEqual(['old.db.part']);
    expect(readdirSync(copiesFolder(book)).sort()).toEqual(['one.db', 'young.db.part']);
    expect([book, copy].map(mode)).toEqual(['600', '600']);
    db.$client.close();
  });

  test('a full one', async () => {
    const [row] = await box.context.db.all<{ page_count: number }>(sql`pragma page_count`);
    const full = await failing(() =>
      write(box.context.db, async (tx) => {
        await tx.run(sql.raw(`pragma max_page_count = ${row!.page_count}`));
        for (let n = 0; n < 40; n++)
          await tx.run(
            sql`insert into own_drill (id, drill, created_at_ms) values (${`d${n}`}, ${'x'.repeat(4000)}, 0)`,
          );
      }),
    );
    expect(full).toMatchObject({ kind: 'full', message: expect.stringContaining('make room') });
  });

  test.each([
    ['SQLITE_READONLY', 'read-only'],
    ['SQLITE_BUSY', 'locked'],
    ['SQLITE_CANTOPEN', 'unreadable'],
    ['SQLITE_IOERR', 'unreadable'],
    ['SQLITE_CONSTRAINT', undefined],
    ['constructor', undefined],
  ])('%s, however often it was wrapped, is %p', (code, kind) => {
    const error = new Error('outer', {
      cause: new Error('middle', { cause: Object.assign(new Error(''), { code }) }),
    });
    expect(troubleOf(error)?.kind).toBe(kind);
  });
});

test('an epoch is made up once, and again after it was taken off', async () => {
  const { db } = box.context;
  const first = await epochOf(db);
  await migrateDatabase(db);
  expect(await epochOf(db)).toBe(first);
  expect(first).toMatch(/^[\w-]{36}$/);
  await db.run(sql`delete from database_fact where key = 'epoch'`);
  await migrateDatabase(db);
  expect(await epochOf(db)).not.toBe(first);
});

test('rows of the log keep their numbers when space is given back, and none is given twice', async () => {
  const at = await oneBlockSession(box.context);
  const send = async (marks: string, seed: number) =>
    value(
      await ingestTouches(box.context, { events: eventsOf(marks, at.block.id, at.playerIds[0]!, ids(seed)) }),
    );
  await send('xxxx', 1);
  const numbers = async () =>
    (await box.context.db.all<{ seq: number }>(sql`select seq from touch_event order by seq`)).map(
      (row) => row.seq,
    );
  await box.context.db.run(sql`delete from touch_event where seq in (2, 4)`);
  await box.context.db.run(sql`vacuum`);
  expect(await numbers()).toEqual([1, 3]);
  await send('xx', 2);
  expect(await numbers()).toEqual([1, 3, 5, 6]);
});
