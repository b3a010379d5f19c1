import { createHash } from 'node:crypto';
import { calendarOf } from '@/formats/calendar';
import { vowCalendarOf } from '@/formats/vow-calendar';
import { rests } from '@/core/vows/keeping';
import { plainDose } from '@/session/vows/card';
import { dayNumber } from '@/core/base/days';
import { getPlayer } from '@/data/squad';
import { allVowsOfPlayer } from '@/data/vows';
import { sessionsBetween } from '@/data/session';
import { write } from '@/data/write';
import type { Context } from '../base/context';
import { dayAfter } from '../base/days';
import { linkOf, noteUse } from '../access/tokens';
import { bookFor } from '../readers/book';
import { daysDone, readVow, titleOf } from '../readers/vows';
import { noteVowVisit, vowLinkState } from '../vows/links';

/** A calendar shows so many days back and ahead. Ours. */
const [daysBack, daysAhead] = [60, 400];
/** Vows so far back: what was done is on their page. Ours. */
const vowDaysBack = 30;

/** Calendars ask all day: one use of a link is an hour, milliseconds. Ours. */
const visitMs = 3_600_000;

/** Stable for an address, and nothing of the book. */
const uidOf = (token: string, what: string): string =>
  `${createHash('sha256').update(`${token} ${what}`).digest('hex').slice(0, 32)}@vowstep`;

/**
 * What an address opens as a calendar: the planned and held sessions, or a child's vows; null where it opens nothing.
 */
export async function calendarFor(context: Context, token: string): Promise<string | null> {
  return (await sessionsCalendar(context, token)) ?? (await vowsCalendar(context, token));
}

/** The days of a child's vows, those that were cancelled too: calendars that have them strike them out. */
async function vowsCalendar(context: Context, token: string): Promise<string | null> {
  const { db, today } = context;
  const link = await vowLinkState(context, token);
  if (link.kind !== 'open') return null;
  const player = await getPlayer(db, link.playerId);
  if (!player) return null;
  const book = await bookFor(db);
  const from = dayAfter(today, -vowDaysBack);
  // Vows that were taken away are struck out as well.
  const vows = (await allVowsOfPlayer(db, link.playerId))
    .map(readVow)
    .filter(({ untilDay }) => untilDay >= from);
  const days = await daysDone(db, vows);
  await noteVowVisit(context, token, link);
  return vowCalendarOf(
    vows.flatMap(({ id, vow, pauses, endedOn, removedAtMs, revision, changedAtMs }) =>
      (days.get(id) ?? [])
        // What was never promised was never in a calendar.
        .filter(({ day, free }) => day >= from && !free)
        .map(({ day, asked, parts }) => ({
          uid: uidOf(token, `${id} ${day}`),
          title: titleOf(book, vow),
          words: parts
            .map(({ drillId, stepId, dose }) => {
              const step = book.step(drillId, stepId, link.playerId);
              return step ? `${step.title}. ${plainDose(step, dose)}` : '';
            })
            .join('\n'),
          day,
          atTime: vow.atTime,
          minutes: vow.minutes,
          alarm: vow.alarm,
          cancelled:
            !asked ||
            removedAtMs !== null ||
            (endedOn !== null && day > endedOn) ||
            rests(pauses, dayNumber(day)),
          sequence: revision - 1,
          changedAtMs,
        })),
    ),
    'Vows',
  );
}

async function sessionsCalendar(context: Context, token: string): Promise<string | null> {
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
        title,
        day,
        startTime,
        bookedMin,
        placeName,
        changedAtMs: createdAtMs,
        uid: uidOf(token, id),
      })),
    'Sessions',
  );
}
