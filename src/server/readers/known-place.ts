import type { FloorThing, Hazard, Place } from '@/core/venues/place';
import type { PlaceRow } from '@/data/places';

/** A place with its id, as screens and computation know it. */
export interface KnownPlace extends Place {
  readonly id: string;
}

export function knownPlace(row: PlaceRow): KnownPlace {
  const { createdAtMs: _created, removedAtMs: _removed, hazards, things, ...rest } = row;
  return {
    ...rest,
    hazards: JSON.parse(hazards) as Hazard[],
    things: things === null ? [] : (JSON.parse(things) as FloorThing[]),
  };
}
