/** A local ISO day as a number of days, whatever the zone. */
export const dayNumberOf = (day: string): number => Math.round(Date.parse(`${day}T00:00:00Z`) / 86_400_000);
