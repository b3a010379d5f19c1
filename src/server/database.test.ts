import { sql } from 'drizzle-orm';
import { scratch } from './testing/scratch';
import { migrateDatabase, openDatabase } from '@/data/client';
import { schemaVersion } from '@/data/health';
import { write } from '@/data/write';

let box: Awaited<ReturnType<typeof scratch>>;
beforeEach(async () => (box = await scratch()));
afterEach(() => box.close());

const settings = ['foreign_keys', 'busy_timeout', 'journal_mode', 'synchronous'] as const;

test('every connection, those of transactions too, has foreign keys, a busy timeout, WAL and full sync', async () => {
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
  const wanted = { foreign_keys: 1, busy_timeout: 5000, journal_mode: 'wal', synchronous: 2 };
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
