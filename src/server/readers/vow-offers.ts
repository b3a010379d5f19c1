import type { Book } from '@/drills';
import type { Executor } from '@/data/database';
import { homesOf, runningVows } from '@/data/vows';
import { notAtHome, usualHome } from '@/session/vows/home';
import { readHome, readVow } from './vows';

/** A step a player could promise after a session. */
export interface VowOffer {
  readonly playerId: string;
  readonly drillId: string;
  readonly stepId: string;
}

/**
 * Of the steps each player was proposed, the first that fits at their home and is not promised yet; what is to be
 * practised on goes before what is new.
 */
export async function vowOffers(
  db: Executor,
  book: Book,
  today: string,
  proposed: readonly (VowOffer & { readonly stays: boolean })[],
): Promise<VowOffer[]> {
  const ids = [...new Set(proposed.map(({ playerId }) => playerId))];
  const [homes, running] = await Promise.all([homesOf(db, ids), runningVows(db, ids, today)]);
  const promised = new Set(
    running
      .map(readVow)
      .flatMap(({ playerId, vow }) => vow.parts.map((part) => `${playerId} ${part.drillId} ${part.stepId}`)),
  );
  return ids.flatMap((id) => {
    const row = homes.find(({ playerId }) => playerId === id);
    const home = row ? readHome(row) : usualHome;
    const able = proposed.filter(({ playerId, drillId, stepId }) => {
      const drill = book.drill(drillId, playerId);
      return (
        playerId === id &&
        drill !== undefined &&
        !promised.has(`${id} ${drillId} ${stepId}`) &&
        notAtHome(drill, home, null).length === 0
      );
    });
    const one = able.find(({ stays }) => stays) ?? able[0];
    return one ? [{ playerId: id, drillId: one.drillId, stepId: one.stepId }] : [];
  });
}
