import { erasedIds } from '@/data/squad';
import { takenOff, type TakenOff, type TakenOffKind } from '@/data/taken-off';
import type { Context } from '../base/context';

export type { TakenOffKind };

/** Everything that was removed from a list and can come back, by kind. */
export type RemovedView = Readonly<Record<TakenOffKind, readonly TakenOff[]>>;

/** How many children were removed for good: what devices keep may name one, where it is not the number they know. */
export const removedForGood = async ({ db }: Context): Promise<number> => (await erasedIds(db)).length;

export async function removedView({ db }: Context): Promise<RemovedView> {
  const of = (kind: TakenOffKind) => takenOff(db, kind);
  const [player, session, place, feeder, sequence, drill, pattern] = await Promise.all([
    of('player'),
    of('session'),
    of('place'),
    of('feeder'),
    of('sequence'),
    of('drill'),
    of('pattern'),
  ]);
  return { player, session, place, feeder, sequence, drill, pattern };
}
