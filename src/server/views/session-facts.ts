import type { SessionRow } from '@/data/session';

/** A session's own facts, as every screen shows them. */
export type SessionFacts = Omit<SessionRow, 'createdAtMs' | 'removedAtMs' | 'savedAs'> & {
  readonly removed: boolean;
};

export function sessionFacts({
  createdAtMs: _created,
  savedAs: _saved,
  removedAtMs,
  ...rest
}: SessionRow): SessionFacts {
  return { ...rest, removed: removedAtMs !== null };
}
