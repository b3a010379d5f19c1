import { sql } from 'drizzle-orm';
import { done, refused } from '@/core/base/outcome';
import { write } from '@/data/write';
import { scratch } from '../testing/scratch';
import { workedOut } from './worked-out';

type Box = Awaited<ReturnType<typeof scratch>>;
let box: Box;
beforeEach(async () => {
  box = await scratch();
  await box.context.db.run(sql`create table jar (n integer)`);
  await box.context.db.run(sql`insert into jar values (1)`);
});
afterEach(() => box.close());

const read = async (db: Pick<Box['context']['db'], 'all'>) =>
  (await db.all<{ n: number }>(sql`select n from jar`))[0]!.n;
const add = () => write(box.context.db, (tx) => tx.run(sql`update jar set n = n + 1`));

test('others write while it is worked out, and what was made from something else is worked out again', async () => {
  let worked = 0;
  const outcome = await workedOut(box.context.db, {
    basis: async (db) => String(await read(db)),
    plan: async (db) => {
      const n = await read(db);
      worked += 1;
      // Somebody stores a count in the middle of the first reckoning: it does not wait.
      if (worked === 1) await add();
      return done(n * 100);
    },
    put: async (tx, n: number) => {
      await tx.run(sql`update jar set n = ${n}`);
      return done(n);
    },
  });
  expect([worked, outcome]).toEqual([2, { ok: true, value: 200 }]);
  expect(await read(box.context.db)).toBe(200);
});

test('where it changes every time it is worked out once more with nobody writing', async () => {
  let worked = 0;
  const outcome = await workedOut(box.context.db, {
    basis: async (db) => String(await read(db)),
    plan: async (db) => {
      worked += 1;
      const n = await read(db);
      if (worked <= 3) await add();
      return done(n);
    },
    put: (_, n: number) => Promise.resolve(done(n)),
  });
  expect([worked, outcome]).toEqual([4, { ok: true, value: 4 }]);
});

test('what is refused writes nothing, and is not tried again', async () => {
  let puts = 0;
  const outcome = await workedOut(box.context.db, {
    basis: () => Promise.resolve(''),
    plan: () => Promise.resolve(refused('n', 'No.')),
    put: () => Promise.resolve(done((puts += 1))),
  });
  expect([outcome.ok, puts]).toEqual([false, 0]);
});
