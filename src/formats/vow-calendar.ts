import {
  ICalAlarmRelatesTo,
  ICalAlarmType,
  ICalCalendar,
  ICalEventClass,
  ICalEventStatus,
  ICalEventTransparency,
} from 'ical-generator';

/** One day of a vow, as a calendar shows it. */
export interface CalendarVowDay {
  /** Stable and unguessable: the same day of the same vow has the same one every time. */
  readonly uid: string;
  readonly title: string;
  /** What is done, in plain words. */
  readonly words: string;
  /** Local ISO day. */
  readonly day: string;
  /** HH:MM on the family’s own clock; null for the whole day. */
  readonly atTime: string | null;
  readonly minutes: number;
  /** A reminder at its hour (at eight in the morning where it has none): only if asked. */
  readonly alarm: boolean;
  /** Paused, ended or changed away: calendars that have it strike it out. */
  readonly cancelled: boolean;
  /** Goes up with every change (RFC 5545, 3.8.7.4). */
  readonly sequence: number;
  /** UTC milliseconds. */
  readonly changedAtMs: number;
}

/** Without an hour a reminder comes at eight in the morning: seconds after midnight. Ours. */
const morningS = 8 * 3600;

/**
 * Days of vows as an iCalendar object (RFC 5545): whole local days, or floating times (3.3.5), so that a week has seven
 * days whatever the clocks do.
 */
export function vowCalendarOf(days: readonly CalendarVowDay[], name: string): string {
  const calendar = new ICalCalendar({
    name,
    prodId: { company: 'Vow Step', product: 'Vows', language: 'EN' },
  });
  for (const one of days) {
    const [year, month, date] = one.day.split('-').map(Number) as [number, number, number];
    const [hour, minute] = (one.atTime ?? '00:00').split(':').map(Number) as [number, number];
    // Written as it is on the wall: the library writes floating times and whole days by their UTC parts.
    const at = (minutes: number) => new Date(Date.UTC(year, month - 1, date, hour, minute + minutes));
    const event = calendar.createEvent({
      id: one.uid,
      stamp: new Date(one.changedAtMs),
      lastModified: new Date(one.changedAtMs),
      sequence: one.sequence,
      start: at(0),
      ...(one.atTime === null ? { allDay: true } : { end: at(one.minutes), floating: true }),
      summary: one.title,
      description: one.words,
      status: one.cancelled ? ICalEventStatus.CANCELLED : ICalEventStatus.CONFIRMED,
      // A few minutes at home block nobody’s day.
      transparency: ICalEventTransparency.TRANSPARENT,
      class: ICalEventClass.PRIVATE,
    });
    if (one.alarm && !one.cancelled)
      event
        .createAlarm({
          type: ICalAlarmType.display,
          description: one.title,
          ...(one.atTime === null ? { triggerAfter: morningS } : { trigger: 0 }),
        })
        // From the beginning: a whole day ends at the next midnight (RFC 5545, 3.6.1). Set by hand, because the library
        // passes it over where the alarm is made, and counts from the end.
        .relatesTo(ICalAlarmRelatesTo.start);
  }
  return calendar.toString();
}
