import type { Book } from '@/drills';
import { kitAtHand } from '@/drills/kit';
import type { SessionRunView } from '@/server/views/session-run';
import { whatIsLeft, type WhatIsLeft } from '@/session/what-is-left';

/** What is left by a key of `use-late.ts`: the running block's id, then `id:share` of every block to come. */
export function leftBy(view: SessionRunView, book: Book, key: string): WhatIsLeft {
  const blockOf = (id: string) => view.blocks.find((known) => known.id === id)!;
  const [running = '', ...shares] = key.split(' ');
  const coming = shares.map((one) => {
    const [id, share] = one.split(':');
    return { block: blockOf(id!), share: Number(share) };
  });
  const ground = { place: view.care.place, atHand: kitAtHand(view.care.kit) };
  return whatIsLeft(
    book,
    running === '' ? null : blockOf(running),
    coming,
    view.players,
    view.care.records,
    ground,
  );
}
