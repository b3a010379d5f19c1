import { sql, type SQL } from 'drizzle-orm';
import * as schema from './schema';

/*
 * What becomes of each table: whether a file with everything holds it, which of its rows are about one child, what is left
 * of them when the child is removed for good, and where the page with everything about a child shows them. A new table does
 * not compile before it has answered; `table-rules.test` walks every column.
 */

type TableName = keyof typeof schema;

interface EveryTable {
  /** Does a file with everything hold it, or why not? */
  readonly inFiles: true | { readonly not: string };
}

/** A table in which no row is about one child. */
interface AboutNobody extends EveryTable {
  readonly about: 'nobody';
  /** Why a child cannot be found there, where that is not plain to see. */
  readonly why?: string;
}

interface AboutChild extends EveryTable {
  readonly about: 'child';
  /** The rows that are about a child, by the child's id. */
  readonly rows: (id: string) => SQL;
  /** When a child is removed for good: the rows go, those that nothing hangs on go, or they stay without what says who it was. */
  readonly erased: 'rows go' | { readonly rowsStay: string };
  /** The list of the page with everything about a child that holds them, or why none does. */
  readonly family: string | { readonly not: string };
  /** Columns that are not handed to the family, with the reason. */
  readonly notForFamily?: Readonly<Record<string, string>>;
  /** Columns whose text stays when the child is removed for good, with the reason. */
  readonly stays?: Readonly<Record<string, string>>;
}

export type TableRule = AboutNobody | AboutChild;

const ofPlayer = (id: string): SQL => sql`player_id = ${id}`;
const nobody: AboutNobody = { inFiles: true, about: 'nobody' };
const ofHere = { not: 'it belongs to this server' } as const;
const secret = { not: 'it lets somebody in' } as const;
const writer = 'who wrote it is the club’s affair';

/** In this order rows can go: what hangs on others comes before them. */
export const tableRules = {
  ledger: {
    inFiles: true,
    about: 'child',
    rows: (id) => sql`focus_id in (select id from focus where player_id = ${id})`,
    erased: 'rows go',
    family: 'ledgers',
  },
  focus: { inFiles: true, about: 'child', rows: ofPlayer, erased: 'rows go', family: 'focuses' },
  countWord: { inFiles: true, about: 'child', rows: ofPlayer, erased: 'rows go', family: 'counting' },
  challengeResult: {
    inFiles: true,
    about: 'child',
    rows: (id) => sql`player_id = ${id} or partner_id = ${id}`,
    erased: 'rows go',
    family: 'results',
  },
  challengePlayer: {
    inFiles: true,
    about: 'child',
    rows: ofPlayer,
    erased: 'rows go',
    family: 'challenges',
  },
  fitOverride: { inFiles: true, about: 'child', rows: ofPlayer, erased: 'rows go', family: 'fit' },
  schoolChoice: {
    inFiles: true,
    about: 'child',
    rows: (id) => sql`scope = 'player' and key = ${id}`,
    erased: 'rows go',
    family: 'schools',
  },
  ladderPlace: { inFiles: true, about: 'child', rows: ofPlayer, erased: 'rows go', family: 'places' },
  decision: { inFiles: true, about: 'child', rows: ofPlayer, erased: 'rows go', family: 'decisions' },
  note: { inFiles: true, about: 'child', rows: ofPlayer, erased: 'rows go', family: 'notes' },
  scopedLink: {
    inFiles: secret,
    about: 'child',
    rows: ofPlayer,
    erased: 'rows go',
    family: { not: 'a link says nothing about a child' },
  },
  home: { inFiles: true, about: 'child', rows: ofPlayer, erased: 'rows go', family: 'homes' },
  vowDay: {
    inFiles: true,
    about: 'child',
    rows: (id) => sql`vow_id in (select id from vow where player_id = ${id})`,
    erased: 'rows go',
    family: 'vowDays',
    notForFamily: {
      sessionId: 'a number of our own',
      blockId: 'a number of our own',
      state: 'how days are planned',
    },
  },
  vow: { inFiles: true, about: 'child', rows: ofPlayer, erased: 'rows go', family: 'vows' },
  vowFile: {
    inFiles: secret,
    about: 'child',
    rows: ofPlayer,
    erased: 'rows go',
    family: { not: 'its key signs what comes back, and is nobody’s to see' },
  },
  takeOver: {
    inFiles: ofHere,
    about: 'child',
    // What a file brought in is kept as it was before, to be taken back: names, notes and all.
    rows: (id) => sql`instr(what, ${id}) > 0`,
    erased: 'rows go',
    family: { not: 'what it brought in stands in its own tables' },
  },
  attempt: {
    inFiles: { not: 'it is made again from the log' },
    about: 'child',
    rows: ofPlayer,
    erased: { rowsStay: 'results, under no name' },
    family: 'attempts',
    stays: {
      drillId: 'a drill',
      stepId: 'a step',
      day: 'when',
      feed: 'a feed',
      ball: 'a ball',
      origin: 'how counted',
    },
  },
  touchEvent: {
    inFiles: true,
    about: 'child',
    rows: ofPlayer,
    erased: { rowsStay: 'counts, under no name; what a person wrote goes' },
    family: 'events',
    notForFamily: {
      by: writer,
      device: 'a number of our own',
      monoMs: 'the same as atMs',
      seq: 'a number of our own',
    },
    stays: {
      kind: 'what was counted',
      ref: 'the id of another event',
      device: 'a number of a device',
      origin: 'how counted',
    },
  },
  blockPlayer: {
    inFiles: true,
    about: 'child',
    // Where nothing was counted with them they were not: plans to come, and sessions they missed.
    rows: (id) => sql`player_id = ${id} and not exists
        (select 1 from touch_event e where e.block_id = block_player.block_id and e.player_id = ${id})`,
    erased: 'rows go',
    family: { not: 'what was planned is a plan, and what was done is in the results' },
  },
  sessionPlayer: {
    inFiles: true,
    about: 'child',
    rows: (id) => sql`player_id = ${id} and not exists
        (select 1 from block b join touch_event e on e.block_id = b.id
         where b.session_id = session_player.session_id and e.player_id = ${id})`,
    erased: 'rows go',
    family: 'sessions',
    notForFamily: { attendanceBy: writer },
  },
  player: {
    inFiles: true,
    about: 'child',
    rows: (id) => sql`id = ${id}`,
    erased: { rowsStay: 'a number for what was counted; see schemas/player-fields for each field' },
    family: 'player',
    stays: { sport: 'see schemas/player-fields' },
  },
  courseSession: { inFiles: true, about: 'nobody', why: 'children stand in it by their ids alone' },
  courseChange: { inFiles: true, about: 'nobody', why: 'children stand in it by their ids alone' },
  course: nobody,
  challenge: nobody,
  session: {
    inFiles: true,
    about: 'nobody',
    why: 'a day of a vow has a title that says whose it is, and loses it',
  },
  block: nobody,
  place: nobody,
  kitItem: nobody,
  ownDrill: nobody,
  pattern: nobody,
  feederSetting: nobody,
  shadowSequence: nobody,
  coach: { inFiles: secret, about: 'nobody' },
  signIn: { inFiles: secret, about: 'nobody' },
  signInTry: { inFiles: ofHere, about: 'nobody' },
  audit: { inFiles: ofHere, about: 'nobody', why: 'it names things by their ids alone' },
  databaseFact: { inFiles: ofHere, about: 'nobody' },
  writeMark: { inFiles: ofHere, about: 'nobody' },
} as const satisfies Readonly<Record<TableName, TableRule>>;

/** The tables with rows about a child, in the order in which they can go. */
export const childTables = Object.entries(tableRules as Readonly<Record<TableName, TableRule>>).flatMap(
  ([name, rule]) => (rule.about === 'child' ? [[name as TableName, rule] as const] : []),
);
