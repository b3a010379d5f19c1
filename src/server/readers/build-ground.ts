import { noLoadSum } from '@/core/dose/load';
import type { Executor } from '@/data/database';
import { allRecordsSince } from '@/data/results';
import { getPlayers, placesOf } from '@/data/squad';
import { makeBook, type Book } from '@/drills';
import type { PlanSetting } from '@/session/evaluate';
import type { StandsOn } from '@/session/place-block';
import type { Context } from '../context';
import { recentSince } from '../days';
import { bookContents } from './book';
import { groundOf } from './ground';
import { playerFacts, type PlayerFacts } from './player-facts';

/** What sessions are built from: the drills as a coach has them, the children, and where they stand. */
export interface BuildGround {
  readonly book: Book;
  readonly players: readonly PlayerFacts[];
  readonly standsOn: (drillId: string) => StandsOn;
}

/** Who is not on the squad any more is left out. */
export async function buildGround(
  db: Executor,
  { today }: Pick<Context, 'today'>,
  coach: string,
  playerIds: readonly string[],
): Promise<BuildGround> {
  const [rows, places, contents] = await Promise.all([
    getPlayers(db, playerIds),
    placesOf(db, playerIds),
    bookContents(db),
  ]);
  return {
    book: makeBook(contents, coach),
    players: rows
      .filter(({ removedAtMs, erasedAtMs }) => removedAtMs === null && erasedAtMs === null)
      .map((row) => playerFacts(row, today)),
    standsOn: (drillId) => (playerId) =>
      places.find((one) => one.playerId === playerId && one.drillId === drillId)?.stepId,
  };
}

/** What sessions ahead are built under; care of the day itself is looked at when the day is planned. */
export async function buildSetting(
  db: Executor,
  { book, players }: BuildGround,
  {
    bookedMin,
    startTime,
    placeId,
    day,
  }: { bookedMin: number; startTime: string; placeId: string | null; day: string },
): Promise<PlanSetting> {
  const ids = players.map(({ id }) => id);
  const [records, ground] = await Promise.all([allRecordsSince(db, ids, recentSince(day)), groundOf(db)]);
  return {
    ...{ book, records, bookedMin, startTime, airC: null, ground: ground(placeId) },
    players: players.map((player) => ({ ...player, weekLoad: noLoadSum, dayLoad: noLoadSum, lastDone: {} })),
  };
}
