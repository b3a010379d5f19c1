import type { Book } from '@/drills';
import { asBegun, beginBlock, begunOf, underOf, writeBegun, type Begun } from '@/session/court/begun';
import type { TouchEvent } from '@/core/counting/event';
import type { Where } from '@/court/held-back';
import type { RunBlock } from '@/server/views/session-run';
import type { CourtView } from './court-view';

/** A block as it was begun: for its clock and its players' targets too; and whoever came later. */
export function shownBlock(block: RunBlock, begun: Begun | null): RunBlock {
  if (!begun) return block;
  const { turns, turnS, atOnce } = begun;
  const working = begun.players.filter((one) => !one.out);
  // Who came after it was begun does what the block says, on its own step.
  const later = block.players.filter(({ playerId }) =>
    begun.players.every((one) => one.playerId !== playerId),
  );
  return {
    ...asBegun(block, begun),
    turns,
    turnS,
    atOnce,
    players: [
      ...working.flatMap(({ playerId, target }) => {
        const known = block.players.find((one) => one.playerId === playerId);
        return known ? [{ ...known, target: target ?? known.target }] : [];
      }),
      ...later,
    ],
  };
}

/** The blocks of a view as they are run: what was begun is as it was then. */
export const shownBlocks = (
  blocks: readonly RunBlock[],
  eventsOf: (blockId: string) => readonly TouchEvent[],
): RunBlock[] => blocks.map((block) => shownBlock(block, begunOf(eventsOf(block.id))));

/** What is written into the log when a block of a view is begun; null for a block that is not in it. */
export function recordOf(view: CourtView, book: Book, blockId: string): string | null {
  const block = view.blocks.find((one) => one.id === blockId);
  if (!block) return null;
  const { turns, turnS, atOnce } = block;
  const coming = view.players.map(({ id, age, stage = null }) => ({
    id,
    age,
    ball: stage,
    target: block.players.find((one) => one.playerId === id)?.target ?? null,
  }));
  const { day = '', placeName = '', placeId = null, coach } = view.session;
  // A plan that was moved to a later day while it was run here is held on the day it is run.
  const held = view.today && view.today < day ? view.today : day;
  const at = { day: held, place: placeName, placeId, coach };
  return writeBegun(beginBlock(book, block, coming, { turns, turnS, atOnce }, at));
}

/** What a player does in a block, by its fingerprint; null for a block that is not in the view. */
export function underIn(
  view: CourtView,
  begun: Begun | null,
  blockId: string,
  playerId: string | null,
): string | null {
  const block = view.blocks.find((one) => one.id === blockId);
  return block ? underOf(asBegun(block, begun), playerId) : null;
}

/** Where an event was made, in words that are understood when its block is gone. */
export function whereIn(view: CourtView, book: Book, { blockId, playerId }: TouchEvent): Where | null {
  const block = view.blocks.find((one) => one.id === blockId);
  if (!block) return null;
  const drill = book.drill(block.drillId);
  const step = drill?.steps.find((one) => one.id === block.stepId);
  return {
    sessionId: view.session.id,
    session: view.session.title ?? '',
    block: [drill?.title, step?.title].filter(Boolean).join(': '),
    player: view.players.find((one) => one.id === playerId)?.name ?? 'everybody',
  };
}
