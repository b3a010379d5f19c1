import { done, refused, type Outcome } from '@/core/base/outcome';
import { getPlace, putKitCounts, putPlace, setPlaceRemoved, type PlaceFields } from '@/data/places';
import { write } from '@/data/write';
import type { Context } from '../base/context';
import { check } from '@/schemas/check';
import { kitSchema, placeSchema } from '@/schemas/place';

/* Places to train in, and the kit there is. */

/** Adds a place, or changes one when an id is given. */
export async function savePlace(
  context: Context,
  input: unknown,
  id?: string,
): Promise<Outcome<{ id: string }>> {
  const checked = check(placeSchema, input);
  if (!checked.ok) return checked;
  const { hazards, things, ...plain } = checked.value;
  const fields = {
    ...plain,
    hazards: JSON.stringify(hazards),
    things: things.length === 0 ? null : JSON.stringify(things),
  } as PlaceFields;
  return write(context.db, async (tx) => {
    if (id !== undefined && !(await getPlace(tx, id))) return unknownPlace;
    const placeId = id ?? context.newId();
    await putPlace(tx, placeId, fields, context.nowMs);
    return done({ id: placeId });
  });
}

const unknownPlace = refused('place', 'This place is not on the list (any more): reload the page.');

/** Takes a place off the list, or back on it; sessions keep its name. */
export async function removePlace(context: Context, id: string, removed: boolean): Promise<Outcome<null>> {
  return write(context.db, async (tx) => {
    if (!(await getPlace(tx, id))) return unknownPlace;
    await setPlaceRemoved(tx, id, removed ? context.nowMs : null);
    return done(null);
  });
}

/** Puts counts of kit; what is null goes off the list. */
export async function saveKit(context: Context, input: unknown): Promise<Outcome<null>> {
  const checked = check(kitSchema as never, input);
  if (!checked.ok) return checked;
  return write(context.db, async (tx) => {
    await putKitCounts(tx, checked.value as Record<string, number | null>);
    return done(null);
  });
}
