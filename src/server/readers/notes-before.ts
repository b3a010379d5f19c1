import type { Database } from '@/data/database';
import { getSession } from '@/data/session';
import { plannedBlocks } from './blocks';
import { sessionNotes, type Answers } from './notes';
import { remarksOf } from './remarks';

/** What was written about a session, at the desk or on court, for who plans the next one. */
export interface NotesBefore {
  readonly sessionId: string;
  readonly title: string;
  readonly day: string;
  readonly answers: Answers;
  /** The drill or the player a note is about; null where it is about the session. */
  readonly notes: readonly {
    readonly drillId: string | null;
    readonly playerId: string | null;
    readonly text: string;
  }[];
}

/** Everything written about a session; null where there is nothing, or no session. */
export async function notesBefore(db: Database, id: string): Promise<NotesBefore | null> {
  const session = await getSession(db, id);
  if (!session) return null;
  const [written, blocks] = await Promise.all([sessionNotes(db, id), plannedBlocks(db, [id])]);
  const drillOf = new Map(blocks.map((block) => [block.id, block.drillId]));
  const said = (await remarksOf(db, [...drillOf.keys()])).filter((remark) => remark.kind === 'note');
  const notes = [...written.notes, ...said].map(({ blockId, playerId, text }) => ({
    drillId: (blockId && drillOf.get(blockId)) || null,
    playerId,
    text,
  }));
  const { answers } = written;
  if (notes.length === 0 && Object.keys(answers).length === 0) return null;
  return { sessionId: id, title: session.title, day: session.day, answers, notes };
}
