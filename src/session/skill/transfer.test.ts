import { plainBook } from '@/drills';
import { conditionOf, type Circumstances, type Done } from './levels';
import { comparisonsOf, transferOf } from './transfer';

const plain: Circumstances = { feed: null, ball: null, eased: false, home: false, otherHand: false };
const done = (
  drillId: string,
  stepId: string,
  touches: number,
  drops: number,
  so: Partial<Circumstances> = {},
) => ({
  playerId: 'ada',
  drillId,
  stepId,
  touches,
  drops,
  day: '2026-11-20',
  weight: 1,
  condition: conditionOf({ ...plain, ...so }),
  dose: plainBook.step(drillId, stepId)!.doses['10-12'],
  results: 1,
  sum: touches,
  logSum: 0,
  squares: 0,
  free: 0,
  dropped: drops,
});
const of = (...all: Done[]) => comparisonsOf(plainBook, { done: all, levels: [] } as never, 'ada');
const bounce = (touches: number, drops: number, so: Partial<Circumstances> = {}) =>
  done('palm-up-bounce', 'row-20', touches, drops, so);

test('nothing is set side by side while only one side was counted', () => {
  expect(of(bounce(90, 10))).toEqual([]);
  expect(of(bounce(90, 10), done('clap-and-catch', 'five-claps', 20, 20, { otherHand: true }))).toEqual([]);
});

test('one hand and the other, on the steps done with both', () => {
  const [hands] = of(
    bounce(95, 5),
    bounce(60, 40, { otherHand: true }),
    // Done with one hand only: it says nothing of the gap.
    done('turn-over-bounce', 'same-height', 10, 90),
  );
  expect(hands).toMatchObject({
    title: 'One hand and the other',
    sides: [{ name: 'own hand' }, { name: 'other hand' }],
  });
  expect(hands!.words).toBe(
    'Holds 9 of 10 with the own hand, 6 of 10 with the other: give the other hand more.',
  );
  expect(hands!.sides[0].share.value).toBeCloseTo(95.5 / 101, 6);
});

test('home and court: a small difference is none', () => {
  expect(of(bounce(95, 5), bounce(50, 50, { home: true }))[0]!.words).toMatch(/^More holds on court/);
  expect(of(bounce(50, 50), bounce(95, 5, { home: true }))[0]!.words).toMatch(/^More holds at home/);
  expect(of(bounce(45, 5), bounce(46, 4, { home: true }))[0]!.words).toMatch(/^About as much/);
});

test('drills with a ball and games', () => {
  const rally = plainBook.drill('longest-alternating-rally')!.steps[0]!.id;
  const [games] = of(bounce(95, 5), done('longest-alternating-rally', rally, 60, 40));
  expect(games).toMatchObject({ title: 'Drills and games' });
  expect(games!.words).toBe('Holds 9 of 10 in drills, 6 of 10 in games: play more of what is drilled.');
});

test('what was made easier, or by somebody else, is in none of it', () => {
  const other = { ...bounce(5, 95, { otherHand: true }), playerId: 'ben' };
  expect(of(bounce(90, 10), bounce(5, 95, { eased: true, otherHand: true }), other)).toEqual([]);
});

test('the feed a ball came by on court goes before the drill’s own', () => {
  const { shares } = transferOf(
    plainBook,
    { done: [bounce(90, 10), bounce(40, 60, { feed: 'random' })], levels: [] } as never,
    'ada',
  );
  expect(shares.map(({ sureness, hits }) => [sureness, hits])).toEqual([
    [plainBook.drill('palm-up-bounce')!.feed.predictability, 90],
    ['random', 40],
  ]);
});
