import { createHash } from 'node:crypto';
import { calendarOf } from '@/formats/calendar';
import { sessionsBetween } from '@/data/session';
import { write } from '@/data/write';
import type { Context } from './context';
import { dayAfter } from './days';
import { linkOf, noteUse } from './log/links';

/** A calendar shows so many days back and ahead. Ours. */
const [daysBack, daysAhead] = [60, 400];

/** Calendars ask all day: one use of a link is an hour, milliseconds. Ours. */
const visitMs = 3_600_000;

/** The planned and held sessions as a calendar, for whoever has its address; null where the address opens nothing. */
export async function calendarFor(context: Context, token: string): Promise<string | null> {
  const { db, nowMs, today } = context;
  const link = await linkOf(context, 'calendar', token);
  if (typeof link === 'string') return null;
  if (link.lastUsedAtMs === null || nowMs - link.lastUsedAtMs > visitMs)
    await write(db, (tx) => noteUse(tx, token, nowMs));
  const sessions = await sessionsBetween(db, dayAfter(today, -daysBack), dayAfter(today, daysAhead));
  return calendarOf(
    sessions
      .filter(({ notHeld }) => notHeld === null)
      .map(({ id, title, day, startTime, bookedMin, placeName, createdAtMs }) => ({
        ...{ title, day, startTime, bookedMin, placeName, changedAtMs: createdAtMs },
        // Stable for this address, and nothing of the book.
        uid: `${createHash('sha256').update(`${token} ${id}`).digest('hex').slice(0, 32)}@vowstep`,
      })),
    'Sessions',
  );
}
