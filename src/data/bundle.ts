import { getTableColumns, getTableName, sql, type SQL } from 'drizzle-orm';
import { keyOf, things, type Entry, type Part, type ThingName, type Value } from '@/formats/bundle/things';
import type { Executor } from './database';
import { idList, jsonRows } from './json-rows';
import * as schema from './schema';

/*
 * Between the tables of the book and the things of a file with it: a field is called as its column's property is.
 */

export const tableOf = {
  places: schema.place,
  kit: schema.kitItem,
  drills: schema.ownDrill,
  patterns: schema.pattern,
  feeders: schema.feederSetting,
  sequences: schema.shadowSequence,
  players: schema.player,
  focuses: schema.focus,
  standings: schema.ladderPlace,
  styles: schema.schoolChoice,
  fits: schema.fitOverride,
  sessions: schema.session,
  attendances: schema.sessionPlayer,
  blocks: schema.block,
  parts: schema.blockPlayer,
  marks: schema.touchEvent,
  decisions: schema.decision,
  notes: schema.note,
  ledgers: schema.ledger,
  countWords: schema.countWord,
  challenges: schema.challenge,
  challengers: schema.challengePlayer,
  challengeResults: schema.challengeResult,
  homes: schema.home,
  vows: schema.vow,
  vowDays: schema.vowDay,
  courses: schema.course,
  courseSessions: schema.courseSession,
  courseChanges: schema.courseChange,
} as const;

const fieldsOf = (name: ThingName) => Object.entries(things[name].fields);
const columnOf = (name: ThingName, field: string): SQL =>
  sql`${sql.identifier((getTableColumns(tableOf[name]) as Record<string, { name: string }>)[field]!.name)}`;
const columnsOf = (name: ThingName, fields: readonly string[]) =>
  sql.join(
    fields.map((field) => columnOf(name, field)),
    sql`, `,
  );
const named = (name: ThingName): SQL => sql`${sql.identifier(getTableName(tableOf[name]))}`;

/** Rows read in one go: some milliseconds of this thread. Ours. */
const atOnce = 2000;

/** Things of a kind, some at a time, in the order of their keys (marks in the order of the log): the same book gives the same list. */
export async function* entriesInPieces(
  db: Executor,
  name: ThingName,
  where: SQL = sql`true`,
): AsyncGenerator<Entry[]> {
  const fields = fieldsOf(name);
  const columns = columnsOf(
    name,
    fields.map(([field]) => field),
  );
  const log = name === 'marks';
  const [read, order] = log ? [sql`${columns}, seq`, sql`seq`] : [columns, columnsOf(name, things[name].key)];
  for (let [from, after] = [0, 0]; ; from += atOnce) {
    // The log is long: where to go on is known by its number, and nothing before it is looked at again.
    const rest = log ? sql`(${where}) and seq > ${after}` : where;
    const skip = log ? sql`` : sql`offset ${from}`;
    const rows = await jsonRows<Value[]>(
      db,
      read,
      sql`select ${read} from ${named(name)} where ${rest} order by ${order} limit ${atOnce} ${skip}`,
    );
    if (log) after = Number(rows.at(-1)?.at(-1) ?? after);
    yield rows.map((row) =>
      Object.fromEntries(fields.map(([field, { kind }], index) => [field, asValue(kind, row[index]!)])),
    );
    if (rows.length < atOnce) return;
    // Others go on in between.
    await new Promise((resolve) => setImmediate(resolve));
  }
}

/** All things of a kind: {@link entriesInPieces} as one list. */
export async function entriesOf(db: Executor, name: ThingName, where?: SQL): Promise<Entry[]> {
  const all: Entry[] = [];
  for await (const some of entriesInPieces(db, name, where)) for (const entry of some) all.push(entry);
  return all;
}

const asValue = (kind: string, value: Value): Value =>
  value === null
    ? null
    : kind === 'flag'
      ? value !== 0
      : kind === 'json'
        ? (JSON.parse(value as string) as object)
        : value;

/** Which of the book's things a part holds. */
export function whereOf(part: Part, id: string): Partial<Record<ThingName, SQL>> {
  const inSession = sql`session_id = ${id}`;
  const inBlock = sql`block_id in (select id from block where session_id = ${id})`;
  switch (part) {
    case 'book':
      return Object.fromEntries(Object.keys(things).map((name) => [name, sql`true`]));
    case 'drills':
      return { drills: sql`true` };
    case 'places':
      return { places: sql`true`, kit: sql`true` };
    case 'child':
      return {
        players: sql`id = ${id}`,
        focuses: sql`player_id = ${id}`,
        standings: sql`player_id = ${id}`,
        styles: sql`scope = 'player' and key = ${id}`,
        fits: sql`player_id = ${id}`,
        // What was said of a session belongs to it.
        notes: sql`player_id = ${id} and session_id is null`,
        ledgers: sql`focus_id in (select id from focus where player_id = ${id})`,
        countWords: sql`player_id = ${id}`,
        homes: sql`player_id = ${id}`,
        vows: sql`player_id = ${id}`,
        vowDays: sql`vow_id in (select id from vow where player_id = ${id})`,
      };
    case 'session':
      return {
        places: sql`id in (select place_id from session where id = ${id})`,
        drills: sql`id in (select drill_id from block where ${inSession})`,
        players: sql`id in (select player_id from session_player where ${inSession}
                            union select player_id from block_player where ${inBlock})`,
        sessions: sql`id = ${id}`,
        attendances: inSession,
        blocks: inSession,
        parts: inBlock,
        marks: inBlock,
        decisions: inBlock,
        notes: inSession,
      };
  }
}

/** The things there are of those that entries name by their keys, by key. */
export async function knownOf(
  db: Executor,
  name: ThingName,
  entries: readonly Entry[],
): Promise<Map<string, Entry>> {
  const { key } = things[name];
  const [first] = key;
  const firsts = [...new Set(entries.map((entry) => String(entry[first!])))];
  const found = await entriesOf(db, name, sql`${columnOf(name, first!)} in (${idList(firsts)})`);
  const asked = new Set(entries.map((entry) => keyOf(name, entry)));
  return new Map(
    found.map((entry) => [keyOf(name, entry), entry] as const).filter(([its]) => asked.has(its)),
  );
}

/** Puts entries in: new ones, or over those of the same key. */
export async function putEntries(db: Executor, name: ThingName, entries: readonly Entry[]): Promise<void> {
  const fields = fieldsOf(name).map(([field]) => field);
  const { key } = things[name];
  const values = sql.join(
    fields.map((_, index) => sql`value ->> ${sql.raw(String(index))}`),
    sql`, `,
  );
  const rest = fields.filter((field) => !key.includes(field));
  const change = sql.join(
    rest.map((field) => sql`${columnOf(name, field)} = excluded.${columnOf(name, field)}`),
    sql`, `,
  );
  for (let from = 0; from < entries.length; from += atOnce) {
    const rows = JSON.stringify(
      entries.slice(from, from + atOnce).map((entry) => fields.map((field) => entry[field])),
    );
    await db.run(sql`
      insert into ${named(name)} (${columnsOf(name, fields)}) select ${values} from json_each(${rows}) where true
      on conflict (${columnsOf(name, key)}) do update set ${change}`);
  }
}

/** Takes entries out by their keys. */
export async function removeEntries(
  db: Executor,
  name: ThingName,
  keys: readonly (readonly string[])[],
): Promise<void> {
  const { key } = things[name];
  const match = sql.join(
    key.map((field, index) => sql`t.${columnOf(name, field)} = one.value ->> ${sql.raw(String(index))}`),
    sql` and `,
  );
  await db.run(sql`
    delete from ${named(name)} where rowid in (
      select t.rowid from json_each(${JSON.stringify(keys)}) one join ${named(name)} t on ${match})`);
}
