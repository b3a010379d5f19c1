import type { TouchEvent } from '@/core/counting/event';
import { isByEar } from '@/core/counting/origin';
import { idTimeMs } from '@/core/counting/ulid-time';
import type { RunLog } from './run-log';

/** What is kept with one press is written one after the other, each within so many milliseconds of the one before. Ours. */
const withinMs = 2000;

/**
 * All that was kept with one press together with a mark: what was heard, and what took the taps of that time back. A mark of
 * a finger, and what was read from a clip, stands by itself.
 * @param events all events of the mark's player in its block
 */
export function keptTogether(events: readonly TouchEvent[], mark: TouchEvent): TouchEvent[] {
  if (!isByEar(mark.origin)) return [mark];
  const together: TouchEvent[] = [];
  let lastMs = idTimeMs(mark.id) ?? 0;
  const earlier = events
    .filter(({ id, origin }) => origin === mark.origin && id <= mark.id)
    .sort((a, b) => (a.id < b.id ? 1 : -1));
  for (const one of earlier) {
    const madeMs = idTimeMs(one.id) ?? 0;
    if (lastMs - madeMs > withinMs) break;
    together.push(one);
    lastMs = madeMs;
  }
  return together;
}

/** Takes back all that was kept together with a mark. */
export function undoKept(log: RunLog, mark: TouchEvent): void {
  const { blockId, playerId } = mark;
  for (const { id } of keptTogether(log.events(blockId, playerId), mark))
    void log.log({ blockId, playerId, kind: 'undo', ref: id });
}
