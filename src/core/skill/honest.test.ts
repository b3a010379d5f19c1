import { seededRandom } from '../base/random';
import {
  alwaysTheAim,
  doubled,
  fasterThanTheBall,
  findingInWords,
  findings,
  homeAbove,
  homeFarAbove,
  passedDrops,
  roundNumbers,
  whipple,
  type Told,
} from './honest';
import { tappedMonth, toldKinds, toldSeason } from './testing/seasons';

test("Whipple's index: 100 where no digit is liked, 500 where all end in 0 or 5", () => {
  expect(whipple(Array.from({ length: 100 }, (_, n) => n))).toBe(100);
  expect(whipple([5, 10, 15, 40])).toBe(500);
  expect(whipple([5, 11, 12, 13])).toBe(125);
  expect(whipple([])).toBe(100);
});

describe('seasons', () => {
  const random = seededRandom(20261127);
  const seasons = 400;
  const share = (made: () => boolean) =>
    Array.from({ length: seasons }, made).filter(Boolean).length / seasons;

  test('honest ones are left alone', () => {
    expect(share(() => roundNumbers(toldSeason(random, 0)) !== null)).toBeLessThanOrEqual(0.02);
    expect(share(() => findings(tappedMonth(random), []).length > 0)).toBeLessThanOrEqual(0.02);
  });

  // Rows that end at twenty, sets of ten, twenty seconds that always bring 28 to 32, laps by the watch.
  test.each(toldKinds)('honest counts are not doubtful: %s', (kind) => {
    expect(share(() => findings([], toldSeason(random, 0, kind)).length > 0)).toBeLessThanOrEqual(0.02);
  });

  test('half the counts rounded up are found in every kind that is not over at ten', () => {
    for (const kind of toldKinds.filter((one) => one !== 'sets of ten' && one !== 'laps'))
      expect(share(() => roundNumbers(toldSeason(random, 0.5, kind)) !== null)).toBeGreaterThan(0.9);
  });

  test('one count in ten rounded up is found, touches counted twice, and drops let pass', () => {
    expect(share(() => roundNumbers(toldSeason(random, 0.1)) !== null)).toBeGreaterThanOrEqual(0.8);
    expect(share(() => doubled(tappedMonth(random, { twice: 0.06 })) !== null)).toBeGreaterThan(0.95);
    expect(share(() => passedDrops(tappedMonth(random, { pass: 0.6 })) !== null)).toBeGreaterThan(0.95);
  });
});

test('touches faster than the ball can bounce', () => {
  const at = (gap: number) => [{ gaps: Array<number>(60).fill(gap), drops: 2, dropCostS: 3, ballS: 0.3 }];
  expect(fasterThanTheBall(at(0.2))).toMatchObject({ n: 60, of: 60 });
  expect(fasterThanTheBall(at(0.4))).toBeNull();
  expect(fasterThanTheBall([{ ...at(0.2)[0]!, ballS: 0 }])).toBeNull();
});

const told = (results: readonly number[], { aim = 20, end = Infinity } = {}): Told[] =>
  results.map((result) => ({ step: 'juggling two', result, end, aim }));
const someAtTheAim = (n: number, of: number) => Array.from({ length: of }, (_, i) => (i < n ? 20 : 13 + i));

test('every day exactly the aim; a few of them are no wonder', () => {
  expect(alwaysTheAim(told(someAtTheAim(10, 10)))).toMatchObject({ n: 10, of: 10 });
  expect(alwaysTheAim(told(someAtTheAim(4, 10)))).toBeNull();
  expect(alwaysTheAim(told(someAtTheAim(5, 5)))).toBeNull();
});

test('a row that ends at its aim is no doubt, however often it gets there', () => {
  expect(alwaysTheAim(told(someAtTheAim(10, 10), { end: 20 }))).toBeNull();
  expect(roundNumbers(told(Array<number>(80).fill(20), { end: 20 }))).toBeNull();
});

test('a count typed wrongly by thousands changes nothing of what is found', () => {
  const counts = toldSeason(seededRandom(4), 0.5, 'against the clock').map(({ result }) => result);
  const found = roundNumbers(told(counts));
  expect(found).not.toBeNull();
  expect(roundNumbers(told([...counts, 99_999]))).toEqual(found);
});

test('few counts and small ones say nothing of round numbers', () => {
  expect(roundNumbers(told([5, 10, 15, 20]))).toBeNull();
  expect(roundNumbers(told(Array<number>(60).fill(2)))).toBeNull();
  expect(roundNumbers(told(Array.from({ length: 60 }, (_, n) => 5 * (n + 1))))).not.toBeNull();
});

test('home far above court, beyond what another place may bring', () => {
  const at = (mean: number) => ({ mean, variance: 0.04 });
  expect(homeAbove(at(2), at(2))).toBeLessThan(0);
  expect(homeAbove(at(4), at(2))).toBeGreaterThan(5);
  expect(homeFarAbove(at(2.6), at(2), 12, 10)).toBeNull();
  const found = homeFarAbove(at(4), at(2), 40, 8)!;
  expect(found).toMatchObject({ doubt: 'home far above court', n: 40, of: 8 });
  expect(findingInWords(found)).toBe(
    'At home it is about 40, on court about 8: perhaps it is easier there, or drops are let pass. Do it once together.',
  );
});

test('a finding is a friendly word, with no blame in it', () => {
  const all = [
    doubled(tappedMonth(seededRandom(1), { twice: 0.1 })),
    passedDrops(tappedMonth(seededRandom(1), { pass: 0.8 })),
  ];
  for (const finding of all) {
    const words = findingInWords(finding!);
    expect(words).toContain('perhaps');
    expect(words).not.toMatch(/cheat|lie|wrong|false|fake/i);
  }
});
