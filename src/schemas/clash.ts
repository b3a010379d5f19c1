import { array, object, string, type InferType } from 'yup';
import { mostWeeks } from '@/core/plan/weekly';
import { bookingFields, playerIds } from './booking';
import { daySchema } from './day';
import { ulidPattern } from './ids';

const sessionId = (what: string) =>
  string().nullable().default(null).matches(ulidPattern, `${what} is not one of ours: reload the page.`);

const { startTime, bookedMin, coach, placeId, placeName } = bookingFields;

/** What may collide: a booking, or the group, hour and place of a session, on one or more days. */
export const clashSchema = object({
  days: array()
    .of(daySchema)
    .required('Days is missing: choose at least one.')
    .min(1, 'Days is empty: choose at least one.')
    .max(mostWeeks, `Days: at most ${mostWeeks} at once.`),
  /** The session whose group, hour and place it is. */
  fromId: sessionId('Session'),
  /** A session that is booked anew does not collide with itself. */
  exceptId: sessionId('Session'),
  booking: object({ startTime, bookedMin, coach, placeId, placeName, playerIds }).nullable().default(null),
});
export type ClashQuestion = InferType<typeof clashSchema>;
