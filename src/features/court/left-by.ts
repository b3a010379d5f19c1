import type { Book } from '@/drills';
import { matesOf } from '@/core/plan/circuit/circuit';
import { kitAtHand } from '@/drills/base/kit';
import type { SessionRunView } from '@/server/views/session-run';
import { whatIsLeft, type WhatIsLeft } from '@/session/court/what-is-left';

/** What is left by a key of `use-late.ts`: the running block's id, then `id:share` of every block to come. */
export function leftBy(view: SessionRunView, book: Book, key: string): WhatIsLeft {
  // A circuit goes by its first station.
  const blocksOf = (id: string) => matesOf(view.blocks, id);
  const [running = '', ...shares] = key.split(' ');
  const coming = shares.flatMap((one) => {
    const [id, share] = one.split(':');
    return blocksOf(id!).map((block) => ({ block, share: Number(share) }));
  });
  const ground = { place: view.care.place, atHand: kitAtHand(view.care.kit) };
  return whatIsLeft(
    book,
    running === '' ? [] : blocksOf(running),
    coming,
    view.players,
    view.care.records,
    ground,
  );
}
