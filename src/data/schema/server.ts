import { integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/**
 * Writes through a libSQL server, the last hour's: one whose answer was lost is known by its mark, and the newest number
 * says to every other server that something was written. Files have no use for it.
 */
export const writeMark = sqliteTable('write_mark', {
  n: integer('n').primaryKey({ autoIncrement: true }),
  id: text('id').notNull().unique(),
  atMs: integer('at_ms').notNull(),
});
