import { makeBook } from '@/drills';
import { done, refused, type Outcome } from '@/core/outcome';
import { insertSession, getSession, playersOfSessions, setSessionPlayers } from '@/data/session';
import { getPlace } from '@/data/places';
import { getPlayers } from '@/data/squad';
import { write } from '@/data/write';
import { againSchema } from '@/schemas/session';
import { check } from '@/schemas/check';
import type { Context } from '../context';
import { asPlanForm, runBlocks } from '../readers/blocks';
import { bookContents } from '../readers/book';
import { playerFacts } from '../readers/player-facts';
import { placeAgain } from './place-again';
import { unknownSession } from './sessions';

/** A session planned again, and what could not come along. */
export interface Again {
  readonly ids: readonly string[];
  /** Blocks whose drill is no longer known. */
  readonly leftOut: number;
}

/**
 * Plans a session again on other days: the same hour, place, coach and group, and its blocks as they were last done,
 * everybody on the step they stand on now. All of the days or none.
 */
export async function planAgain(context: Context, id: string, input: unknown): Promise<Outcome<Again>> {
  const checked = check(againSchema, input);
  if (!checked.ok) return checked;
  const contents = await bookContents(context.db);
  return write(context.db, async (tx) => {
    const session = await getSession(tx, id);
    if (!session) return unknownSession;
    const [playersOf, before] = await Promise.all([playersOfSessions(tx, [id]), runBlocks(tx, [id])]);
    const listed = await getPlayers(tx, playersOf.get(id) ?? []);
    const players = listed
      .filter((player) => player.removedAtMs === null)
      .map((one) => playerFacts(one, context.today));
    if (players.length === 0)
      return refused('playerIds', 'Nobody of that session is on the squad any more: plan a new one.');
    const ids = players.map((player) => player.id);
    const book = makeBook(contents, session.coach);
    const { title, startTime, bookedMin, coach, placeName } = session;
    // A place that was taken off the list keeps its name.
    const place = session.placeId === null ? undefined : await getPlace(tx, session.placeId);
    const placeId = place?.removedAtMs === null ? place.id : null;
    const made: string[] = [];
    let leftOut = 0;
    for (const day of checked.value.days) {
      const next = context.newId();
      await insertSession(
        tx,
        next,
        { title, day, startTime, bookedMin, coach, placeName, placeId, airC: null },
        context.nowMs,
      );
      await setSessionPlayers(tx, next, ids);
      leftOut = await placeAgain(tx, context, book, next, players, before.map(asPlanForm));
      made.push(next);
    }
    return done({ ids: made, leftOut });
  });
}
