import { sql } from 'drizzle-orm';
import { openDatabase } from './client';
import { scratch } from '@/server/testing/scratch';
import { kitCounts, putKitCounts } from './places';
import { remembered } from './remembered';
import { write } from './write';

let box: Awaited<ReturnType<typeof scratch>>;
beforeEach(async () => (box = await scratch()));
afterEach(() => box.close());

test('what is read with every page is read once, until the file changes', async () => {
  const { db } = box.context;
  let readings = 0;
  const read = () => remembered(db, 'probe', async () => ++readings);
  expect([await read(), await read(), ...(await Promise.all([read(), read()]))]).toEqual([1, 1, 1, 1]);
  await write(db, (tx) => putKitCounts(tx, { ball: 4 }));
  expect([await read(), await read()]).toEqual([2, 2]);
  expect(await kitCounts(db)).toEqual({ ball: 4 });
});

test('a change of another process shows at once', async () => {
  const { db } = box.context;
  expect(await kitCounts(db)).toEqual({});
  const other = await openDatabase(`file:${box.file}`);
  await other.run(sql`insert into kit_item (name, count) values ('cone', 7)`);
  other.$client.close();
  expect(await kitCounts(db)).toEqual({ cone: 7 });
});

test('a transaction sees its own changes, and a reading that failed is made again', async () => {
  const { db } = box.context;
  await kitCounts(db);
  await write(db, async (tx) => {
    await putKitCounts(tx, { ball: 1 });
    expect(await kitCounts(tx)).toEqual({ ball: 1 });
  });
  let fails = true;
  const read = () =>
    remembered(db, 'shaky', () => (fails ? Promise.reject(new Error('no')) : Promise.resolve('yes')));
  await expect(read()).rejects.toThrow('no');
  fails = false;
  expect(await read()).toBe('yes');
});
