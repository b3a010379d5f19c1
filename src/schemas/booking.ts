import { array, number, object, string, type InferType } from 'yup';
import { daySchema } from './day';
import { idOf, ulidPattern } from './ids';

export const minutes = { min: 5, max: 240 } as const;
export const maxPlayers = 12;

/** What every booking has. */
export const bookingFields = {
  title: string()
    .trim()
    .required('Title is empty: give the session a name, such as Thursday group.')
    .max(80, 'Title is too long: use at most 80 letters.'),
  day: daySchema,
  startTime: string()
    .required('Start is empty: type a time, such as 16:30.')
    .matches(/^([01]\d|2[0-3]):[0-5]\d$/, 'Start must be a time, such as 16:30.'),
  bookedMin: number()
    .typeError('Minutes must be a number, such as 60.')
    .required('Minutes is empty: type how long the booking is.')
    .integer('Minutes must be whole minutes.')
    .min(
      minutes.min,
      ({ value }) => `Minutes is ${value}: book from ${minutes.min} to ${minutes.max} minutes.`,
    )
    .max(
      minutes.max,
      ({ value }) => `Minutes is ${value}: book from ${minutes.min} to ${minutes.max} minutes.`,
    ),
  coach: string().trim().default('').max(60, 'Coach is too long: use at most 60 letters.'),
  placeName: string().trim().default('').max(80, 'Place is too long: use at most 80 letters.'),
  placeId: string()
    .transform((value: unknown) => (value === '' ? null : value))
    .nullable()
    .default(null)
    .matches(ulidPattern, {
      message: 'Place is not on the list (any more): choose again.',
      excludeEmptyString: true,
    }),
  airC: number()
    .transform((value: unknown, original: unknown) => (original === '' || original === null ? null : value))
    .nullable()
    .default(null)
    .typeError('Air must be degrees Celsius, such as 24.')
    .integer('Air must be whole degrees, such as 24.')
    .min(-30, 'Air must be from -30 to 50 °C.')
    .max(50, 'Air must be from -30 to 50 °C.'),
};

/** Who is coming. */
export const playerIds = array()
  .of(idOf('Player'))
  .required('Players is missing.')
  .min(1, 'Players is empty: tick at least one player who is coming.')
  .max(maxPlayers, `Players: at most ${maxPlayers} in one session; plan a second one for the rest.`)
  .test(
    'once',
    'Players: somebody is on the list twice; take one away.',
    (ids) => new Set(ids).size === ids?.length,
  );

/** A booking, and who is coming. */
export const bookingSchema = object({ ...bookingFields, playerIds });
export type BookingForm = InferType<typeof bookingSchema>;

/** A new session: its booking, and the pattern it starts from. */
export const sessionSchema = bookingSchema.shape({
  patternId: string()
    .transform((value: unknown) => (value === '' ? null : value))
    .nullable()
    .default(null)
    .matches(ulidPattern, { message: 'Pattern is not one of ours: choose again.', excludeEmptyString: true }),
});
export type SessionForm = InferType<typeof sessionSchema>;
