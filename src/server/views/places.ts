import type { Hazard, Place } from '@/core/place/place';
import { kitCounts, listPlaces, type PlaceRow } from '@/data/places';
import { takenOff, type TakenOff } from '@/data/taken-off';
import type { Context } from '../context';

/** A place with its id, as screens and computation know it. */
export interface KnownPlace extends Place {
  readonly id: string;
}

export function knownPlace(row: PlaceRow): KnownPlace {
  const { createdAtMs: _created, removedAtMs: _removed, hazards, ...rest } = row;
  return { ...rest, hazards: JSON.parse(hazards) as Hazard[] };
}

export interface PlacesView {
  readonly places: readonly KnownPlace[];
  readonly kit: Readonly<Record<string, number>>;
  readonly takenOff: readonly TakenOff[];
}

export async function placesView({ db }: Context): Promise<PlacesView> {
  const [places, kit, gone] = await Promise.all([listPlaces(db), kitCounts(db), takenOff(db, 'place')]);
  return { places: places.map(knownPlace), kit, takenOff: gone };
}
