import type { TouchEvent } from '@/core/counting/event';
import { done, refused, type Outcome } from '@/core/outcome';
import { appendEvents, knownPairs, markStale } from '@/data/log';
import { startSessionsOf } from '@/data/session';
import { write } from '@/data/write';
import type { Context } from './context';
import { check } from './schemas/check';
import { touchBatchSchema } from './schemas/touches';

/**
 * Stores a batch of events: all of it or nothing. A batch that came before is no fault, it is stored once.
 * @param sessionId only blocks of this session are taken; without it those of any
 * @returns how many were new
 */
export async function ingestTouches(
  context: Pick<Context, 'db' | 'nowMs'>,
  input: unknown,
  sessionId?: string,
): Promise<Outcome<{ stored: number }>> {
  const checked = check(touchBatchSchema, input);
  if (!checked.ok) return checked;
  const events = checked.value.events as TouchEvent[];
  const blockIds = [...new Set(events.map((event) => event.blockId))];
  return write(context.db, async (tx) => {
    const pairs = await knownPairs(tx, blockIds, sessionId);
    const blocks = new Set([...pairs].map((pair) => pair.split(' ')[0]));
    const stranger = events.find(({ blockId, playerId }) =>
      playerId === null ? !blocks.has(blockId) : !pairs.has(`${blockId} ${playerId}`),
    );
    if (stranger) {
      const place = events.indexOf(stranger);
      return refused(
        `events[${place}]`,
        `Event ${place + 1} of ${events.length} names a block or player that is not in the plan (any more). Nothing of this batch was stored.`,
      );
    }
    const stored = await appendEvents(tx, events);
    if (stored > 0) await markStale(tx, blockIds);
    // A block that was started without the server starts its session when the news arrives.
    const started = events.flatMap((event) => (event.kind === 'start' ? [event.blockId] : []));
    if (started.length > 0) await startSessionsOf(tx, started, context.nowMs);
    return done({ stored });
  });
}
