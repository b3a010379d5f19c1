import { transfer, type Held } from './transfer';

const held = (sureness: Held['sureness'], hits: number, tries: number): Held => ({ sureness, hits, tries });

test('a gap is named where the ranges lie apart, with the ball to train', () => {
  const { gap, train, missing } = transfer([
    held('known', 90, 100),
    held('random', 60, 100),
    held('live', 55, 100),
  ]);
  expect(gap).toBe('Holds on a known ball 9 of 10, on a random one 6 of 10: train random.');
  expect([train, missing]).toEqual(['random', null]);
});

test('what chance alone brings is no gap', () =>
  expect(transfer([held('known', 36, 40), held('random', 32, 40), held('live', 33, 40)])).toMatchObject({
    gap: null,
    train: null,
    missing: null,
  }));

test('too little of a ball is what to count next', () => {
  expect(transfer([held('known', 90, 100), held('random', 5, 10)])).toMatchObject({
    gap: null,
    missing: 'random',
  });
  expect(transfer([])).toEqual({ shares: [], gap: null, train: null, missing: 'known' });
});

test('days of one kind of ball are added up', () => {
  const { shares } = transfer([held('live', 10, 20), held('live', 20, 30)]);
  expect(shares).toMatchObject([{ sureness: 'live', hits: 30, tries: 50 }]);
});
