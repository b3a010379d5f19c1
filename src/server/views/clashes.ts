import { clashesOf, freeLater, nextFreeDay, type Booked } from '@/core/plan/clash';
import type { ClashSaid } from '@/core/plan/clash-words';
import { daysLater, mostWeeks } from '@/core/plan/weekly';
import { getSession, playersOfSessions } from '@/data/session';
import { getPlayers, listPlayers } from '@/data/squad';
import { check } from '@/schemas/check';
import { clashSchema, type ClashQuestion } from '@/schemas/clash';
import type { Context } from '../base/context';
import { bookedBetween, clashSaid } from '../readers/booked';

/** What bookings collide with, and what is free instead. */
export interface Clashes {
  readonly clashes: readonly ClashSaid[];
  /** The next day of the first one's weekday on which nothing collides; null where nothing does, or all is taken. */
  readonly freeDay: string | null;
  /** The next start on the first day at which nothing collides; null likewise. */
  readonly freeLater: string | null;
}

const none: Clashes = { clashes: [], freeDay: null, freeLater: null };

/** What a booking would collide with on each of its days. What is no booking yet collides with nothing. */
export async function clashesView(context: Context, input: unknown): Promise<Clashes> {
  const checked = check(clashSchema, input);
  if (!checked.ok) return none;
  const { days, exceptId } = checked.value;
  const wanted = await bookingOf(context, checked.value);
  if (!wanted) return none;
  const sorted = [...days].sort();
  const { db } = context;
  const until = daysLater(sorted[0]!, 7 * mostWeeks);
  const last = sorted.at(-1)! > until ? sorted.at(-1)! : until;
  const others = (await bookedBetween(db, sorted[0]!, last)).filter(({ id }) => id !== exceptId);
  const found = sorted.flatMap((day) => clashesOf({ ...wanted, day }, others));
  const names = new Map((await getPlayers(db, wanted.playerIds)).map(({ id, name }) => [id, name]));
  const first = { ...wanted, day: sorted[0]! };
  const taken = clashesOf(first, others).length > 0;
  return {
    clashes: found.map((clash) => clashSaid(clash, names)),
    freeDay: taken ? nextFreeDay(first, others) : null,
    freeLater: taken ? freeLater(first, others) : null,
  };
}

/** What would be booked, whatever the day. */
async function bookingOf({ db }: Context, { booking, fromId }: ClashQuestion): Promise<Booked | null> {
  if (booking) return { ...booking, day: '' };
  const session = fromId === null ? undefined : await getSession(db, fromId);
  if (!session) return null;
  const [players, squad] = await Promise.all([playersOfSessions(db, [session.id]), listPlayers(db)]);
  const here = new Set(squad.map(({ id }) => id));
  const { startTime, bookedMin, coach, placeId, placeName } = session;
  const playerIds = (players.get(session.id) ?? []).filter((id) => here.has(id));
  return { day: '', startTime, bookedMin, coach, placeId, placeName, playerIds };
}
