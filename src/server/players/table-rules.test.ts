import { getTableColumns, getTableName, sql, type SQL } from 'drizzle-orm';
import { getTableConfig, type SQLiteColumn, type SQLiteTable } from 'drizzle-orm/sqlite-core';
import { tableOf } from '@/data/bundle';
import * as schema from '@/data/schema';
import { childTables, tableRules, type TableRule } from '@/data/table-rules';
import { playerFieldNames, playerFields } from '@/schemas/player-fields';
import { ingestTouches } from '../court/ingest';
import { addNote } from '../notes/notes';
import { planAgain } from '../plan/again';
import { finishSession } from '../plan/sessions';
import { eventsOf, oneBlockSession, scratch, value } from '../testing/scratch';
import { everythingView } from '../views/everything';
import { eraseForGood } from './erase';

/*
 * Every column of every table, walked: a word of its own is put into each text column of a child's rows; then the page with
 * everything about the child is read, and the child is removed for good.
 */

let box: Awaited<ReturnType<typeof scratch>>;
beforeEach(async () => (box = await scratch()));
afterEach(() => box.close());

type Name = keyof typeof schema;
const columnsOf = (name: Name) =>
  Object.entries(getTableColumns(schema[name] as SQLiteTable)) as [string, SQLiteColumn][];
const wordIn = (name: Name, column: string) => `Zanzibar-${name}-${column}`;

/** The tables a table's columns point to, by the column's name. */
const targetsOf = (name: Name) =>
  new Map(
    getTableConfig(schema[name] as SQLiteTable).foreignKeys.map((key) => {
      const { columns, foreignColumns, foreignTable } = key.reference();
      return [columns[0]!.name, { table: foreignTable, column: foreignColumns[0]!.name }] as const;
    }),
  );
const keysOf = (name: Name) => {
  const { primaryKeys, columns } = getTableConfig(schema[name] as SQLiteTable);
  const own = columns.filter((column) => column.primary || column.isUnique).map((column) => column.name);
  return new Set([...own, ...primaryKeys.flatMap((key) => key.columns.map((column) => column.name))]);
};

/** Columns a person's words could stand in: text, no key, no reference, none of a few fixed words. */
function wordColumns(name: Name): string[] {
  const [keys, targets] = [keysOf(name), targetsOf(name)];
  const rule: TableRule = tableRules[name];
  const stays = rule.about === 'child' ? (rule.stays ?? {}) : {};
  return columnsOf(name)
    .filter(([property, column]) => {
      const free = column.dataType === 'string' && !column.enumValues?.length;
      return free && !keys.has(column.name) && !targets.has(column.name) && !Object.hasOwn(stays, property);
    })
    .map(([property]) => property);
}

async function child() {
  const { context } = box;
  const { sessionId, playerIds, block } = await oneBlockSession(context);
  const id = playerIds[0]!;
  value(await ingestTouches(context, { events: eventsOf('xx-x', block.id, id, () => context.newId()) }));
  value(await addNote(context, { playerId: id, text: 'likes red' }));
  value(await finishSession(context, sessionId));
  value(await planAgain(context, sessionId, { days: ['2026-12-03'] }));
  return id;
}

/** What a new row must say for it to be the child's, where a reference does not say it. */
const ownOf = (id: string): Partial<Record<Name, Record<string, unknown>>> => ({
  schoolChoice: { scope: 'player', key: id },
  challengeResult: { partnerId: null },
  takeOver: { what: `${id} ${wordIn('takeOver', 'what')}` },
});

/** Makes a row about the child in a table: references lead to the child's own rows, or to any. */
async function makeRow(name: Name, id: string): Promise<void> {
  const { db, newId } = box.context;
  const targets = targetsOf(name);
  const values: Record<string, unknown> = {};
  for (const [property, column] of columnsOf(name)) {
    const target = targets.get(column.name);
    if (target) {
      const table = getTableName(target.table);
      const rule = childTables.find(([one]) => getTableName(schema[one]) === table)?.[1];
      const where: SQL = rule ? rule.rows(id) : sql`true`;
      const [row] = await db.all<{ it: string }>(
        sql`select ${sql.identifier(target.column)} as it from ${sql.identifier(table)} where ${where} limit 1`,
      );
      values[property] = row?.it ?? null;
    } else if (column.enumValues?.length) values[property] = column.enumValues[0];
    else if (column.dataType === 'string')
      values[property] = column.primary ? newId() : wordIn(name, property);
    else if (column.dataType === 'boolean') values[property] = false;
    else values[property] = /until|removed|revoked|undone|ended/i.test(property) ? null : 1;
  }
  await db.insert(schema[name] as SQLiteTable).values({ ...values, ...ownOf(id)[name] });
}

/** Every table about children has a row of the child, with a word of its own in each column that could hold one. */
async function fill(id: string): Promise<void> {
  const { db } = box.context;
  await db.insert(schema.challenge).values({
    id: box.context.newId(),
    title: 't',
    kind: 'best',
    drillId: 'd',
    stepId: 's',
    fromDay: '',
    untilDay: '',
    createdAtMs: 0,
  });
  for (const [name, { rows }] of childTables.toReversed()) {
    const table = schema[name] as SQLiteTable;
    const [{ n }] = (await db.all<{ n: number }>(
      sql`select count(*) as n from ${table} where ${rows(id)}`,
    )) as [{ n: number }];
    if (n === 0) await makeRow(name, id);
    const words = wordColumns(name).filter((column) => !Object.hasOwn(ownOf(id)[name] ?? {}, column));
    if (words.length > 0)
      await db
        .update(table)
        .set(Object.fromEntries(words.map((column) => [column, wordIn(name, column)])))
        .where(rows(id));
  }
}

test('a family reads every word there is about their child, but what is kept from them with a reason', async () => {
  const id = await child();
  await fill(id);
  const all = (await everythingView(box.context, id))!;
  for (const [name, { family, notForFamily = {} }] of childTables) {
    if (typeof family !== 'string') continue;
    expect(Object.keys(all)).toContain(family);
    const text = JSON.stringify(all[family as keyof typeof all]);
    for (const column of wordColumns(name))
      expect([name, column, text.includes(wordIn(name, column))]).toEqual([
        name,
        column,
        !Object.hasOwn(notForFamily, column),
      ]);
  }
});

test('a child removed for good leaves no word in any column of any table', async () => {
  const id = await child();
  await fill(id);
  const { db, today } = box.context;
  const { name } = (
    await db
      .select()
      .from(schema.player)
      .where(sql`id = ${id}`)
  )[0]!;
  value(await eraseForGood(box.context, id, { name }));
  for (const table of Object.keys(schema) as Name[])
    for (const [column, { name: stored }] of columnsOf(table)) {
      const found = await db.all(
        sql`select 1 from ${schema[table] as SQLiteTable} where instr(${sql.identifier(stored)}, 'Zanzibar') > 0 limit 1`,
      );
      expect([table, column, found]).toEqual([table, column, []]);
    }
  for (const [table, { rows, erased }] of childTables) {
    const left = await db.all(sql`select 1 from ${schema[table] as SQLiteTable} where ${rows(id)}`);
    expect([table, left.length > 0]).toEqual([table, erased !== 'rows go']);
  }
  const [left] = await db
    .select()
    .from(schema.player)
    .where(sql`id = ${id}`);
  for (const field of playerFieldNames) {
    const { erased } = playerFields[field];
    if (field !== 'focus' && typeof erased === 'object' && 'to' in erased)
      expect([field, left![field]]).toEqual([field, erased.to]);
  }
  expect(left!.birthYear).toBe(Number(today.slice(0, 4)) - 10);
});

test('every table is in a file with everything, or says why not', () => {
  const carried = new Set<unknown>(Object.values(tableOf));
  for (const name of Object.keys(schema) as Name[])
    expect([name, carried.has(schema[name])]).toEqual([name, tableRules[name].inFiles === true]);
});
