import { eventProblem, maxBatch } from '@/core/counting/check';
import type { TouchEvent } from '@/core/counting/event';
import { done, refused, type Outcome, type Problem } from '@/core/base/outcome';

/** A batch of events, as the run screen sends it. */
export interface Batch {
  readonly events: readonly TouchEvent[];
}

/** One event of a batch that is not taken, by its place in it. */
export interface RefusedEvent {
  readonly index: number;
  readonly id: string;
  /**
   * `gone`: its block or player is not in the plan (any more); `plan`: it was made under another plan of its block;
   * `contents`: its id is known with other contents; `unsound`: it is no event; `closed`: not from this link;
   * `removed`: its player was removed for good.
   */
  readonly why: 'gone' | 'plan' | 'contents' | 'unsound' | 'closed' | 'removed';
  /** Why, to stand after "Event 3 of 8". */
  readonly message: string;
}

/** The answer to a batch with events that are not taken: all of them are named, and nothing of it was stored. */
export function refusedEvents(
  events: readonly RefusedEvent[],
  of: number,
): { ok: false; problems: Problem[]; refused: readonly RefusedEvent[] } {
  const [first] = events;
  const { index, message } = first!;
  const more = events.length > 1 ? ` (and ${events.length - 1} more are not taken)` : '';
  return {
    ok: false,
    problems: [
      {
        field: `events[${index}]`,
        message: `Event ${index + 1} of ${of} ${message}${more}. Nothing of this batch was stored.`,
      },
    ],
    refused: events,
  };
}

/**
 * Checks a batch, `{ events: […] }`. The rules of an event live in the core; nothing of Yup here, since walking into 250
 * events field by field would cost more than storing them.
 * @param nowMs the time it is, UTC milliseconds
 */
export function checkBatch(
  input: unknown,
  nowMs: number,
): Outcome<Batch> & { readonly refused?: readonly RefusedEvent[] } {
  const events = (input as { events?: unknown } | null)?.events;
  if (!Array.isArray(events)) return refused('events', 'events must be a list: send { "events": [ … ] }.');
  if (events.length === 0) return refused('events', 'events is empty: send at least one.');
  if (events.length > maxBatch)
    return refused('events', `events holds ${events.length}: send at most ${maxBatch} at a time.`);
  const unsound = events.flatMap<RefusedEvent>((event: unknown, index) => {
    const problem = eventProblem(event, nowMs);
    const id = (event as { id?: unknown } | null)?.id;
    return problem
      ? [
          {
            index,
            id: typeof id === 'string' ? id.slice(0, 26) : '',
            why: 'unsound',
            message: `is not sound: ${problem}`,
          },
        ]
      : [];
  });
  return unsound.length > 0
    ? refusedEvents(unsound, events.length)
    : done({ events: events as TouchEvent[] });
}
