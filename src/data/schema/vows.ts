import { index, integer, primaryKey, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { surfaces } from '../../core/venues/place';
import { player } from './book';

/** What a player has at home: what a vow may ask for. Lengths in metres. */
export const home = sqliteTable('home', {
  playerId: text('player_id')
    .primaryKey()
    .references(() => player.id),
  lengthM: real('length_m').notNull(),
  widthM: real('width_m').notNull(),
  /** Null where it is under the sky. */
  ceilingM: real('ceiling_m'),
  surface: text('surface', { enum: surfaces }).notNull(),
  /** Metres of wall that may be hit; 0 where there is none. */
  wallM: real('wall_m').notNull(),
  tables: integer('tables').notNull(),
  /** Lamps or windows in reach of a ball. */
  lamps: integer('lamps', { mode: 'boolean' }).notNull(),
  /** Somebody who feeds, holds or calls. */
  helper: integer('helper', { mode: 'boolean' }).notNull(),
  quietFrom: text('quiet_from'),
  quietTo: text('quiet_to'),
  /** A JSON list of [thing, how many]. */
  kit: text('kit').notNull(),
});

/** What a player promised: a dose of one or more steps on certain days, until a date. */
export const vow = sqliteTable(
  'vow',
  {
    id: text('id').primaryKey(),
    playerId: text('player_id')
      .notNull()
      .references(() => player.id),
    /** Its parts, what it is for and how it grows, as JSON; checked on the way in (see session/vows). */
    promise: text('promise').notNull(),
    /** Its first and its last local day. */
    fromDay: text('from_day').notNull(),
    untilDay: text('until_day').notNull(),
    /** Spans in which it rests, as a JSON list of [first day, last day or null, why]. */
    pauses: text('pauses').notNull().default('[]'),
    /** Goes up with every change: calendars that follow it take the newer one. */
    revision: integer('revision').notNull().default(1),
    createdAtMs: integer('created_at_ms').notNull(),
    changedAtMs: integer('changed_at_ms').notNull(),
    /** The local day it was ended on before its time, and why. */
    endedOn: text('ended_on'),
    endedWhy: text('ended_why').notNull().default(''),
    /** When the coach said thank you, and how. */
    thankedAtMs: integer('thanked_at_ms'),
    thanks: text('thanks').notNull().default(''),
    /** The vow it goes on from. */
    renews: text('renews'),
    by: text('by'),
    removedAtMs: integer('removed_at_ms'),
  },
  (t) => [index('vow_by_player').on(t.playerId)],
);

/**
 * One part of a vow on one of its days: what is to be done, and under which ids what was done is logged. The session and
 * the block are made when the first count of that day arrives.
 */
export const vowDay = sqliteTable(
  'vow_day',
  {
    vowId: text('vow_id')
      .notNull()
      .references(() => vow.id, { onDelete: 'cascade' }),
    day: text('day').notNull(),
    part: integer('part').notNull(),
    /** The drill and the step it was then: a vow may be changed to others. */
    drillId: text('drill_id').notNull(),
    stepId: text('step_id').notNull(),
    /** A dose of the core, as JSON. */
    dose: text('dose').notNull(),
    sessionId: text('session_id').notNull(),
    blockId: text('block_id').notNull().unique(),
    /**
     * `asked`: it is promised; `free`: it is not, and can be done all the same; `dropped`: it was promised before the vow was
     * changed.
     */
    state: text('state', { enum: ['asked', 'free', 'dropped'] })
      .notNull()
      .default('asked'),
  },
  (t) => [primaryKey({ columns: [t.vowId, t.day, t.part] }), index('vow_day_by_day').on(t.day)],
);

/** A file with a child's vows that was handed out: what comes back is known by its key. */
export const vowFile = sqliteTable(
  'vow_file',
  {
    id: text('id').primaryKey(),
    playerId: text('player_id')
      .notNull()
      .references(() => player.id),
    /** 256 bits, hexadecimal: signs what the file gives back. */
    key: text('key').notNull(),
    createdAtMs: integer('created_at_ms').notNull(),
    revokedAtMs: integer('revoked_at_ms'),
  },
  (t) => [index('vow_file_by_player').on(t.playerId)],
);
