import { kitAtHand } from '@/drills/base/kit';
import type { Ground } from '@/session/plan/time-plan';
import type { Executor } from '@/data/database';
import { kitCounts, listPlaces } from '@/data/places';
import { knownPlace } from './known-place';

/** Where sessions are held and what is at hand, by the id of the place. */
export async function groundOf(db: Executor): Promise<(placeId: string | null) => Ground> {
  const [rows, counts] = await Promise.all([listPlaces(db), kitCounts(db)]);
  const places = new Map(rows.map((row) => [row.id, knownPlace(row)]));
  const kit = kitAtHand(counts);
  return (placeId) => ({ place: (placeId && places.get(placeId)) || null, atHand: kit });
}
