import { endOfLog, eventsStoredAfter, reachedAt, type Reached } from '@/data/log';
import { epochOf } from '@/data/epoch';
import { absentFrom, blocksOfSessions, getSession } from '@/data/session';
import type { TouchEvent } from '@/core/counting/event';
import { buildId } from '../base/build-id';
import { isEnding } from '../base/ending';
import { presenceOf } from '../readers/attendance';
import type { Context } from '../base/context';

/** Where a device has got to in the log, and of which history. */
export interface LogPlace extends Reached {
  readonly epoch: string;
}

export interface Followed {
  readonly events: readonly TouchEvent[];
  /** Where to go on from. */
  readonly place: LogPlace;
  /** True when the device knows another history than the one here: these are the first events of all there are. */
  readonly reset: boolean;
  /** True when there are more to ask for at once. */
  readonly more: boolean;
  /** The server's clock, UTC milliseconds: devices agree on it. */
  readonly nowMs: number;
  /** Which build is running here. */
  readonly build: string;
  /** True when the server is being ended: this is the last answer for a while. */
  readonly ending: boolean;
  /** The plan as it stands; null when the session is not on record (any more). */
  readonly plan: {
    readonly revision: number;
    readonly removed: boolean;
    /** Who gets no turn, under a short name. */
    readonly presence: string;
  } | null;
}

/** Where somebody who begins to read now goes on from. */
export async function placeNow({ db }: Pick<Context, 'db'>): Promise<LogPlace> {
  const [reached, epoch] = await Promise.all([endOfLog(db), epochOf(db)]);
  return { ...reached, epoch };
}

/**
 * What other devices counted in a session since a place in the log, and what else a run screen has to know.
 * @param from where the device has got to
 * @param mine which events it may see; without it all of them
 */
export async function followSession(
  { db }: Pick<Context, 'db'>,
  sessionId: string,
  from: LogPlace,
  mine: (event: TouchEvent) => boolean = () => true,
): Promise<Followed> {
  const [blocks, session, absent, epoch, here] = await Promise.all([
    blocksOfSessions(db, [sessionId]),
    getSession(db, sessionId),
    absentFrom(db, [sessionId]),
    epochOf(db),
    reachedAt(db, from.seq),
  ]);
  // A restored book has another epoch; one that was put back by hand has another event at that place.
  const reset = from.epoch !== epoch || here.id !== from.id;
  const news = await eventsStoredAfter(
    db,
    blocks.map((block) => block.id),
    reset ? 0 : from.seq,
  );
  return {
    events: news.events.filter(mine),
    place: { ...news.reached, epoch },
    reset,
    more: news.more,
    // The wall clock as it is, whatever day the demo is told to be.
    nowMs: Date.now(),
    build: buildId(),
    ending: isEnding(),
    plan: session
      ? {
          revision: session.revision,
          removed: session.removedAtMs !== null,
          presence: presenceOf(absent),
        }
      : null,
  };
}
