import fc from 'fast-check';
import { seededRandom } from '../../base/random';
import { drawPlayer } from '../testing/own-world';
import { gainsOver } from '../testing/score';
import { assumptions, kinds, type Kind } from './assumptions';
import { alone, evidenceOf, logLikelihood, slopesAt, type Evidence } from './evidence';
import { begun, follow, later, smoothed, takenIn, type State } from './follow';
import { halfWidth, logistic, logit, meanOf, normalNodes } from './scale';
import { squadLevels, type Series } from './squad';
import { updated } from './update';

const all = [...new Set(Object.values(kinds))];
const some: Readonly<Record<Kind, Evidence>> = {
  chance: { kind: 'chance', sum: 24, of: 30 },
  rate: { kind: 'rate', sum: 36, of: 30 },
  time: { kind: 'time', sum: 3.3, of: 3 },
  share: { kind: 'share', sum: 5.2, of: 10 },
  spread: { kind: 'spread', sum: 180, of: 9 },
};

test('quadrature takes moments of the normal distribution exactly: 1, 0, 1, 3, 15', () => {
  const moment = (power: number) => normalNodes.reduce((sum, [x, weight]) => sum + weight * x ** power, 0);
  for (const [power, value] of [
    [0, 1],
    [1, 0],
    [2, 1],
    [4, 3],
    [6, 15],
    [8, 105],
  ] as const)
    expect(moment(power)).toBeCloseTo(value, 9);
  expect(meanOf({ mean: 2, variance: 9 }, (x) => x ** 2)).toBeCloseTo(13, 9);
});

test.each(all)('%s: slope and bend are those of its likelihood', (kind) => {
  const step = 1e-4;
  for (const level of [-1, 0.2, 1.5]) {
    const at = (x: number) => logLikelihood(some[kind], x);
    const { slope, bend } = slopesAt(some[kind], level);
    expect((at(level + step) - at(level - step)) / (2 * step)).toBeCloseTo(slope, 4);
    expect(-(at(level + step) - 2 * at(level) + at(level - step)) / step ** 2).toBeCloseTo(bend, 2);
  }
});

test.each(all)('%s: an update is the mean and variance of the product, summed finely', (kind) => {
  const before = { mean: alone(some[kind]).mean + 0.4, variance: 0.3 };
  let [mass, first, second] = [0, 0, 0];
  for (let x = before.mean - 6; x <= before.mean + 6; x += 0.001) {
    const density = Math.exp(
      logLikelihood(some[kind], x) -
        logLikelihood(some[kind], before.mean) -
        (x - before.mean) ** 2 / (2 * before.variance),
    );
    mass += density;
    first += density * x;
    second += density * x * x;
  }
  const { mean, variance } = updated(before, some[kind]);
  expect(mean).toBeCloseTo(first / mass, 4);
  expect(variance).toBeCloseTo(second / mass - (first / mass) ** 2, 4);
});

test("a random walk watched through noise settles where Kalman's filter does: P = (q + sqrt(q² + 4qr)) / 2", () => {
  // Any textbook; q 0.01 and r 1 give 0.105125 and a gain of 0.095125. Ours are the same, scaled.
  const { wander, form, noise } = assumptions.time;
  const r = wander ** 2 / 0.01;
  const evidence: Evidence = { kind: 'time', sum: 0, of: noise ** 2 / (r - form ** 2) };
  let state: State = { level: 0, gain: 0, levelVar: 1, both: 0, gainVar: 0, wanders: 1, scatter: 1 };
  for (let week = 0; week < 300; week++) state = takenIn(later(state, 7, 'time'), evidence).after;
  const foreseen = later(state, 7, 'time').levelVar;
  expect(foreseen / r).toBeCloseTo(0.105125, 6);
  expect(foreseen / (foreseen + r)).toBeCloseTo(0.095125, 6);
});

test('times with a gain are filtered and smoothed as the joint normal distribution says, worked out at once', () => {
  const drawn = drawPlayer('time', 5, 0, seededRandom(3));
  const prior = { mean: drawn.usual, variance: 0.09 };
  const followed = follow('time', prior, drawn.dated);
  const n = drawn.dated.length;
  // Joint mean and covariance of the levels, by running every pair of days forward by itself.
  const mean: number[] = [];
  const cov: number[][] = [];
  let state = begun('time', prior);
  const steps: { reach: number; fade: number }[] = [];
  drawn.dated.forEach(({ day }, i) => {
    const gap = i === 0 ? 0 : day - drawn.dated[i - 1]!.day;
    const fade = Math.exp(-Math.min(gap, 10) / 7 / 8.5);
    steps.push({ fade, reach: 8.5 * (1 - fade) });
    state = later(state, gap, 'time');
    mean.push(state.level);
    cov.push(Array.from({ length: n }, () => 0));
    cov[i]![i] = state.levelVar;
    let [across, tie] = [state.levelVar, state.both];
    let ahead = state;
    for (let j = i + 1; j < n; j++) {
      const next = drawn.dated[j]!.day - drawn.dated[j - 1]!.day;
      const after = Math.exp(-Math.min(next, 10) / 7 / 8.5);
      across += 8.5 * (1 - after) * tie;
      tie *= after;
      ahead = later(ahead, next, 'time');
      cov[i]![j] = across;
    }
  });
  for (let i = 0; i < n; i++) for (let j = 0; j < i; j++) cov[i]![j] = cov[j]![i]!;
  const { form, noise } = assumptions.time;
  // Conditioning on one day after another: the plain formula for a normal distribution.
  const levels = mean.map((m, i) => ({ m, row: [...cov[i]!] }));
  for (let k = 0; k < n; k++) {
    const { evidence } = drawn.dated[k]!;
    const total = levels[k]!.row[k]! + form ** 2 + noise ** 2 / evidence.of;
    const off = evidence.sum / evidence.of - levels[k]!.m;
    const column = levels.map(({ row }) => row[k]!);
    levels.forEach((one, i) => {
      one.m += (column[i]! / total) * off;
      one.row = one.row.map((value, j) => value - (column[i]! * column[j]!) / total);
    });
    // The filter knows of day k what has been taken in until then.
    expect(followed.after[k]!.level).toBeCloseTo(levels[k]!.m, 6);
    expect(followed.after[k]!.levelVar).toBeCloseTo(levels[k]!.row[k]!, 6);
  }
  smoothed(followed).forEach(({ mean: m, variance }, i) => {
    expect(m).toBeCloseTo(levels[i]!.m, 6);
    expect(variance).toBeCloseTo(levels[i]!.row[i]!, 6);
  });
});

test('a break widens what is believed, by more than a week of practice does, and gains nothing', () => {
  const state: State = {
    level: 1,
    gain: 0.1,
    levelVar: 0.05,
    both: 0,
    gainVar: 0.001,
    wanders: 1,
    scatter: 1,
  };
  const [week, ten, month] = [7, 10, 38].map((days) => later(state, days, 'chance')) as [State, State, State];
  expect(month.level).toBe(ten.level);
  expect(month.levelVar - ten.levelVar).toBeCloseTo(4 * 3 * assumptions.chance.wander ** 2, 10);
  expect(week.levelVar).toBeLessThan(ten.levelVar);
});

test('more evidence never makes a level less sure, and a better day never a worse level', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 60 }),
      fc.integer({ min: 1, max: 60 }),
      fc.double({ min: -3, max: 4, noNaN: true }),
      fc.double({ min: 0.01, max: 2, noNaN: true }),
      (hits, tries, mean, variance) => {
        const of = hits + tries;
        const at = (sum: number) => updated({ mean, variance }, { kind: 'chance', sum, of });
        const own = at(hits);
        expect(own.variance).toBeLessThanOrEqual(variance * 1.0001);
        expect(at(hits + 1).mean).toBeGreaterThan(own.mean - 1e-9);
      },
    ),
  );
});

test('what is logged becomes evidence by its measure; a row that was cut off has no miss in it', () => {
  const day = {
    results: 2,
    touches: 30,
    drops: 1,
    sum: 30,
    logSum: 5,
    squares: 90,
    dropped: 1,
    free: 28,
    boxS: 20,
    mostEach: 10,
  };
  expect(evidenceOf('row', day)).toEqual({ kind: 'chance', sum: 30, of: 31 });
  expect(evidenceOf('hold', day)).toEqual({ kind: 'chance', sum: 30, of: 31 });
  expect(evidenceOf('count', day)).toEqual({ kind: 'rate', sum: 30, of: 40 });
  expect(evidenceOf('lap', day)).toEqual({ kind: 'time', sum: 5, of: 2 });
  expect(evidenceOf('points', day)).toEqual({ kind: 'share', sum: 3, of: 31 });
  expect(evidenceOf('steadiness', day)).toEqual({ kind: 'spread', sum: 90, of: 28 });
  expect(evidenceOf('row', { ...day, touches: 0, drops: 0 })).toBeNull();
});

// The full figures are the bench's; here the ranges must not be far off.
test.each(all)(
  '%s: ranges hold the truth about as often as they say, and beat a mean and the last day',
  (kind) => {
    const random = seededRandom(11);
    let [held, mean, last] = [0, 0, 0];
    const players = 400;
    for (let n = 0; n < players; n++) {
      const drawn = drawPlayer(kind, 16, 7, random);
      const followed = follow(
        kind,
        { mean: drawn.usual, variance: assumptions[kind].apart ** 2 },
        drawn.dated,
      );
      const { level, levelVar } = followed.after.at(-1)!;
      if (Math.abs(drawn.levels.at(-1)! - level) < halfWidth[0.95] * Math.sqrt(levelVar)) held++;
      const gains = gainsOver(followed, drawn.dated);
      mean += gains.mean;
      last += gains.last;
    }
    expect(held / players).toBeGreaterThan(0.915);
    expect(held / players).toBeLessThan(0.98);
    expect(Math.min(mean, last)).toBeGreaterThan(0);
  },
);

describe('a ladder lends', () => {
  const series = (
    playerId: string,
    step: string,
    hits: number,
    tries: number,
    more: Partial<Series> = {},
  ): Series => ({
    playerId,
    step,
    ladder: 'bounce',
    condition: '',
    kind: 'chance',
    usual: logit(0.8),
    dated: tries === 0 ? [] : [{ day: 0, evidence: { kind: 'chance', sum: hits, of: tries } }],
    ...more,
  });
  const chance = (levels: ReturnType<typeof squadLevels>, playerId: string, step: string, condition = '') => {
    const found = levels.find(
      (one) => one.playerId === playerId && one.step === step && one.condition === condition,
    )!;
    const state = found.followed.after.at(-1);
    return { p: logistic(state ? state.level : found.prior.mean), prior: found.prior };
  };

  test('a player’s level from their other steps, and a step’s from everybody else on it', () => {
    const good = series('good', 'one', 190, 200);
    const others = ['a', 'b', 'c', 'd'].flatMap((id) => [
      series(id, 'one', 160, 200),
      series(id, 'two', 100, 200),
    ]);
    const alonePrior = chance(squadLevels([series('good', 'two', 0, 0)]), 'good', 'two').prior;
    const lent = chance(squadLevels([good, ...others, series('good', 'two', 0, 0)]), 'good', 'two').prior;
    const usual = chance(squadLevels([...others, series('new', 'two', 0, 0)]), 'new', 'two').prior;
    // The step is harder than thought, and this player better than most.
    expect(usual.mean).toBeLessThan(alonePrior.mean);
    expect(lent.mean).toBeGreaterThan(usual.mean);
    expect(lent.variance).toBeLessThan(usual.variance);
    expect(usual.variance).toBeLessThan(alonePrior.variance);
  });

  test('another feed begins at the level of the step as it is, less sure', () => {
    const known = series('a', 'one', 180, 200);
    const live = series('a', 'one', 2, 4, { condition: 'live feed' });
    const levels = squadLevels([known, live]);
    const plain = chance(levels, 'a', 'one');
    const other = chance(levels, 'a', 'one', 'live feed');
    expect(logistic(other.prior.mean)).toBeCloseTo(plain.p, 10);
    expect(other.p).toBeLessThan(plain.p);
    expect(other.p).toBeGreaterThan(0.5);
  });
});
