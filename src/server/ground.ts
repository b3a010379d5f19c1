import { kitAtHand } from '@/catalogue/kit';
import type { Ground } from '@/catalogue/plan';
import type { Hazard, Place } from '@/core/place/place';
import type { Executor } from '@/data/client';
import { kitCounts, listPlaces, type PlaceRow } from '@/data/places';

/** A place with its id, as screens and computation know it. */
export interface KnownPlace extends Place {
  readonly id: string;
}

export function knownPlace(row: PlaceRow): KnownPlace {
  const { createdAtMs: _created, removedAtMs: _removed, hazards, ...rest } = row;
  return { ...rest, hazards: JSON.parse(hazards) as Hazard[] };
}

/** Where sessions are held and what is at hand, by the id of the place. */
export async function groundOf(db: Executor): Promise<(placeId: string | null) => Ground> {
  const [rows, counts] = await Promise.all([listPlaces(db), kitCounts(db)]);
  const places = new Map(rows.map((row) => [row.id, knownPlace(row)]));
  const kit = kitAtHand(counts);
  return (placeId) => ({ place: (placeId && places.get(placeId)) || null, atHand: kit });
}
