import { endTime, type Booked, type Clash } from '@/core/plan/clash';
import type { ClashSaid } from '@/core/plan/clash-words';
import { daysLater } from '@/core/plan/weekly';
import type { Executor } from '@/data/database';
import { playersOfSessions, sessionsBetween, type SessionRow } from '@/data/session';

/** A session with all it takes. */
export type BookedSession = SessionRow & Booked;

/**
 * Sessions that take their players, coach and place from one day to another: not those that were called off, or are over.
 * The evening before is among them, because a booking may go on past midnight.
 */
export async function bookedBetween(db: Executor, from: string, to: string): Promise<BookedSession[]> {
  const all = await sessionsBetween(db, daysLater(from, -1), daysLater(to, 1));
  const open = all.filter(({ state, notHeld }) => state !== 'finished' && notHeld === null);
  const playersOf = await playersOfSessions(
    db,
    open.map(({ id }) => id),
  );
  return open.map((session) => ({ ...session, playerIds: playersOf.get(session.id) ?? [] }));
}

/** A collision in the words of the squad. */
export const clashSaid = (
  {
    with: { day, title, startTime, bookedMin },
    playerIds,
    coach,
    place,
  }: Clash<Booked & { readonly title: string }>,
  names: ReadonlyMap<string, string>,
): ClashSaid => ({
  day,
  title,
  startTime,
  endTime: endTime({ startTime, bookedMin }),
  coach,
  place,
  names: playerIds.flatMap((id) => names.get(id) ?? []),
});
