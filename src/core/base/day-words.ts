/** Parts of a date in our own order: no two browsers set the same commas. */
export const written = (options: Intl.DateTimeFormatOptions) => {
  const format = new Intl.DateTimeFormat('en-GB', options);
  return (atMs: number, order: readonly Intl.DateTimeFormatPartTypes[]): string => {
    const parts = new Map(format.formatToParts(atMs).map(({ type, value }) => [type, value]));
    return order.map((type) => parts.get(type)).join(' ');
  };
};

// A day is a day of the calendar, wherever it is read: it is written in the zone it is parsed in.
const short = written({ weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' });
const long = written({ weekday: 'long', day: 'numeric', month: 'long', timeZone: 'UTC' });
const ofDay = (day: string): number => Date.parse(`${day}T00:00:00Z`);

/** "Tue 24 Nov". */
export const shortDay = (day: string) => short(ofDay(day), ['weekday', 'day', 'month']);

/** "Tuesday 24 November". */
export const longDay = (day: string) => long(ofDay(day), ['weekday', 'day', 'month']);

/** The days of the week, short, from Monday. */
export const weekdayNames = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;
