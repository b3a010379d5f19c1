import { ICalCalendar, ICalEventClass } from 'ical-generator';

/** A session as a calendar shows it: nothing of who comes. */
export interface CalendarSession {
  /** Stable and unguessable: the same session has the same one every time. */
  readonly uid: string;
  readonly title: string;
  /** Local ISO day. */
  readonly day: string;
  /** HH:MM, on the hall's own clock. */
  readonly startTime: string;
  /** Minutes. */
  readonly bookedMin: number;
  readonly placeName: string;
  /** UTC milliseconds. */
  readonly changedAtMs: number;
}

/**
 * Sessions as an iCalendar object (RFC 5545), in the hall's own time ("floating", 3.3.5): a session at half past four is
 * at half past four wherever the calendar is read.
 * @param name what the calendar is called
 */
export function calendarOf(sessions: readonly CalendarSession[], name: string): string {
  const calendar = new ICalCalendar({
    name,
    prodId: { company: 'Vow Step', product: 'Sessions', language: 'EN' },
  });
  for (const session of sessions) {
    // As on the clock of the wall, so that no zone and no change of the hour falls into it: the library writes floating
    // times by their UTC parts.
    const start = new Date(`${session.day}T${session.startTime}:00Z`);
    calendar.createEvent({
      id: session.uid,
      stamp: new Date(session.changedAtMs),
      start,
      end: new Date(start.getTime() + session.bookedMin * 60_000),
      floating: true,
      summary: session.title,
      location: session.placeName || null,
      class: ICalEventClass.PRIVATE,
    });
  }
  return calendar.toString();
}
