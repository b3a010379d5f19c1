import ICAL from 'ical.js';
import fc from 'fast-check';
import { calendarOf, type CalendarSession } from './calendar';

const session: CalendarSession = {
  uid: 'abc@vowstep',
  title: 'Thursday group; hall 2, "early"',
  day: '2026-11-26',
  startTime: '16:30',
  bookedMin: 90,
  placeName: 'Nordhalle, Tor 3',
  changedAtMs: Date.parse('2026-11-20T10:00:00Z'),
};

/** Read by a library that is none of ours. */
const read = (text: string) =>
  new ICAL.Component(ICAL.parse(text) as never)
    .getAllSubcomponents('vevent')
    .map((event) => new ICAL.Event(event));

test('a session is read back as it was, in the hall’s own time', () => {
  const text = calendarOf([session], 'Sessions');
  const [event] = read(text);
  expect(event!.summary).toBe(session.title);
  expect(event!.location).toBe(session.placeName);
  expect(event!.uid).toBe(session.uid);
  expect(event!.startDate.toString()).toBe('2026-11-26T16:30:00');
  expect(event!.endDate.toString()).toBe('2026-11-26T18:00:00');
  // No zone is named: RFC 5545, 3.3.5, form 1.
  expect(event!.startDate.zone).toBe(ICAL.Timezone.localTimezone);
  expect(text).toMatch(/^BEGIN:VCALENDAR\r\nVERSION:2\.0\r\n/);
});

test('lines are folded at 75 octets and end in CRLF (RFC 5545, 3.1)', () => {
  const text = calendarOf([{ ...session, title: 'Ä'.repeat(200) }], 'Sessions');
  for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
  expect(text.replace(/\r\n/g, '')).not.toMatch(/[\r\n]/);
  expect(read(text)[0]!.summary).toBe('Ä'.repeat(200));
});

test('a session over midnight, and over a change of the hour, keeps its minutes on the wall', () => {
  const [event] = read(calendarOf([{ ...session, day: '2026-03-28', startTime: '23:30' }], 'S'));
  expect(event!.endDate.toString()).toBe('2026-03-29T01:00:00');
});

test('whatever a title says, it comes back', () => {
  const words = fc.string({ unit: 'grapheme', minLength: 1, maxLength: 60 }).map((text) => text.trim());
  fc.assert(
    fc.property(
      words.filter((text) => text !== '' && !/[\p{Cc}\p{Zl}\p{Zp}]/u.test(text)),
      (title) => expect(read(calendarOf([{ ...session, title }], 'S'))[0]!.summary).toBe(title),
    ),
  );
});
