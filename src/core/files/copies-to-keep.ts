import { parseISO } from 'date-fns';
import { daysLater, mondayOf } from '../plan/weekly';

/** So many last days, and so many last weeks, have a copy of their own: ours. */
const days = 7;
const weeks = 4;

/**
 * Which of the daily copies are kept: those of the last seven days, and the newest of each of the last four weeks.
 * @param made days on which copies were made, local ISO; in any order
 * @param today local ISO; copies of later days (a clock that was wrong) are kept
 */
export function copiesToKeep(made: readonly string[], today: string): Set<string> {
  const first = daysLater(today, 1 - days);
  const firstWeek = daysLater(mondayOf(today), -7 * (weeks - 1));
  const newestOf = new Map<string, string>();
  for (const day of made) {
    const week = mondayOf(day);
    if (week >= firstWeek && day > (newestOf.get(week) ?? '')) newestOf.set(week, day);
  }
  return new Set(made.filter((day) => day >= first || newestOf.get(mondayOf(day)) === day));
}

/** Is this a day of the calendar, local ISO? */
export const isDay = (text: string): boolean =>
  /^\d{4}-\d{2}-\d{2}$/.test(text) && !Number.isNaN(parseISO(text).getTime());
