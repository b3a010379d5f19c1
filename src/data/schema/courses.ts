import { index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { note, session } from './book';

/** Several sessions of a group towards one goal: a step of a ladder that everybody passes. */
export const course = sqliteTable('course', {
  id: text('id').primaryKey(),
  title: text('title').notNull(),
  drillId: text('drill_id').notNull(),
  /** The step to be passed by the end. */
  stepId: text('step_id').notNull(),
  createdAtMs: integer('created_at_ms').notNull(),
  by: text('by'),
  removedAtMs: integer('removed_at_ms'),
});

/** A session of a course, and the rung of the ladder each child is planned on in it. */
export const courseSession = sqliteTable(
  'course_session',
  {
    courseId: text('course_id')
      .notNull()
      .references(() => course.id, { onDelete: 'cascade' }),
    sessionId: text('session_id')
      .notNull()
      .references(() => session.id),
    /** Step ids by player id, as JSON: what the course wrote into the plan, so that a coach's own word is seen. */
    rungs: text('rungs').notNull(),
    /** The note with the challenge for home. */
    noteId: text('note_id').references(() => note.id),
  },
  (t) => [
    primaryKey({ columns: [t.courseId, t.sessionId] }),
    index('course_session_by_session').on(t.sessionId),
  ],
);

/** Who was planned anew in a course after a session. */
export const courseChange = sqliteTable(
  'course_change',
  {
    id: text('id').primaryKey(),
    courseId: text('course_id')
      .notNull()
      .references(() => course.id, { onDelete: 'cascade' }),
    /** The session it was planned anew after; null where the coach asked for it. */
    sessionId: text('session_id').references(() => session.id),
    /** Who, from which day on, and which step instead of which: a JSON list. No names: words are made when it is read. */
    moves: text('moves').notNull(),
    atMs: integer('at_ms').notNull(),
  },
  (t) => [index('course_change_by_course').on(t.courseId, t.atMs)],
);
