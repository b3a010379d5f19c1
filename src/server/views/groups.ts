import type { Booked } from '@/core/plan/clash';
import { playersOfSessions, sessionsBetween } from '@/data/session';
import { listPlayers } from '@/data/squad';
import { listPlaces } from '@/data/places';
import type { Context } from '../base/context';
import { dayAfter } from '../base/days';

/** A group as it last met: what a new session of theirs begins with. */
export interface Group extends Omit<Booked, 'day'> {
  readonly title: string;
}

/** Groups are remembered so long after they last met, days. Ours: a summer and a winter break. */
const rememberedDays = 120;
const daysAhead = 60;
const mostGroups = 20;

/** Groups by the name of their sessions, the latest first; who left the squad has left the group. */
export async function groupsView({ db, today }: Context): Promise<Group[]> {
  const [sessions, squad, places] = await Promise.all([
    sessionsBetween(db, dayAfter(today, -rememberedDays), dayAfter(today, daysAhead)),
    listPlayers(db),
    listPlaces(db),
  ]);
  const latest = new Map(sessions.map((session) => [session.title, session]));
  const last = [...latest.values()]
    .sort((a, b) => (a.day < b.day ? 1 : a.day > b.day ? -1 : 0))
    .slice(0, mostGroups);
  const playersOf = await playersOfSessions(
    db,
    last.map(({ id }) => id),
  );
  const here = new Set(squad.map(({ id }) => id));
  const listed = new Set(places.map(({ id }) => id));
  return last.flatMap(({ id, title, startTime, bookedMin, coach, placeId, placeName }) => {
    const playerIds = (playersOf.get(id) ?? []).filter((player) => here.has(player));
    if (playerIds.length === 0) return [];
    const known = placeId !== null && listed.has(placeId);
    return [{ title, startTime, bookedMin, coach, placeId: known ? placeId : null, placeName, playerIds }];
  });
}
