import { index, integer, primaryKey, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { challengeKinds } from '../../core/challenges/challenge';
import { focus, player } from './book';

/** What counts towards a focus, and how many good repetitions the coach wants of it. */
export const ledger = sqliteTable('ledger', {
  focusId: text('focus_id')
    .primaryKey()
    .references(() => focus.id, { onDelete: 'cascade' }),
  /** Good repetitions wanted. */
  goal: integer('goal').notNull(),
  /** Drills that count, or steps of them: a JSON list of [drill id, step id or null]. */
  counts: text('counts').notNull(),
});

/** A coach's word on how a player counts: until that day it is settled. */
export const countWord = sqliteTable(
  'count_word',
  {
    id: text('id').primaryKey(),
    playerId: text('player_id')
      .notNull()
      .references(() => player.id),
    /** What was found; see core/skill/honest. */
    doubt: text('doubt').notNull(),
    /** Counted right, or to be counted half: its evidence then weighs half. */
    word: text('word', { enum: ['right', 'half'] }).notNull(),
    /** Local ISO: what was counted until then is settled. */
    untilDay: text('until_day').notNull(),
    atMs: integer('at_ms').notNull(),
    by: text('by'),
    removedAtMs: integer('removed_at_ms'),
  },
  (t) => [index('count_word_by_player').on(t.playerId)],
);

/** A friendly challenge on a step: for some players, from a day until another. */
export const challenge = sqliteTable('challenge', {
  id: text('id').primaryKey(),
  title: text('title').notNull(),
  kind: text('kind', { enum: challengeKinds }).notNull(),
  drillId: text('drill_id').notNull(),
  stepId: text('step_id').notNull(),
  /** What stands on the card: ball, distance, bounce. */
  rules: text('rules').notNull().default(''),
  fromDay: text('from_day').notNull(),
  untilDay: text('until_day').notNull(),
  /** Attempts each has; null where they are not counted. */
  attempts: integer('attempts'),
  /** Touches wanted together; null elsewhere. */
  goal: integer('goal'),
  /** A ranking of children, because the coach asked for one. */
  ranked: integer('ranked', { mode: 'boolean' }).notNull().default(false),
  createdAtMs: integer('created_at_ms').notNull(),
  removedAtMs: integer('removed_at_ms'),
  by: text('by'),
});

/** A player in a challenge, with what could be expected of them when it began. */
export const challengePlayer = sqliteTable(
  'challenge_player',
  {
    challengeId: text('challenge_id')
      .notNull()
      .references(() => challenge.id, { onDelete: 'cascade' }),
    playerId: text('player_id')
      .notNull()
      .references(() => player.id),
    /** Their best on the step before it; null when there was none. */
    best: real('best'),
    /** Their level on the day it began, on the scale of the measure, and its variance, form of a day and all. */
    level: real('level'),
    variance: real('variance'),
  },
  (t) => [primaryKey({ columns: [t.challengeId, t.playerId] })],
);

/** A result typed in; those counted on court are read from the log. */
export const challengeResult = sqliteTable(
  'challenge_result',
  {
    id: text('id').primaryKey(),
    challengeId: text('challenge_id')
      .notNull()
      .references(() => challenge.id, { onDelete: 'cascade' }),
    /** Null for another club's, which has no names here. */
    playerId: text('player_id').references(() => player.id),
    /** The other of a pair, whose result it is as much. */
    partnerId: text('partner_id').references(() => player.id),
    /** The other club, where it is theirs. */
    club: text('club'),
    result: real('result').notNull(),
    day: text('day').notNull(),
    atMs: integer('at_ms').notNull(),
    by: text('by'),
    removedAtMs: integer('removed_at_ms'),
  },
  (t) => [index('challenge_result_by_challenge').on(t.challengeId)],
);
