import ICAL from 'ical.js';
import { vowCalendarOf, type CalendarVowDay } from './vow-calendar';

const day: CalendarVowDay = {
  uid: 'a@vowstep',
  title: 'Palm-up bounce',
  words: 'Get 20 in a row.',
  day: '2027-03-28',
  atTime: null,
  minutes: 5,
  alarm: false,
  cancelled: false,
  sequence: 3,
  changedAtMs: Date.parse('2027-03-20T10:00:00Z'),
};
const read = (text: string) =>
  new ICAL.Component(ICAL.parse(text) as never)
    .getAllSubcomponents('vevent')
    .map((one) => new ICAL.Event(one));

test('a whole day is a day and no time, with its sequence and no alarm', () => {
  const [event] = read(vowCalendarOf([day], 'Vows'));
  expect(event!.startDate.isDate).toBe(true);
  expect(event!.startDate.toString()).toBe('2027-03-28');
  expect(event!.sequence).toBe(3);
  expect(event!.component.getAllSubcomponents('valarm')).toHaveLength(0);
  expect(event!.component.getFirstPropertyValue('status')).toBe('CONFIRMED');
});

test('an hour is the family’s own: no zone, and an alarm only if asked', () => {
  const [event] = read(vowCalendarOf([{ ...day, atTime: '17:30', alarm: true }], 'Vows'));
  expect(event!.startDate.toString()).toBe('2027-03-28T17:30:00');
  expect(event!.endDate.toString()).toBe('2027-03-28T17:35:00');
  expect(event!.startDate.zone).toBe(ICAL.Timezone.localTimezone);
  const [alarm] = event!.component.getAllSubcomponents('valarm');
  expect(String(alarm!.getFirstPropertyValue('trigger'))).toBe('PT0S');
});

/** The moment a reader rings (RFC 5545, 3.8.6.3): from the start or, where the trigger says so, from the end of its event. */
function rings(event: ICAL.Event): string {
  const trigger = event.component.getFirstSubcomponent('valarm')!.getFirstProperty('trigger')!;
  const from = trigger.getFirstParameter('related') === 'END' ? event.endDate : event.startDate;
  const at = from.clone();
  at.isDate = false;
  at.addDuration(trigger.getFirstValue() as unknown as ICAL.Duration);
  return at.toString();
}

/** The same day with its end said, as some calendars write it when they take it over. */
function withEnd(text: string): string {
  return text.replace(/(DTSTART;VALUE=DATE:)(\d{8})/, (all, _name, start: string) => {
    const next = new Date(Date.UTC(+start.slice(0, 4), +start.slice(4, 6) - 1, +start.slice(6) + 1));
    return `${all}\r\nDTEND;VALUE=DATE:${next.toISOString().slice(0, 10).replaceAll('-', '')}`;
  });
}

// The days on which clocks go forward and back in Berlin, and days round them.
test.each(['2027-03-27', '2027-03-28', '2027-03-29', '2027-10-30', '2027-10-31', '2027-11-01', '2027-01-01'])(
  'without an hour a reminder rings at eight in the morning of %s itself, with and without an end',
  (local) => {
    const text = vowCalendarOf([{ ...day, day: local, alarm: true }], 'Vows');
    for (const one of [text, withEnd(text)]) expect(rings(read(one)[0]!)).toBe(`${local}T08:00:00`);
    const timed = vowCalendarOf([{ ...day, day: local, atTime: '17:30', alarm: true }], 'Vows');
    expect(rings(read(timed)[0]!)).toBe(`${local}T17:30:00`);
  },
);

test('a day that was cancelled says so under the same id, with a higher number', () => {
  const before = read(vowCalendarOf([day], 'Vows'))[0]!;
  const after = read(vowCalendarOf([{ ...day, cancelled: true, sequence: 4, alarm: true }], 'Vows'))[0]!;
  expect(after.uid).toBe(before.uid);
  expect(after.sequence).toBeGreaterThan(before.sequence);
  expect(after.component.getFirstPropertyValue('status')).toBe('CANCELLED');
  expect(after.component.getAllSubcomponents('valarm')).toHaveLength(0);
});

/** Weeks in which clocks change in 2027: Berlin, New York, Auckland (from the zones’ published rules). */
const weeks = ['2027-03-22', '2027-10-25', '2027-03-08', '2027-11-01', '2027-03-29', '2027-09-20'];

test.each(weeks)('the week of %s has seven local days, one event each', (monday) => {
  const start = Date.parse(`${monday}T00:00:00Z`);
  const days = Array.from({ length: 7 }, (_, i) =>
    new Date(start + i * 86_400_000).toISOString().slice(0, 10),
  );
  const events = read(
    vowCalendarOf(
      days.map((one, i) => ({ ...day, uid: `u${i}`, day: one })),
      'Vows',
    ),
  );
  expect(events.map(({ startDate }) => startDate.toString())).toEqual(days);
});
