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
    const { eventId: id, number: attempt, startedMs: atMs } = one;
    if (one.whole) return [{ id, blockId, kind: 'done', attempt, value: one.touches, text: null, atMs }];
    if (one.result === null) return [];
    return [{ id, blockId, kind: 'result', attempt, value: one.result, text: null, atMs }];
  });
  const words = liveEvents(events).flatMap<Reported>(({ id, kind, attempt, value, atMs }) => {
    if (kind !== 'step' && kind !== 'note') return [];
    return [{ id, blockId, kind, attempt, value, text: byId.get(id)?.text ?? null, atMs }];
  });
  return [...attempts, ...words].sort((a, b) => (a.id < b.id ? -1 : 1));
}
