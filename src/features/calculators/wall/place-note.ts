import type { WallSetup } from '@/core/ballistics/wall/setup';
import { inMetres } from '@/core/explanations/wall';
import type { Place } from '@/core/venues/place';

/** Room behind the player for a swing and a step back, metres: ours. */
const behindM = 1;

/** What a place lacks for a rally that would work; null when nothing. */
export function placeNote(place: Place | undefined, { distanceM, shot }: WallSetup): string | null {
  if (!place) return null;
  if (place.wallM === 0) return `${place.name} has no wall that may be hit.`;
  if (shot === 'table' && place.tables === 0) return `${place.name} has no table.`;
  const depthM = Math.max(place.lengthM, place.widthM);
  const needsM = distanceM + behindM;
  if (depthM < needsM)
    return `This takes ${inMetres(needsM)} from the wall, and ${place.name} is ${inMetres(depthM)} deep.`;
  return null;
}
