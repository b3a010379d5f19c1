import { dayNumber } from '../base/days';
import { clockAt } from '../venues/place';
import { daysLater, mostWeeks } from './weekly';

/** What a booking takes: its time, and who and what it has for that time. */
export interface Booked {
  /** Local ISO day. */
  readonly day: string;
  /** "HH:MM". */
  readonly startTime: string;
  readonly bookedMin: number;
  readonly coach: string;
  readonly placeId: string | null;
  readonly placeName: string;
  readonly playerIds: readonly string[];
}

/** What two bookings would both need at the same time. */
export interface Clash<T> {
  readonly with: T;
  readonly playerIds: readonly string[];
  readonly coach: boolean;
  readonly place: boolean;
}

const minutesADay = 1440;

/** Minutes since 1970 by the wall clock: a booking may go on past midnight. */
function spanOf({ day, startTime, bookedMin }: Booked): readonly [from: number, to: number] {
  const [hours, minutes] = startTime.split(':').map(Number);
  const from = dayNumber(day) * minutesADay + hours! * 60 + minutes!;
  return [from, from + bookedMin];
}

const sameTime = (a: Booked, b: Booked): boolean => {
  const [fromA, toA] = spanOf(a);
  const [fromB, toB] = spanOf(b);
  return fromA < toB && fromB < toA;
};

const plainly = (text: string) => text.trim().toLowerCase();
/** Two that are both left open are not the same. */
const sameName = (a: string, b: string): boolean => plainly(a) !== '' && plainly(a) === plainly(b);

/** Places of the list are known by their id; one that is only named, by its name. */
const samePlace = (a: Booked, b: Booked): boolean =>
  a.placeId !== null && b.placeId !== null ? a.placeId === b.placeId : sameName(a.placeName, b.placeName);

/** What a booking collides with: bookings at the same time that have the same child, coach or place. */
export function clashesOf<T extends Booked>(booking: Booked, others: readonly T[]): Clash<T>[] {
  return others.flatMap((other) => {
    if (!sameTime(booking, other)) return [];
    const clash = {
      with: other,
      playerIds: booking.playerIds.filter((id) => other.playerIds.includes(id)),
      coach: sameName(booking.coach, other.coach),
      place: samePlace(booking, other),
    };
    return clash.playerIds.length > 0 || clash.coach || clash.place ? [clash] : [];
  });
}

/**
 * The first day of the same weekday, a booking's own included, on which it collides with nothing at its hour.
 * @returns local ISO; null where half a year is taken
 */
export function nextFreeDay(booking: Booked, others: readonly Booked[]): string | null {
  for (let week = 0; week < mostWeeks; week++) {
    const day = daysLater(booking.day, 7 * week);
    if (clashesOf({ ...booking, day }, others).length === 0) return day;
  }
  return null;
}

/** Starts are proposed on the quarter hour, and no child is booked later than this, minutes after midnight. Ours. */
const quarter = 15;
const lastEnd = 21 * 60;

/**
 * The first quarter of an hour later on the same day at which a booking collides with nothing.
 * @returns "HH:MM"; null where the evening is taken
 */
export function freeLater(booking: Booked, others: readonly Booked[]): string | null {
  const [from] = spanOf(booking);
  const midnight = dayNumber(booking.day) * minutesADay;
  for (let at = Math.ceil((from - midnight + 1) / quarter) * quarter; ; at += quarter) {
    if (at + booking.bookedMin > lastEnd) return null;
    const startTime = clockAt('00:00', 60 * at);
    if (clashesOf({ ...booking, startTime }, others).length === 0) return startTime;
  }
}

/** "HH:MM" at which a booking ends. */
export const endTime = ({ startTime, bookedMin }: Pick<Booked, 'startTime' | 'bookedMin'>): string =>
  clockAt(startTime, 60 * bookedMin);
