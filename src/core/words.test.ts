import { clockTime, counted, inMinutes, listed, percent } from './words';

test.each([
  [0, '0 s', '0:00'],
  [59.4, '59 s', '0:59'],
  [59.6, '1:00 min', '1:00'],
  [150, '2:30 min', '2:30'],
  [-75, '-1:15 min', '-1:15'],
])('%d seconds', (seconds, words, clock) => {
  expect(inMinutes(seconds)).toBe(words);
  expect(clockTime(seconds)).toBe(clock);
});

test('numbers with their nouns', () => {
  expect([counted(1, 'touch', 'touches'), counted(1200, 'touch', 'touches'), percent(0.874)]).toEqual([
    '1 touch',
    '1,200 touches',
    '87\u00a0%',
  ]);
  expect([listed([]), listed(['A']), listed(['A', 'B', 'C'])]).toEqual(['', 'A', 'A, B and C']);
});
