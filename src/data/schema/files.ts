import { integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** What a file brought in, so that it can be taken back as a whole. */
export const takeOver = sqliteTable('take_over', {
  id: text('id').primaryKey(),
  atMs: integer('at_ms').notNull(),
  /** What it was called. */
  name: text('name').notNull(),
  /** What was added and what was changed, by thing, as JSON (see `data/take-over.ts`). */
  what: text('what').notNull(),
  undoneAtMs: integer('undone_at_ms'),
});
