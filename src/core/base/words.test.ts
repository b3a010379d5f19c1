import { clockTime, counted, doseTimeInWords, inHalfMinutes, inMinutes, percent } from './words';

test.each([
  [0, '0 s', '0:00'],
  [59.4, '59 s', '0:59'],
  [59.6, '1 min', '1:00'],
  [2700, '45 min', '45:00'],
  [150, '2:30 min', '2:30'],
  [-75, '-1:15 min', '-1:15'],
])('%d seconds', (seconds, words, clock) => {
  expect(inMinutes(seconds)).toBe(words);
  expect(clockTime(seconds)).toBe(clock);
});

test('the time of a dose is counted in seconds as long as a person does', () => {
  expect([20, 90, 108, 120, 150].map(doseTimeInWords)).toEqual([
    '20 s',
    '90 s',
    '1:48 min',
    '2 min',
    '2:30 min',
  ]);
});

test('numbers with their nouns', () => {
  expect([counted(1, 'touch', 'touches'), counted(1200, 'touch', 'touches'), percent(0.874)]).toEqual([
    '1 touch',
    '1,200 touches',
    '87\u00a0%',
  ]);
});

test('nearly sure is not sure', () => {
  expect([0, 0.001, 0.994, 0.999, 1].map(percent)).toEqual([
    '0\u00a0%',
    'under 1\u00a0%',
    '99\u00a0%',
    'over 99\u00a0%',
    '100\u00a0%',
  ]);
});

test.each([
  [0, '0'],
  [14, '0'],
  [16, '½'],
  [1150, '19'],
  [1160, '19½'],
  [3600, '60'],
])('%d s are %s minutes to the half minute', (seconds, text) => {
  expect(inHalfMinutes(seconds)).toBe(text);
});
