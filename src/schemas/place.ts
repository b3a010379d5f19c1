import { array, lazy, mixed, number, object, string, type InferType } from 'yup';
import { isKitThing } from '@/drills/base/kit';
import { hazards, surfaces, thingKinds, type FloorThing } from '@/core/venues/place';
import { thingProblem } from '@/core/venues/things';

const emptyIsNull = (value: unknown, original: unknown) =>
  original === '' || original === null ? null : value;

const metres = (name: string, example: string, min: number, max: number) =>
  number()
    .typeError(`${name} must be a length, such as ${example} m.`)
    .min(min, `${name} must be from ${min} to ${max} m.`)
    .max(max, `${name} must be from ${min} to ${max} m.`);

const time = (name: string) =>
  string()
    .transform(emptyIsNull)
    .nullable()
    .default(null)
    .matches(/^([01]\d|2[0-3]):[0-5]\d$/, {
      message: `${name} must be a time, such as 13:00, or left open.`,
      excludeEmptyString: true,
    });

/** A thing on the floor, as typed in. */
const thingSchema = object({
  kind: string()
    .oneOf(thingKinds, 'What it is must be one of the list.')
    .required('What it is is empty: choose one.'),
  xM: metres('Along', '3', 0, 200).required('Along is empty: how far from the left corner it begins.'),
  yM: metres('Out', '2', 0, 200).required('Out is empty: how far from the wall it begins.'),
  widthM: metres('Wide', '0.5', 0.1, 200).required('Wide is empty: type how wide it is, such as 0.5 m.'),
  depthM: metres('Deep', '0.5', 0.1, 200).required('Deep is empty: type how deep it is, such as 0.5 m.'),
});

/** So many things are drawn in a place at most: ours. */
export const mostThings = 24;

/** What stands on the floor of a place, as typed in or brought in. */
export const placeThings = array()
  .of(thingSchema)
  .max(mostThings, `Things on the floor: draw at most ${mostThings}.`);

/** A place, as typed in. */
export const placeSchema = object({
  name: string()
    .trim()
    .required('Name is empty: type what you call the place.')
    .max(60, 'Name is too long: use at most 60 letters.'),
  lengthM: metres('Length', '24', 1, 200).required('Length is empty: type it, such as 24 m.'),
  widthM: metres('Width', '7', 1, 200).required('Width is empty: type it, such as 7 m.'),
  ceilingM: metres('Ceiling', '4.2', 1.5, 50).transform(emptyIsNull).nullable().default(null),
  surface: string()
    .oneOf(surfaces, 'Surface must be one of the list.')
    .required('Surface is empty: choose one.'),
  wallM: metres('Wall', '9', 0, 200).required('Wall is empty: type its length, 0 for none.'),
  wallSide: mixed<'long' | 'short'>()
    .transform(emptyIsNull)
    .nullable()
    .oneOf(['long', 'short', null], 'The wall’s side must be one of the list.')
    .default(null),
  things: placeThings.default([]),
  tables: number()
    .typeError('Tables must be a number, 0 for none.')
    .required('Tables is empty: type a number, 0 for none.')
    .integer('Tables must be a whole number.')
    .min(0, 'Tables must be from 0 to 40.')
    .max(40, 'Tables must be from 0 to 40.'),
  hazards: array()
    .of(string().oneOf(hazards, 'Hazards: one of them is not on the list.').required())
    .max(hazards.length, 'Hazards: one of them is named twice.')
    .default([]),
  quietFrom: time('Quiet from'),
  quietTo: time('Quiet to'),
})
  .test('quiet', (place, context) =>
    (place.quietFrom === null) === (place.quietTo === null)
      ? true
      : context.createError({
          path: place.quietFrom === null ? 'quietFrom' : 'quietTo',
          message: 'Quiet hours need both a start and an end, or neither.',
        }),
  )
  .test('things', (place, context) => {
    for (const [n, thing] of place.things.entries()) {
      const message = thingProblem(thing as FloorThing, place);
      if (message) return context.createError({ path: `things[${n}].xM`, message });
    }
    return true;
  });
export type PlaceForm = InferType<typeof placeSchema>;

const count = number()
  .transform(emptyIsNull)
  .nullable()
  .typeError(({ path }) => `${path} must be a whole number, or left open.`)
  .integer(({ path }) => `${path} must be a whole number, or left open.`)
  .min(0, ({ path }) => `${path} must be from 0 to 999.`)
  .max(999, ({ path }) => `${path} must be from 0 to 999.`);

/** Counts of the kit by name; null (or an empty field) takes a thing off the list. */
export const kitSchema = lazy((value: unknown) => {
  const names = typeof value === 'object' && value !== null ? Object.keys(value) : [];
  const known = names.filter(isKitThing);
  return object(Object.fromEntries(known.map((name) => [name, count]))).test(
    'known',
    'Kit: a thing is not on the kit list; reload the page.',
    () => known.length === names.length,
  );
});
export type KitForm = Readonly<Record<string, number | null>>;
