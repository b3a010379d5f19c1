import { format, parseISO } from 'date-fns';

/** "Tue 24 Nov". */
export const shortDay = (day: string) => format(parseISO(day), 'EEE d MMM');

/** "Tuesday 24 November". */
export const longDay = (day: string) => format(parseISO(day), 'EEEE d MMMM');
