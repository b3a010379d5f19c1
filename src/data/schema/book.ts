import { sql } from 'drizzle-orm';
import { index, integer, primaryKey, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import { attendances } from '../../core/players/attendance';
import { recapQuestions } from '../../core/base/recap';
import { shadowGrounds } from '../../core/movement/sequence/shots';
import { surfaces } from '../../core/venues/place';

/*
 * The data dictionary. Times are UTC milliseconds; days are local ISO dates (a session is held on a local day).
 * Ids are ULIDs. Nothing a coach enters is erased at once: removed rows carry `removedAtMs` and can come back.
 */

export const player = sqliteTable('player', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  birthYear: integer('birth_year').notNull(),
  sport: text('sport', { enum: ['tennis', 'table tennis'] }).notNull(),
  hand: text('hand', { enum: ['right', 'left'] }).notNull(),
  stage: text('stage', { enum: ['red', 'orange', 'green', 'yellow'] }),
  heightCm: integer('height_cm'),
  racketIn: real('racket_in'),
  careNote: text('care_note').notNull().default(''),
  createdAtMs: integer('created_at_ms').notNull(),
  removedAtMs: integer('removed_at_ms'),
  /** Removed for good: nothing here says who it was any more; what was counted stands under no name. */
  erasedAtMs: integer('erased_at_ms'),
});

/** The one thing a player is working on; the open one has no end. */
export const focus = sqliteTable(
  'focus',
  {
    id: text('id').primaryKey(),
    playerId: text('player_id')
      .notNull()
      .references(() => player.id),
    text: text('text').notNull(),
    sinceMs: integer('since_ms').notNull(),
    untilMs: integer('until_ms'),
  },
  (t) => [
    uniqueIndex('focus_one_open')
      .on(t.playerId)
      .where(sql`until_ms is null`),
  ],
);

/** The step a player stands on in a drill's ladder, and the result they aim at there. */
export const ladderPlace = sqliteTable(
  'ladder_place',
  {
    playerId: text('player_id')
      .notNull()
      .references(() => player.id),
    drillId: text('drill_id').notNull(),
    stepId: text('step_id').notNull(),
    target: real('target').notNull(),
    sinceMs: integer('since_ms').notNull(),
    why: text('why').notNull(),
  },
  (t) => [primaryKey({ columns: [t.playerId, t.drillId] })],
);

/** A place to train in. Lengths in metres. */
export const place = sqliteTable('place', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  lengthM: real('length_m').notNull(),
  widthM: real('width_m').notNull(),
  /** Null under the sky. */
  ceilingM: real('ceiling_m'),
  surface: text('surface', { enum: surfaces }).notNull(),
  /** Metres of wall that may be hit. */
  wallM: real('wall_m').notNull(),
  /** The side that wall is along; null where nobody said. */
  wallSide: text('wall_side', { enum: ['long', 'short'] }),
  /** A JSON list of what stands on the floor; null where nobody drew it. */
  things: text('things'),
  tables: integer('tables').notNull(),
  /** A JSON list of hazards. */
  hazards: text('hazards').notNull().default('[]'),
  quietFrom: text('quiet_from'),
  quietTo: text('quiet_to'),
  createdAtMs: integer('created_at_ms').notNull(),
  removedAtMs: integer('removed_at_ms'),
});

/** How many of a thing the coaches have. */
export const kitItem = sqliteTable('kit_item', {
  name: text('name').primaryKey(),
  count: integer('count').notNull(),
});

/** A drill written here: the same form as the catalogue's, as JSON; checked on the way in. */
export const ownDrill = sqliteTable('own_drill', {
  id: text('id').primaryKey(),
  drill: text('drill').notNull(),
  createdAtMs: integer('created_at_ms').notNull(),
  removedAtMs: integer('removed_at_ms'),
});

/** A session without its day and its children: blocks kept by name, to start from. */
export const pattern = sqliteTable('pattern', {
  id: text('id').primaryKey(),
  title: text('title').notNull(),
  bookedMin: integer('booked_min').notNull(),
  /** Blocks of a plan as JSON, nobody's own part in them; checked on the way in. */
  blocks: text('blocks').notNull(),
  createdAtMs: integer('created_at_ms').notNull(),
  removedAtMs: integer('removed_at_ms'),
});

/** What was dialled on the feeder machine, kept by name with the drill it is for. */
export const feederSetting = sqliteTable('feeder_setting', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  drillId: text('drill_id').notNull(),
  /** Settings and place of the machine, as JSON; checked on the way in. */
  settings: text('settings').notNull(),
  createdAtMs: integer('created_at_ms').notNull(),
  removedAtMs: integer('removed_at_ms'),
});

/** A shadow sequence of the house: strokes without a ball, as a line of words. */
export const shadowSequence = sqliteTable('shadow_sequence', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  sport: text('sport', { enum: ['tennis', 'table tennis'] }).notNull(),
  ground: text('ground', { enum: shadowGrounds }).notNull(),
  /** Its strokes as a line; checked on the way in. */
  line: text('line').notNull(),
  createdAtMs: integer('created_at_ms').notNull(),
  removedAtMs: integer('removed_at_ms'),
});

/** Which school a coach chose, for all their work, one drill, or one player. */
export const schoolChoice = sqliteTable(
  'school_choice',
  {
    scope: text('scope', { enum: ['coach', 'drill', 'player'] }).notNull(),
    /** A coach's name ('' for everybody), a drill's or a player's id. */
    key: text('key').notNull(),
    question: text('question').notNull(),
    answer: text('answer').notNull(),
  },
  (t) => [primaryKey({ columns: [t.scope, t.key, t.question] })],
);

/** A number of the fit to the child that a coach set themselves. */
export const fitOverride = sqliteTable(
  'fit_override',
  {
    playerId: text('player_id')
      .notNull()
      .references(() => player.id),
    key: text('key').notNull(),
    value: real('value').notNull(),
  },
  (t) => [primaryKey({ columns: [t.playerId, t.key] })],
);

export const session = sqliteTable(
  'session',
  {
    id: text('id').primaryKey(),
    /** On court, or one day of a vow at home: those are on no list of sessions. */
    kind: text('kind', { enum: ['court', 'home'] })
      .notNull()
      .default('court'),
    title: text('title').notNull(),
    day: text('day').notNull(),
    startTime: text('start_time').notNull(),
    bookedMin: integer('booked_min').notNull(),
    coach: text('coach').notNull().default(''),
    /** The place as it was called; kept when the place itself is taken off the list. */
    placeName: text('place_name').notNull().default(''),
    placeId: text('place_id').references(() => place.id),
    /** Air temperature to expect, °C. */
    airC: integer('air_c'),
    state: text('state', { enum: ['planned', 'running', 'finished'] })
      .notNull()
      .default('planned'),
    /** Goes up with every change of the plan: two tabs cannot overwrite each other unseen. */
    revision: integer('revision').notNull().default(1),
    /** The last save of the plan, by the id its screen gave it: a save whose answer was lost is known again. */
    savedAs: text('saved_as'),
    createdAtMs: integer('created_at_ms').notNull(),
    startedAtMs: integer('started_at_ms'),
    finishedAtMs: integer('finished_at_ms'),
    /** Why it was not held, in a coach's words; null while it is to come, was held, or nobody has said. */
    notHeld: text('not_held'),
    /** A JSON list of lanes that were moved by hand on its floor; null where all lie as they were laid out. */
    laneMoves: text('lane_moves'),
    removedAtMs: integer('removed_at_ms'),
  },
  (t) => [index('session_by_day').on(t.day, t.startTime)],
);

export const sessionPlayer = sqliteTable(
  'session_player',
  {
    sessionId: text('session_id')
      .notNull()
      .references(() => session.id),
    playerId: text('player_id')
      .notNull()
      .references(() => player.id),
    position: integer('position').notNull(),
    /** Whether they came, as the coach said it; null while nobody has. */
    attendance: text('attendance', { enum: attendances }),
    /** When that was said: of who came late or left early, about when that was. */
    attendanceAtMs: integer('attendance_at_ms'),
    /** Who said it; null for the session's coach. */
    attendanceBy: text('attendance_by'),
  },
  (t) => [
    primaryKey({ columns: [t.sessionId, t.playerId] }),
    index('session_player_by_player').on(t.playerId),
  ],
);

export const block = sqliteTable(
  'block',
  {
    id: text('id').primaryKey(),
    sessionId: text('session_id')
      .notNull()
      .references(() => session.id),
    position: integer('position').notNull(),
    drillId: text('drill_id').notNull(),
    stepId: text('step_id').notNull(),
    /** A dose of the core, as JSON; checked on the way in. */
    dose: text('dose').notNull(),
    /** Spices and easings, as a JSON list of their names. */
    changes: text('changes').notNull().default('[]'),
    stations: integer('stations').notNull().default(1),
    /** Seconds of drink break after it. */
    breakS: integer('break_s').notNull().default(0),
    retest: integer('retest', { mode: 'boolean' }).notNull().default(false),
    /** How it is set out, where a bench worked it out: a setting of the core, as JSON; checked on the way in. */
    setting: text('setting'),
    /** Its part in a circuit, as JSON (see core/plan/circuit); null where it is done alone. */
    circuit: text('circuit'),
  },
  (t) => [index('block_by_session').on(t.sessionId, t.position)],
);

/**
 * Words of a coach about a session, one of its blocks, a player, or a player in a session. What was noted on court is in
 * the log. An answer to a recap question carries the question's name.
 */
export const note = sqliteTable(
  'note',
  {
    id: text('id').primaryKey(),
    sessionId: text('session_id').references(() => session.id),
    /** A block of that session. It may be taken out of the plan; its note then belongs to the session. */
    blockId: text('block_id'),
    playerId: text('player_id').references(() => player.id),
    question: text('question', { enum: recapQuestions }),
    text: text('text').notNull(),
    atMs: integer('at_ms').notNull(),
    /** Who wrote it; null for the session's coach. */
    by: text('by'),
    removedAtMs: integer('removed_at_ms'),
  },
  (t) => [index('note_by_session').on(t.sessionId), index('note_by_player').on(t.playerId, t.atMs)],
);

/**
 * A player's part in a block: their own step and amount of the dose (null: the block's), whether they sit it out,
 * and whether their cached attempts lag behind the log.
 */
export const blockPlayer = sqliteTable(
  'block_player',
  {
    blockId: text('block_id')
      .notNull()
      .references(() => block.id, { onDelete: 'cascade' }),
    playerId: text('player_id')
      .notNull()
      .references(() => player.id),
    stepId: text('step_id'),
    amount: real('amount'),
    sitsOut: integer('sits_out', { mode: 'boolean' }).notNull().default(false),
    stale: integer('stale').notNull().default(0),
  },
  (t) => [
    primaryKey({ columns: [t.blockId, t.playerId] }),
    index('block_player_stale')
      .on(t.blockId)
      .where(sql`stale = 1`),
  ],
);

/**
 * The log of a session: append-only. Inserting an event twice is a no-op; an undo is another event.
 * Everything in `attempt` can be rebuilt from it.
 */
export const touchEvent = sqliteTable(
  'touch_event',
  {
    /** The log's own number: it only grows and is never given twice, so devices can follow it. */
    seq: integer('seq').primaryKey({ autoIncrement: true }),
    id: text('id').notNull().unique(),
    blockId: text('block_id')
      .notNull()
      .references(() => block.id),
    playerId: text('player_id').references(() => player.id),
    kind: text('kind').notNull(),
    attempt: integer('attempt').notNull(),
    value: real('value'),
    ref: text('ref'),
    /** A step, change, ball, feed, block or call by its name; a note's words; what a block was when it was begun. */
    text: text('text'),
    /** Who made the mark; null for the session's coach. */
    by: text('by'),
    atMs: integer('at_ms').notNull(),
    monoMs: integer('mono_ms').notNull(),
    device: text('device').notNull(),
    /** How it came about, where nobody pressed or typed it: heard, from a clip, felt. */
    origin: text('origin'),
  },
  (t) => [index('touch_event_by_block').on(t.blockId, t.playerId)],
);

/** Results of the core reducer, kept so that no page has to read the log again. */
export const attempt = sqliteTable(
  'attempt',
  {
    blockId: text('block_id')
      .notNull()
      .references(() => block.id),
    playerId: text('player_id')
      .notNull()
      .references(() => player.id),
    number: integer('number').notNull(),
    drillId: text('drill_id').notNull(),
    stepId: text('step_id').notNull(),
    day: text('day').notNull(),
    result: real('result'),
    touches: integer('touches').notNull(),
    drops: integer('drops').notNull(),
    startedMs: integer('started_ms').notNull(),
    /** Gaps between its touches, waits after drops left out, and the milliseconds they took. */
    gaps: integer('gaps').notNull().default(0),
    touchingMs: integer('touching_ms').notNull(),
    /** Made under an easing: it counts as touches, but stands for no gate and no best. */
    eased: integer('eased', { mode: 'boolean' }).notNull().default(false),
    /** Counted aloud and typed in. */
    reported: integer('reported', { mode: 'boolean' }).notNull().default(false),
    /** How it was counted, where not by finger or word: by ear, from a clip. */
    origin: text('origin'),
    /** Put right afterwards; the log says by whom and when. */
    fixed: integer('fixed', { mode: 'boolean' }).notNull().default(false),
    /** Shorter than a lap can be: it has no result until the coach confirms it or puts it right. */
    doubtful: integer('doubtful', { mode: 'boolean' }).notNull().default(false),
    /** How the ball came, where that was changed on court: known, random, live. */
    feed: text('feed'),
    /** The ball's stage, where it was changed on court. */
    ball: text('ball'),
    /** Made at home, for a vow. */
    home: integer('home', { mode: 'boolean' }).notNull().default(false),
    /** Made with the other hand. */
    otherHand: integer('other_hand', { mode: 'boolean' }).notNull().default(false),
  },
  (t) => [
    primaryKey({ columns: [t.blockId, t.playerId, t.number] }),
    // What was done lately is read whole from here: every value of those questions is in it.
    index('attempt_by_day').on(t.day, t.playerId, t.drillId, t.stepId, t.touches, t.drops, t.result),
    index('attempt_by_result').on(t.playerId, t.drillId, t.stepId, t.eased, t.result, t.day),
    index('attempt_by_player').on(t.playerId, t.drillId, t.stepId, t.day, t.result, t.touches, t.drops),
  ],
);

/** What was decided about a player on a step after a block, with the evidence. */
export const decision = sqliteTable(
  'decision',
  {
    blockId: text('block_id')
      .notNull()
      .references(() => block.id),
    playerId: text('player_id')
      .notNull()
      .references(() => player.id),
    drillId: text('drill_id').notNull(),
    stepId: text('step_id').notNull(),
    verdict: text('verdict', { enum: ['up', 'hold', 'back'] }).notNull(),
    nextStepId: text('next_step_id').notNull(),
    target: real('target').notNull(),
    reason: text('reason').notNull(),
    /** What it was decided on, as JSON (see server/plan/decisions); null in books of before it was kept. */
    evidence: text('evidence'),
    /** True when the coach chose otherwise than proposed. */
    overridden: integer('overridden', { mode: 'boolean' }).notNull(),
    decidedAtMs: integer('decided_at_ms').notNull(),
    /** Who decided; null for the session's coach. */
    by: text('by'),
  },
  (t) => [
    primaryKey({ columns: [t.blockId, t.playerId] }),
    index('decision_by_player').on(t.playerId, t.drillId, t.decidedAtMs),
  ],
);

/**
 * Facts about this database itself: `epoch` (a new one after a restore, so that devices look again at what is here),
 * `probe` (the last time it was written to, to see that it can be), `records` (that what held blocks were is written down).
 */
export const databaseFact = sqliteTable('database_fact', {
  key: text('key', { enum: ['epoch', 'probe', 'records'] }).primaryKey(),
  value: text('value').notNull(),
});
