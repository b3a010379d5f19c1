import { addDays, formatISO, parseISO, startOfISOWeek, startOfWeek } from 'date-fns';

/** A day so many days later, or earlier, local ISO. */
export const daysLater = (day: string, days: number): string =>
  formatISO(addDays(parseISO(day), days), { representation: 'date' });

/** The Monday of a day's week, local ISO. */
export const mondayOf = (day: string): string =>
  formatISO(startOfISOWeek(parseISO(day)), { representation: 'date' });

/** Days a week is taken to begin with, and their numbers in a calendar: Monday by ISO 8601, others by custom. */
export const firstDays = { monday: 1, sunday: 0, saturday: 6 } as const;
export type FirstDay = keyof typeof firstDays;
export const isFirstDay = (value: unknown): value is FirstDay =>
  typeof value === 'string' && Object.hasOwn(firstDays, value);

/** The first day of a day's week, local ISO. */
export const weekOf = (day: string, first: FirstDay = 'monday'): string =>
  formatISO(startOfWeek(parseISO(day), { weekStartsOn: firstDays[first] }), { representation: 'date' });

/** At most so many weeks ahead at once: a term and its holidays. Ours. */
export const mostWeeks = 26;

/**
 * The same weekday, week by week: from a first day until a last one, that one included.
 * @param until local ISO; before the first day, or empty, it is the first day alone
 */
export function weeklyDays(first: string, until: string): string[] {
  const days = [first];
  for (let week = 1; week < mostWeeks; week++) {
    const day = daysLater(first, 7 * week);
    if (day > until) break;
    days.push(day);
  }
  return days;
}

/** The next day of the same weekday that is later than today, and later than the day itself. */
export function sameWeekdayAfter(day: string, today: string): string {
  let next = daysLater(day, 7);
  while (next <= today) next = daysLater(next, 7);
  return next;
}
