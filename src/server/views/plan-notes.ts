import { getSession, playersOfSessions, sessionsOfPlayer } from '@/data/session';
import type { Context } from '../base/context';
import { notesBefore, type NotesBefore } from '../readers/notes-before';
import { playerNotes, type Note } from '../readers/notes';

/** What is known from before, for who plans a session: read when it is asked for. */
export interface PlanNotesView {
  /** What was written about the last session of these children that was held; null when nothing was. */
  readonly before: NotesBefore | null;
  /** The newest notes on who comes. */
  readonly players: readonly Note[];
}

/** Notes on players are shown to who plans for so long, milliseconds, and so many of them: ours. */
const sinceMs = 60 * 86_400_000;
const most = 40;

export async function planNotesView(
  { db, nowMs }: Context,
  id: string,
  playerIds: readonly string[],
): Promise<PlanNotesView> {
  const session = await getSession(db, id);
  if (!session) return { before: null, players: [] };
  const first = (await playersOfSessions(db, [id])).get(id)?.[0];
  const [held, players] = await Promise.all([
    first === undefined ? [] : sessionsOfPlayer(db, first, 12),
    playerNotes(db, playerIds, nowMs - sinceMs, most),
  ]);
  const last = held.find((one) => one.state === 'finished' && one.day < session.day);
  return { before: last ? await notesBefore(db, last.id) : null, players };
}
