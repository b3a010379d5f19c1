import { catalogue } from '@/drills';
import { sameShape } from '@/session/base/plan';
import type { Drill } from '@/drills/base/types';
import { done, refused, type Outcome } from '@/core/base/outcome';
import type { Executor } from '@/data/database';
import {
  getOwnDrill,
  putFitOverride,
  putOwnDrill,
  putSchoolChoice,
  setOwnDrillRemoved,
  stepsInUse,
} from '@/data/house';
import { getPlace, putKitCounts, putPlace, setPlaceRemoved, type PlaceFields } from '@/data/places';
import { getPlayer } from '@/data/squad';
import { write } from '@/data/write';
import type { Context } from '../base/context';
import { check } from '@/schemas/check';
import { asDrill, drillSchema } from '@/schemas/drill';
import { kitSchema, placeSchema } from '@/schemas/place';
import { fitSchema, schoolSchema } from '@/schemas/school';

/* What a house has and how it likes it: places, kit, own drills, schools, own numbers for a child. */

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

const unknownDrill = refused('drill', 'This drill is not one of your own (any more): go back to the drills.');

/** Writes a drill of one's own, or changes one when an id is given. Its id is ours, whatever the form says. */
export async function saveDrill(
  context: Context,
  input: unknown,
  id?: string,
): Promise<Outcome<{ id: string }>> {
  const drillId = id ?? `own-${context.newId()}`;
  const checked = check(drillSchema, { ...(input as object), id: drillId });
  if (!checked.ok) return checked;
  const drill = asDrill(checked.value);
  return write(context.db, async (tx) => {
    if (id !== undefined && !(await getOwnDrill(tx, id))) return unknownDrill;
    const broken = await usedStepsKept(tx, drill);
    if (broken) return broken;
    await putOwnDrill(tx, drillId, JSON.stringify(drill), context.nowMs);
    return done({ id: drillId });
  });
}

/**
 * Refuses a change that would pull a step from under a plan, a ladder or counts: such a step stays, counted and dosed
 * the same way.
 */
export async function usedStepsKept(tx: Executor, drill: Drill): Promise<Outcome<never> | null> {
  const before = await getOwnDrill(tx, drill.id);
  if (!before) return null;
  const old = (JSON.parse(before.drill) as Drill).steps;
  for (const stepId of await stepsInUse(tx, drill.id)) {
    const was = old.find((step) => step.id === stepId);
    const is = drill.steps.find((step) => step.id === stepId);
    if (was && !(is && sameShape(was, is)))
      return refused(
        'steps',
        `Step “${was.title}” is in a plan or has counts: keep it, measured and dosed the same way, or vary the drill into a new one.`,
      );
  }
  return null;
}

/** Takes an own drill off the list, or back on it; sessions that hold it keep it. */
export async function removeDrill(context: Context, id: string, removed: boolean): Promise<Outcome<null>> {
  return write(context.db, async (tx) => {
    if (!(await getOwnDrill(tx, id))) return unknownDrill;
    await setOwnDrillRemoved(tx, id, removed ? context.nowMs : null);
    return done(null);
  });
}

/** Chooses a school, or goes back to what stands above it. */
export async function chooseSchool(context: Context, input: unknown): Promise<Outcome<null>> {
  const checked = check(schoolSchema, input);
  if (!checked.ok) return checked;
  const { scope, key, question, answer } = checked.value;
  return write(context.db, async (tx) => {
    if (scope === 'player' && !(await getPlayer(tx, key)))
      return refused('key', 'This player is not on record (any more): reload the page.');
    if (scope === 'drill' && !catalogue.some((drill) => drill.id === key) && !(await getOwnDrill(tx, key)))
      return refused('key', 'This drill is not on the list (any more): reload the page.');
    await putSchoolChoice(tx, { scope, key, question, answer });
    return done(null);
  });
}

/** Sets a coach's own number of the fit to a child, or goes back to the suggestion. */
export async function overruleFit(
  context: Context,
  playerId: string,
  input: unknown,
): Promise<Outcome<null>> {
  const checked = check(fitSchema, input);
  if (!checked.ok) return checked;
  return write(context.db, async (tx) => {
    if (!(await getPlayer(tx, playerId)))
      return refused('player', 'This player is not on record (any more): go back to the squad.');
    await putFitOverride(tx, playerId, checked.value.key, checked.value.value);
    return done(null);
  });
}
