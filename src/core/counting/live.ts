import type { TouchEvent } from './event';

const byId = (a: TouchEvent, b: TouchEvent) => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);

/**
 * The events that stand: each id once, in order, undone ones and the undos themselves left out.
 * The result depends only on the set of events, not on the order or number of arrivals.
 * An undo that names a later event, or one of another player or block, is ignored.
 */
export function liveEvents(events: Iterable<TouchEvent>): TouchEvent[] {
  const known = new Map<string, TouchEvent>();
  for (const event of events) known.set(event.id, event);
  const ordered = [...known.values()].sort(byId);

  // From the newest back: when an undo is reached, all that could take it back has been seen.
  const takenBack = new Set<string>();
  for (let i = ordered.length - 1; i >= 0; i--) {
    const event = ordered[i]!;
    if (event.kind !== 'undo' || event.ref === null || takenBack.has(event.id)) continue;
    const target = known.get(event.ref);
    if (!target || target.id >= event.id) continue;
    if (target.blockId !== event.blockId || target.playerId !== event.playerId) continue;
    takenBack.add(target.id);
  }
  return ordered.filter((event) => event.kind !== 'undo' && !takenBack.has(event.id));
}
