import { dayIn, isZone, momentIn } from './zone';

test('a day begins at the coach’s own midnight, not at the server’s', () => {
  // 23:30 in London is the next day in Berlin, and still the day before in New York at 04:30 UTC.
  expect(dayIn(Date.UTC(2026, 10, 26, 23, 30), 'Europe/London')).toBe('2026-11-26');
  expect(dayIn(Date.UTC(2026, 10, 26, 23, 30), 'Europe/Berlin')).toBe('2026-11-27');
  expect(dayIn(Date.UTC(2026, 10, 26, 4, 30), 'America/New_York')).toBe('2026-11-25');
});

test('the hour of a booking is the coach’s, in summer and in winter', () => {
  expect(momentIn('2026-11-26', '16:30', 'Europe/Berlin')).toBe(Date.UTC(2026, 10, 26, 15, 30));
  expect(momentIn('2026-07-01', '16:30', 'Europe/Berlin')).toBe(Date.UTC(2026, 6, 1, 14, 30));
  expect(momentIn('2026-07-01', '16:30', 'Asia/Kolkata')).toBe(Date.UTC(2026, 6, 1, 11, 0));
});

test.each(['Europe/Berlin', 'UTC', 'Etc/GMT+5', 'America/Argentina/Salta'])('%s is a zone', (name) =>
  expect(isZone(name)).toBe(true),
);
test.each(['', 'Mars/Olympus', '../etc', 'x'.repeat(80), null, 7, 'Europe/Berlin; path=/'])(
  '%p is none',
  (name) => expect(isZone(name)).toBe(false),
);
