import type { TouchEvent } from './event';
import { isDoubtful, leastLapS } from './doubtful';
import { noLimits } from './limits';
import { tally } from './tally';

const lap = (n: number, value: number): TouchEvent => ({
  id: `e${n}`,
  blockId: 'b',
  playerId: 'p',
  kind: 'lap',
  attempt: n,
  value,
  ref: null,
  atMs: 1000 * n,
  monoMs: 0,
  device: 'd',
});

test('a lap of less than half the quickest mark of its ladder is doubtful', () => {
  expect(leastLapS([9, 6.5])).toBe(3.25);
  expect(leastLapS([])).toBe(0);
  expect(isDoubtful('lap', { result: 3.2, fixed: false }, { leastS: 3.25, most: Infinity })).toBe(true);
  expect(isDoubtful('lap', { result: 3.3, fixed: false }, { leastS: 3.25, most: Infinity })).toBe(false);
  expect(isDoubtful('lap', { result: null, fixed: false }, { leastS: 3.25, most: Infinity })).toBe(false);
  expect(isDoubtful('hold', { result: 1, fixed: false }, { leastS: 3.25, most: Infinity })).toBe(false);
});

test('it is an attempt, and no best, until it is confirmed by a correction', () => {
  const laps = [lap(1, 0.1), lap(2, 7.2)];
  expect(tally(laps, 'lap', () => ({ ...noLimits, leastS: 3.25 }))).toMatchObject({
    best: 7.2,
    attempts: [{ doubtful: true }, { doubtful: false }],
  });
  const word: TouchEvent = { ...lap(3, 0.1), kind: 'fix', ref: 'e1' };
  expect(tally([...laps, word], 'lap', () => ({ ...noLimits, leastS: 3.25 }))).toMatchObject({
    best: 0.1,
    attempts: [{ doubtful: false }, {}],
  });
});
