import { and, desc, eq, gte, inArray, isNull, like, sql } from 'drizzle-orm';
import type { Executor } from './database';
import { note, session } from './schema';

export type NoteRow = typeof note.$inferSelect;

const stands = isNull(note.removedAtMs);

export async function getNote(db: Executor, id: string): Promise<NoteRow | undefined> {
  return (await db.select().from(note).where(eq(note.id, id)))[0];
}

export async function insertNote(db: Executor, row: Omit<NoteRow, 'removedAtMs'>): Promise<void> {
  await db.insert(note).values(row);
}

export async function setNoteRemoved(db: Executor, id: string, removedAtMs: number | null): Promise<void> {
  await db.update(note).set({ removedAtMs }).where(eq(note.id, id));
}

/** Takes off the answers to a recap question: there is one of each. */
export async function removeAnswers(
  db: Executor,
  sessionId: string,
  question: NonNullable<NoteRow['question']>,
  nowMs: number,
): Promise<void> {
  await db
    .update(note)
    .set({ removedAtMs: nowMs })
    .where(and(eq(note.sessionId, sessionId), eq(note.question, question), stands));
}

/** Notes of sessions, in the order written. */
export async function notesOfSessions(db: Executor, ids: readonly string[]): Promise<NoteRow[]> {
  if (ids.length === 0) return [];
  return db
    .select()
    .from(note)
    .where(and(inArray(note.sessionId, [...ids]), stands))
    .orderBy(note.atMs, note.id);
}

/** Notes on players since a moment, the newest first. */
export async function notesOnPlayers(
  db: Executor,
  ids: readonly string[],
  sinceMs: number,
  limit: number,
): Promise<NoteRow[]> {
  if (ids.length === 0) return [];
  return db
    .select()
    .from(note)
    .where(and(inArray(note.playerId, [...ids]), gte(note.atMs, sinceMs), stands))
    .orderBy(desc(note.atMs), desc(note.id))
    .limit(limit);
}

/** A note found by its words, with the session it belongs to. */
export interface FoundNote extends NoteRow {
  readonly sessionTitle: string | null;
  readonly day: string | null;
}

/** Notes with a stretch of text in them, whatever its case, the newest first. */
export async function notesWith(db: Executor, text: string, limit: number): Promise<FoundNote[]> {
  const rows = await db
    .select({ note, sessionTitle: session.title, day: session.day })
    .from(note)
    .leftJoin(session, eq(session.id, note.sessionId))
    .where(and(like(note.text, sql`${`%${text.replace(/[\\%_]/g, '\\$&')}%`} escape '\\'`), stands))
    .orderBy(desc(note.atMs))
    .limit(limit);
  return rows.map(({ note: row, ...rest }) => ({ ...row, ...rest }));
}
