import { written } from '@/core/base/day-words';

export { longDay, shortDay } from '@/core/base/day-words';

/** "24 Nov 2026", in a time zone, or where this device is. @param atMs Unix milliseconds */
export const dayAt = (atMs: number, timeZone?: string) =>
  written({ day: 'numeric', month: 'short', year: 'numeric', timeZone })(atMs, ['day', 'month', 'year']);

/** "24 Nov 2026 at 16:05", in a time zone, or where this device is. @param atMs Unix milliseconds */
export const momentAt = (atMs: number, timeZone?: string) => {
  const options = { hour: '2-digit', minute: '2-digit', hourCycle: 'h23', timeZone } as const;
  return `${dayAt(atMs, timeZone)} at ${written(options)(atMs, ['hour', 'minute']).replace(' ', ':')}`;
};
