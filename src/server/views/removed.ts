import { takenOff, type TakenOff, type TakenOffKind } from '@/data/taken-off';
import type { Context } from '../context';

export type { TakenOffKind };

/** Everything that was removed from a list and can come back, by kind. */
export type RemovedView = Readonly<Record<TakenOffKind, readonly TakenOff[]>>;

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
