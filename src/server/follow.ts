import { eventsStoredAfter } from '@/data/log';
import { blocksOfSessions } from '@/data/session';
import type { TouchEvent } from '@/core/counting/event';
import type { Context } from './context';

export interface Followed {
  readonly events: readonly TouchEvent[];
  /** Where to go on from. */
  readonly after: number;
  /** The server's clock, UTC milliseconds: devices agree on it. */
  readonly nowMs: number;
}

/**
 * What other devices counted in a session since a place in the log.
 * @param playerId only this player's events and those of the whole block; without it all of them
 */
export async function followSession(
  { db }: Pick<Context, 'db'>,
  sessionId: string,
  after: number,
  playerId?: string,
): Promise<Followed> {
  const blocks = await blocksOfSessions(db, [sessionId]);
  const news = await eventsStoredAfter(
    db,
    blocks.map((block) => block.id),
    after,
  );
  const events = news.events.filter(
    (event) => playerId === undefined || event.playerId === null || event.playerId === playerId,
  );
  // The wall clock as it is, whatever day the demo is told to be.
  return { events, after: news.after, nowMs: Date.now() };
}
