import type { TouchEvent } from '@/core/counting/event';
import { liveEvents } from '@/core/counting/live';
import type { Measure } from '@/core/counting/measure';
import { tally } from '@/core/counting/tally';
import type { Reported } from './home-text';

/**
 * What was done in one block at home, told as whole attempts: a text that is sent stays short that way. Each has the id
 * of the mark it began with, so that telling it twice adds nothing twice.
 */
export function reportOf(blockId: string, events: readonly TouchEvent[], measure: Measure): Reported[] {
  const byId = new Map(events.map((event) => [event.id, event]));
  const attempts = tally(events, measure).attempts.flatMap<Reported>((one) => {
    const { eventId: id, number: attempt, startedMs: atMs, origin } = one;
    const own = { id, blockId, attempt, text: null, atMs, origin };
    if (one.whole) return [{ ...own, kind: 'done', value: one.touches }];
    if (one.result === null) return [];
    return [{ ...own, kind: 'result', value: one.result }];
  });
  const words = liveEvents(events).flatMap<Reported>(({ id, kind, attempt, value, atMs }) => {
    if (kind !== 'step' && kind !== 'note') return [];
    const text = byId.get(id)?.text ?? null;
    return [{ id, blockId, kind, attempt, value, text, atMs, origin: null }];
  });
  return [...attempts, ...words].sort((a, b) => (a.id < b.id ? -1 : 1));
}
