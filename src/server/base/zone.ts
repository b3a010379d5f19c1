import { TZDate } from '@date-fns/tz';
import { format } from 'date-fns';

/** The zone this server stands in: what is used until a browser has said where its coach is. */
export const serverZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;

/** Is this the name of a time zone, such as Europe/Berlin? */
export function isZone(name: unknown): name is string {
  if (typeof name !== 'string' || !/^[A-Za-z0-9_+\-/]{1,64}$/.test(name)) return false;
  try {
    new Intl.DateTimeFormat('en', { timeZone: name });
    return true;
  } catch {
    return false;
  }
}

/** The local ISO day of a moment in a zone. @param ms UTC milliseconds */
export const dayIn = (ms: number, zone: string): string => format(new TZDate(ms, zone), 'yyyy-MM-dd');

/** The local "HH:MM" of a moment in a zone. @param ms UTC milliseconds */
export const timeIn = (ms: number, zone: string): string => format(new TZDate(ms, zone), 'HH:mm');

/** The moment of a local ISO day and "HH:MM" in a zone, UTC milliseconds. */
export function momentIn(day: string, time: string, zone: string): number {
  const [year, month, date] = day.split('-').map(Number);
  const [hours, minutes] = time.split(':').map(Number);
  return new TZDate(year!, month! - 1, date!, hours!, minutes!, zone).getTime();
}

/**
 * The moment and the day it is where the coach is: `VOWSTEP_TODAY` (ISO date) fixes the day, the time of day runs on.
 * @param zone the coach's time zone
 */
export function now(zone: string): { readonly nowMs: number; readonly today: string } {
  const nowMs = Date.now();
  const fixed = process.env.VOWSTEP_TODAY ?? '';
  if (!/^\d{4}-\d{2}-\d{2}$/.test(fixed)) return { nowMs, today: dayIn(nowMs, zone) };
  return { nowMs: momentIn(fixed, timeIn(nowMs, zone), zone) + (nowMs % 60_000), today: fixed };
}
