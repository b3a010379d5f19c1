import type { SessionRow } from '@/data/session';

/** A session's own facts, as every screen shows them. */
export type SessionFacts = Omit<SessionRow, 'createdAtMs' | 'removedAtMs' | 'savedAs' | 'laneMoves'> & {
  readonly removed: boolean;
};

export function sessionFacts({
  createdAtMs: _created,
  savedAs: _saved,
  laneMoves: _moves,
  removedAtMs,
  ...rest
}: SessionRow): SessionFacts {
  return { ...rest, removed: removedAtMs !== null };
}
