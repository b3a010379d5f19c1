import type { TouchEvent } from '../counting/event';
import { liveEvents } from '../counting/live';
import { blockClock } from './block-clock';

/** A block that was turned away from, and what brings it back. */
export interface LeftBlock {
  readonly blockId: string;
  /** When it was left, Unix milliseconds. */
  readonly atMs: number;
  /** The mark that ended it. */
  readonly endId: string;
  /** Did its clock run when it was left? */
  readonly ran: boolean;
}

/** The block that was ended last, by the coach who turned to the next one. @param blocks with what was logged of all of them */
export function leftBlock(
  blocks: readonly { readonly id: string; readonly events: readonly TouchEvent[] }[],
): LeftBlock | null {
  const left = blocks.flatMap(({ id: blockId, events }) => {
    const live = liveEvents(events);
    const end = live.findLast((event) => event.kind === 'end');
    // One that was started again after it was left is no longer left.
    if (!end || blockClock(live).state !== 'ended') return [];
    const ran = blockClock(live.filter(({ id }) => id < end.id)).state === 'running';
    return [{ blockId, atMs: end.atMs, endId: end.id, ran }];
  });
  return left.sort((a, b) => (a.endId < b.endId ? -1 : 1)).at(-1) ?? null;
}

/**
 * Left for no longer than this a block goes on as if it had not been left: its players did. Later its clock goes on from
 * where it stood. Milliseconds; ours.
 */
export const asIfNotLeftMs = 60_000;

/** What is logged to bring a block back as it was. */
export function bringsBack({ blockId, atMs, endId, ran }: LeftBlock, nowMs: number) {
  const back = { blockId, playerId: null };
  if (nowMs - atMs <= asIfNotLeftMs || !ran) return { ...back, kind: 'undo' as const, ref: endId };
  return { ...back, kind: 'start' as const };
}
