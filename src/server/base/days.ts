import { daysLater } from '@/core/plan/weekly';

/** A local ISO day some days later (or earlier). */
export const dayAfter = daysLater;

/** What counts as recent, days: a player's own success rate and the days a gate was reached look this far back. Ours. */
export const recentDays = 84;

/** The first recent day, seen from a day. */
export const recentSince = (day: string): string => dayAfter(day, -recentDays);
