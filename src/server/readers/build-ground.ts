import { aged, yearsBetween } from '@/core/base/aged';
import { noLoadSum } from '@/core/dose/load';
import type { Executor } from '@/data/database';
import { allRecordsSince } from '@/data/results';
import { getPlayers, placesOf } from '@/data/squad';
import { makeBook, type Book } from '@/drills';
import type { PlanSetting } from '@/session/plan/evaluate';
import type { StandsOn } from '@/session/plan/place-block';
import { recentSince } from '../base/days';
import { bookContents } from './book';
import { groundOf } from './ground';
import { playerFacts, type PlayerFacts } from './player-facts';

/** What sessions are built from: the drills as a coach has them, the children, and where they stand. */
export interface BuildGround {
  readonly book: Book;
  readonly players: readonly PlayerFacts[];
  readonly standsOn: (drillId: string) => StandsOn;
  /** The day its players have these ages on, local ISO. */
  readonly day: string;
}

/** The same on another day: everybody is as old as they are then. */
export const groundOn = <G extends BuildGround>(ground: G, day: string): G => ({
  ...ground,
  day,
  players: aged(ground.players, yearsBetween(ground.day, day)),
});

/** Who is not on the squad any more is left out. */
export async function buildGround(
  db: Executor,
  day: string,
  coach: string,
  playerIds: readonly string[],
): Promise<BuildGround> {
  const [rows, places, contents] = await Promise.all([
    getPlayers(db, playerIds),
    placesOf(db, playerIds),
    bookContents(db),
  ]);
  return {
    day,
    book: makeBook(contents, coach),
    players: rows
      .filter(({ removedAtMs, erasedAtMs }) => removedAtMs === null && erasedAtMs === null)
      .map((row) => playerFacts(row, day)),
    standsOn: (drillId) => (playerId) =>
      places.find((one) => one.playerId === playerId && one.drillId === drillId)?.stepId,
  };
}

/** The same for several days: worked out once, and everybody as old as they are on each. */
export async function settingsOn(
  db: Executor,
  ground: BuildGround,
  booking: { bookedMin: number; startTime: string; placeId: string | null },
  days: readonly string[],
): Promise<(day: string) => PlanSetting> {
  const [first = ground.day] = days;
  const setting = await buildSetting(db, ground, { ...booking, day: first });
  return (day) => ({ ...setting, players: aged(setting.players, yearsBetween(first, day)) });
}

/** What sessions ahead are built under; care of the day itself is looked at when the day is planned. */
export async function buildSetting(
  db: Executor,
  ground: BuildGround,
  {
    bookedMin,
    startTime,
    placeId,
    day,
  }: { bookedMin: number; startTime: string; placeId: string | null; day: string },
): Promise<PlanSetting> {
  const { book, players } = groundOn(ground, day);
  const ids = players.map(({ id }) => id);
  const [records, places] = await Promise.all([allRecordsSince(db, ids, recentSince(day)), groundOf(db)]);
  return {
    book,
    records,
    bookedMin,
    startTime,
    airC: null,
    ground: places(placeId),
    players: players.map((player) => ({ ...player, weekLoad: noLoadSum, dayLoad: noLoadSum, lastDone: {} })),
  };
}
