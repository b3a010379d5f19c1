import { sql } from 'drizzle-orm';
import { index, integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';

/*
 * Who may come in, who is in, and what was done: the part of the data dictionary that is about coaches, not children.
 */

/** A coach with a passcode. While there is none, whoever reaches the server from its own computer is the owner. */
export const coach = sqliteTable(
  'coach',
  {
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    /** The name as it is compared: of whoever still signs in there is one of each. */
    nameKey: text('name_key').notNull(),
    role: text('role', { enum: ['owner', 'coach'] }).notNull(),
    /** The passcode's hash with the parameters it was made with (`server/access/passcode.ts`). */
    passcode: text('passcode').notNull(),
    createdAtMs: integer('created_at_ms').notNull(),
    removedAtMs: integer('removed_at_ms'),
  },
  (t) => [
    uniqueIndex('coach_by_name')
      .on(t.nameKey)
      .where(sql`removed_at_ms is null`),
  ],
);

/** A browser a coach is signed in with. Only a hash of what its cookie says is kept. */
export const signIn = sqliteTable(
  'sign_in',
  {
    tokenHash: text('token_hash').primaryKey(),
    coachId: text('coach_id')
      .notNull()
      .references(() => coach.id),
    createdAtMs: integer('created_at_ms').notNull(),
    lastUsedAtMs: integer('last_used_at_ms').notNull(),
    endedAtMs: integer('ended_at_ms'),
  },
  (t) => [index('sign_in_by_coach').on(t.coachId)],
);

/** Wrong passcodes in a row, by account and by address: each makes the next try wait longer. */
export const signInTry = sqliteTable('sign_in_try', {
  key: text('key').primaryKey(),
  failures: integer('failures').notNull(),
  lastAtMs: integer('last_at_ms').notNull(),
});

/** What was done, by whom. It names things by their ids only, so that a child removed for good is gone from here too. */
export const audit = sqliteTable(
  'audit',
  {
    id: text('id').primaryKey(),
    atMs: integer('at_ms').notNull(),
    /** The coach's name; empty while nobody signs in. */
    who: text('who').notNull(),
    what: text('what').notNull(),
    /** Ids of what it was about, JSON. */
    about: text('about', { mode: 'json' }).$type<readonly string[]>().notNull(),
    /** How often, where the same was done again and again within a while (a plan that is saved with every key). */
    times: integer('times').notNull().default(1),
    /** Where the log stood: the number of its last event. */
    seq: integer('seq').notNull(),
  },
  (t) => [index('audit_by_time').on(t.atMs)],
);
