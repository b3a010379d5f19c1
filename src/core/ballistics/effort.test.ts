import { topSpeedFor } from './wall/advise';
import { effortInWords, effortOf } from './effort';

test.each([
  [0, 'gentle'],
  [4.9, 'gentle'],
  [5, 'firm'],
  [7.9, 'firm'],
  [8, 'hard'],
  [10, 'hard'],
  [10.1, 'too hard'],
] as const)('%d m/s of at most 10 is %s', (mps, felt) => expect(effortOf(mps, 10)).toBe(felt));

test('the same ball is hard for a small child and gentle for a big one', () => {
  expect(effortInWords(8, topSpeedFor(6, 'tennis'))).toBe('hard, 8.0 m/s');
  expect(effortInWords(8, topSpeedFor(15, 'tennis'))).toBe('gentle, 8.0 m/s');
});
