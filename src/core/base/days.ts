/** A local ISO day as a number of days from 1 January 1970, whatever the zone. */
export const dayNumber = (day: string): number => Math.round(Date.parse(`${day}T00:00:00Z`) / 86_400_000);

/** The local ISO day of a number of days. */
export const isoDay = (day: number): string => new Date(day * 86_400_000).toISOString().slice(0, 10);
