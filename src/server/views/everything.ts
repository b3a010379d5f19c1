import { everythingAbout, type Everything } from '@/data/everything';
import type { Context } from '../base/context';
import { resultsReady } from '../court/results';

export type { Everything };

/** Everything about one child, for their family; null for one who is not on record, or was removed for good. */
export async function everythingView({ db }: Context, id: string): Promise<Everything | null> {
  await resultsReady(db);
  const all = await everythingAbout(db, id);
  return all && all.player.erasedAtMs === null ? all : null;
}
