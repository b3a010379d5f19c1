import { format, parseISO } from 'date-fns';

/** "Tue 24 Nov". */
export const shortDay = (day: string) => format(parseISO(day), 'EEE d MMM');

/** "Tuesday 24 November". */
export const longDay = (day: string) => format(parseISO(day), 'EEEE d MMMM');

/** "24 Nov 2026", where this device is. @param atMs Unix milliseconds */
export const dayAt = (atMs: number) => format(atMs, 'd MMM yyyy');

/** "24 Nov 2026 at 16:05", where this device is. @param atMs Unix milliseconds */
export const momentAt = (atMs: number) => format(atMs, "d MMM yyyy 'at' HH:mm");
