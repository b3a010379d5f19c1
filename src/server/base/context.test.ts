import { dayAfter, recentSince } from './days';
import { dayIn, now } from './zone';

const before = process.env.VOWSTEP_TODAY;
afterEach(() => {
  if (before === undefined) delete process.env.VOWSTEP_TODAY;
  else process.env.VOWSTEP_TODAY = before;
});

test('the day can be fixed; the time of day runs on', () => {
  process.env.VOWSTEP_TODAY = '2031-02-03';
  const { nowMs, today } = now('Asia/Kolkata');
  expect(today).toBe('2031-02-03');
  expect(dayIn(nowMs, 'Asia/Kolkata')).toBe('2031-02-03');
  const off = Math.abs((nowMs % 60_000) - (Date.now() % 60_000));
  expect(Math.min(off, 60_000 - off)).toBeLessThan(5000);
});

test.each(['', 'tomorrow', '03.02.2031'])('"%s" fixes nothing', (text) => {
  process.env.VOWSTEP_TODAY = text;
  const { nowMs, today } = now('UTC');
  expect(today).toBe(new Date(nowMs).toISOString().slice(0, 10));
});

test('days are local days, across months, years and the end of summer time', () => {
  expect([dayAfter('2026-02-28', 1), dayAfter('2028-02-28', 1), dayAfter('2026-01-01', -1)]).toEqual([
    '2026-03-01',
    '2028-02-29',
    '2025-12-31',
  ]);
  expect(dayAfter('2026-10-24', 2)).toBe('2026-10-26');
  expect(recentSince('2026-11-24')).toBe('2026-09-01');
});
