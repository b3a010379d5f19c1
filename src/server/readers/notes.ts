import type { RecapQuestion } from '@/core/base/recap';
import type { Database } from '@/data/database';
import { notesOfSessions, notesOnPlayers, type NoteRow } from '@/data/notes';

/** A coach's note as screens show it. */
export interface Note {
  readonly id: string;
  readonly sessionId: string | null;
  readonly blockId: string | null;
  readonly playerId: string | null;
  readonly text: string;
  readonly atMs: number;
  readonly by: string | null;
}

export type Answers = Readonly<Partial<Record<RecapQuestion, string>>>;

export interface SessionNotes {
  readonly notes: readonly Note[];
  /** What was answered at the end. */
  readonly answers: Answers;
}

const asNote = ({ id, sessionId, blockId, playerId, text, atMs, by }: NoteRow): Note => ({
  id,
  sessionId,
  blockId,
  playerId,
  text,
  atMs,
  by,
});

/** What was written about a session, and its recap. */
export async function sessionNotes(db: Database, id: string): Promise<SessionNotes> {
  const rows = await notesOfSessions(db, [id]);
  return {
    notes: rows.filter((row) => row.question === null).map(asNote),
    answers: Object.fromEntries(rows.flatMap((row) => (row.question ? [[row.question, row.text]] : []))),
  };
}

/** The newest notes on players, the newest first. */
export async function playerNotes(
  db: Database,
  ids: readonly string[],
  sinceMs: number,
  limit: number,
): Promise<Note[]> {
  return (await notesOnPlayers(db, ids, sinceMs, limit)).map(asNote);
}
