import { addDays, formatISO, parseISO } from 'date-fns';

/** A local ISO day some days later (or earlier). */
export function dayAfter(day: string, days: number): string {
  return formatISO(addDays(parseISO(day), days), { representation: 'date' });
}
