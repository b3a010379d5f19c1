import { kitCounts, listPlaces } from '@/data/places';
import { takenOff, type TakenOff } from '@/data/taken-off';
import type { Context } from '../base/context';
import { knownPlace, type KnownPlace } from '../readers/known-place';

export interface PlacesView {
  readonly places: readonly KnownPlace[];
  readonly kit: Readonly<Record<string, number>>;
  readonly takenOff: readonly TakenOff[];
}

export async function placesView({ db }: Context): Promise<PlacesView> {
  const [places, kit, gone] = await Promise.all([listPlaces(db), kitCounts(db), takenOff(db, 'place')]);
  return { places: places.map(knownPlace), kit, takenOff: gone };
}
