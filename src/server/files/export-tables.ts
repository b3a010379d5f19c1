import { sql } from 'drizzle-orm';
import { csvText, type Cell } from '@/formats/tables';
import type { Executor } from '@/data/database';
import { jsonRows } from '@/data/json-rows';
import { kindList } from '@/data/kind-list';
import { momentOf } from '@/data/moment';
import { listPlayers } from '@/data/squad';
import { fieldLabel, playerFieldNames } from '@/schemas/player-fields';
import type { Context } from '../base/context';
import { resultsReady } from '../court/results';
import { bookContents } from '../readers/book';
import { standingChallenges } from '../readers/challenges';
import { makeBook } from '@/drills';

export const tables = ['squad', 'sessions', 'attempts', 'touches', 'challenges'] as const;
export type TableName = (typeof tables)[number];
export const isTable = (name: string): name is TableName => tables.includes(name as TableName);

/** Columns of the tables that can be brought in again, as they are called. */
export const sessionColumns = [
  'Day',
  'Start',
  'Minutes',
  'Title',
  'Coach',
  'Place',
  'Air °C',
  'Players',
] as const;

/** Rows read at once from a long table. */
const atOnce = 2000;

/** A table of the book as CSV, in pieces. Ids stay at home: a table is for people. */
export async function* tableText(context: Context, name: TableName): AsyncGenerator<string> {
  await resultsReady(context.db);
  yield* momentOf(context.db, (read) => textFrom(context, read, name));
}

async function* textFrom(context: Context, db: Executor, name: TableName): AsyncGenerator<string> {
  switch (name) {
    case 'squad':
      yield csvText(
        playerFieldNames.map(fieldLabel),
        (await listPlayers(db)).map((player) => playerFieldNames.map((name) => player[name])),
      );
      return;
    case 'sessions':
      yield csvText(
        [...sessionColumns, 'State'],
        await jsonRows<Cell[]>(
          db,
          sql`day, start_time, booked_min, title, coach, place_name, air_c, players, said`,
          sql`select s.*, case when not_held is not null then 'not held' else state end as said,
                (select group_concat(name, '; ') from (select p.name as name from session_player x join player p on p.id = x.player_id
                  where x.session_id = s.id order by x.position)) as players
              from session s where removed_at_ms is null and kind = 'court' order by day, start_time, id`,
        ),
      );
      return;
    case 'attempts': {
      const book = makeBook(await bookContents(db));
      const titles = (drillId: string, stepId: string): [string, string] => [
        book.drill(drillId)?.title ?? drillId,
        book.step(drillId, stepId)?.title ?? stepId,
      ];
      yield* inPieces(
        [
          'Day',
          'Session',
          'Player',
          'Drill',
          'Step',
          'Try',
          'Result',
          'Touches',
          'Drops',
          'Seconds',
          'Eased',
          'At home',
          'Other hand',
          'Said aloud',
          'Corrected',
          'Counted by',
        ],
        (from) =>
          jsonRows<[string, string, string, string, string, ...Cell[]]>(
            db,
            sql`day, title, name, drill_id, step_id, number, result, touches, drops, seconds, eased, home, other_hand, reported, fixed, origin`,
            sql`select a.*, s.title as title, p.name as name, a.touching_ms / 1000.0 as seconds
                from attempt a join block b on b.id = a.block_id join session s on s.id = b.session_id join player p on p.id = a.player_id
                order by a.day, a.block_id, a.player_id, a.number limit ${atOnce} offset ${from}`,
          ),
        ([day, title, name, drillId, stepId, ...rest]) => [
          day,
          title,
          name,
          ...titles(drillId, stepId),
          ...rest.slice(0, 5),
          ...rest.slice(5, 10).map((one) => one === 1),
          ...rest.slice(10),
        ],
      );
      return;
    }
    case 'touches':
      yield* inPieces(
        ['Time', 'Day', 'Session', 'Player', 'What', 'Try', 'Value', 'Words', 'By', 'Counted by', 'Device'],
        (_, last?: Mark) =>
          jsonRows<Mark>(
            db,
            sql`at_ms, day, title, name, kind, attempt, value, words, by, origin, device, seq`,
            // What a block was begun as is for programs: the bundle has it.
            sql`select e.at_ms, s.day as day, s.title as title, p.name as name, e.kind, e.attempt, e.value,
                  case when e.kind in (${kindList(({ text }) => text === 'record')}) then '' else e.text end as words, e.by, e.origin, e.device, e.seq
                from touch_event e join block b on b.id = e.block_id join session s on s.id = b.session_id
                left join player p on p.id = e.player_id
                where e.seq > ${last?.at(-1) ?? 0} order by e.seq limit ${atOnce}`,
          ),
        ([atMs, ...rest]) => [new Date(atMs).toISOString(), ...rest.slice(0, -1)],
      );
      return;
    case 'challenges': {
      const challenges = await standingChallenges(context);
      yield csvText(
        [
          'Challenge',
          'Kind',
          'First day',
          'Last day',
          'Drill',
          'Step',
          'Player',
          'Attempts',
          'Result',
          'Says',
        ],
        challenges.flatMap(({ title, kind, fromDay, untilDay, drill, step, board, pairs, names }) => {
          const of = [title, kind, fromDay, untilDay, drill, step];
          return kind === 'pairs'
            ? pairs.map(({ players, used, result }): Cell[] => [
                ...[...of, players.map((id) => names[id]).join(' and '), used],
                ...[result, `${result} in turn`],
              ])
            : board.lines.map(({ playerId, used, result, words }): Cell[] => [
                ...[...of, names[playerId] ?? '', used],
                ...[result, words],
              ]);
        }),
      );
    }
  }
}

/** A mark as it is read: its moment, what stands in the table, and its number in the log. */
type Mark = readonly [
  number,
  string,
  string,
  string | null,
  string,
  number,
  Cell,
  string | null,
  Cell,
  Cell,
  string,
  number,
];

async function* inPieces<Row extends readonly unknown[]>(
  columns: readonly string[],
  read: (from: number, last: Row | undefined) => Promise<Row[]>,
  cells: (row: Row) => Cell[],
): AsyncGenerator<string> {
  let last: Row | undefined;
  for (let from = 0; ; from += atOnce) {
    const rows = await read(from, last);
    last = rows.at(-1);
    const text = csvText(columns, rows.map(cells));
    // Only the first piece has a head.
    if (from === 0) yield text;
    else if (rows.length > 0) yield text.slice(text.indexOf('\r\n') + 2);
    if (rows.length < atOnce) return;
  }
}
