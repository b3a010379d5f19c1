import { mixed, object } from 'yup';
import { eventProblem, maxBatch } from '@/core/counting/check';
import type { TouchEvent } from '@/core/counting/event';

/**
 * A batch of events, as the run screen sends it. The rules of an event live in the core: the whole list
 * is one value to Yup, since walking into 250 events field by field would cost more than storing them.
 */
export const touchBatchSchema = object({
  events: mixed<TouchEvent[]>().test('events', (events: unknown, context) => {
    const message = batchProblem(events);
    return message === null || context.createError({ message });
  }),
});

/** What is wrong with a batch, naming the event and the field; null when all are sound. */
function batchProblem(events: unknown): string | null {
  if (!Array.isArray(events)) return 'events must be a list: send { "events": [ … ] }.';
  if (events.length === 0) return 'events is empty: send at least one.';
  if (events.length > maxBatch) return `events holds ${events.length}: send at most ${maxBatch} at a time.`;
  for (const [index, event] of events.entries()) {
    const problem = eventProblem(event);
    if (problem)
      return `Event ${index + 1} of ${events.length}: ${problem}. Nothing of this batch was stored.`;
  }
  return null;
}
