import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { createClient, type Client } from '@libsql/client';
import { migrateDatabase, openDatabase } from '@/data/client';
import { demoScratch, demoToday } from '@/demo/testing/demo-scratch';
import { todayView } from './views/today';

/*
 * The twenty migrations there were before the first release became one baseline. A database that had all twenty opens as it
 * is; one that had fewer is refused with what to do.
 */

const folder = mkdtempSync(path.join(tmpdir(), 'vowstep-baseline-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** When the last of the twenty was made: what a database of then says of itself. */
const lastMs = 1796176438201;

async function oldSchema(file: string): Promise<Client> {
  const client = createClient({ url: `file:${file}` });
  const statements = readFileSync(path.join(__dirname, 'testing', 'before-baseline.sql'), 'utf8');
  for (const statement of statements.split('--> statement-breakpoint')) await client.execute(statement);
  await client.execute({
    sql: 'insert into __drizzle_migrations (hash, created_at) values (?, ?)',
    args: ['0019_doubtful_laps', lastMs],
  });
  return client;
}

const tablesOf = async (client: Client): Promise<string[]> => {
  const { rows } = await client.execute(
    `select name from sqlite_master where type = 'table' and name not like 'sqlite_%' and name <> '__drizzle_migrations' order by name`,
  );
  return rows.map((row) => row.name as string);
};
const columnsOf = async (client: Client, table: string) =>
  (
    await client.execute(
      `select name, type, "notnull", dflt_value, pk from pragma_table_info('${table}') order by name`,
    )
  ).rows.map((row) => ({ ...row }));
const indexesOf = async (client: Client) =>
  (
    await client.execute(
      `select m.tbl_name, i.name as col, l."unique", l.partial from sqlite_master m
       join pragma_index_list(m.tbl_name) l on l.name = m.name join pragma_index_info(m.name) i
       where m.type = 'index' and m.sql is not null order by m.name, i.seqno`,
    )
  ).rows.map((row) => ({ ...row }));
const rowsOf = async (client: Client, table: string) => {
  const columns = (await columnsOf(client, table)).map(
    (one) => `"${String((one as { name?: string }).name)}"`,
  );
  return (
    await client.execute(`select ${columns.join(', ')} from "${table}" order by ${columns.join(', ')}`)
  ).rows.map((row) => ({ ...row }));
};

test('a database of the last schema before the baseline opens with all its contents', async () => {
  const demo = await demoScratch(2);
  const file = path.join(folder, 'last.db');
  const old = await oldSchema(file);
  const now = createClient({ url: `file:${demo.file}` });
  const tables = await tablesOf(old);
  expect(tables.length).toBeGreaterThan(35);
  expect((await tablesOf(now)).filter((name) => name !== 'vowstep_migrating')).toEqual(
    tables.filter((name) => name !== 'vowstep_migrating'),
  );
  // The same columns and indexes, in whatever order they came to be.
  for (const table of tables)
    expect([table, await columnsOf(old, table)]).toEqual([table, await columnsOf(now, table)]);
  expect(await indexesOf(old)).toEqual(await indexesOf(now));
  await old.execute('pragma foreign_keys = off');
  await old.execute(`attach database '${demo.file}' as now`);
  for (const table of tables) {
    const columns = (await columnsOf(old, table))
      .map((one) => `"${String((one as { name?: string }).name)}"`)
      .join(', ');
    await old.execute(`insert into main."${table}" (${columns}) select ${columns} from now."${table}"`);
  }
  old.close();

  const db = await openDatabase(`file:${file}`);
  await migrateDatabase(db);
  const opened = createClient({ url: `file:${file}` });
  let rows = 0;
  for (const table of tables.filter((name) => !['database_fact', 'vowstep_migrating'].includes(name))) {
    const there = await rowsOf(opened, table);
    rows += there.length;
    expect([table, there]).toEqual([table, await rowsOf(now, table)]);
  }
  expect(rows).toBeGreaterThan(1000);
  const context = { ...demo.context, db, today: demoToday };
  expect(JSON.stringify(await todayView(context))).toBe(JSON.stringify(await todayView(demo.context)));
  for (const one of [opened, now]) one.close();
  db.$client.close();
  demo.close();
});

test('one that had fewer is left as it is, and says how its contents come along', async () => {
  const file = path.join(folder, 'fewer.db');
  const old = await oldSchema(file);
  await old.execute('update __drizzle_migrations set created_at = 1700000000000');
  old.close();
  const db = await openDatabase(`file:${file}`);
  await expect(migrateDatabase(db)).rejects.toThrow(
    /trial version .* export everything there, and import the file here/,
  );
  db.$client.close();
});
