import type { RallyEnd } from '@/core/ballistics/wall/exchange';
import { reachOf } from '@/core/ballistics/wall/reach';
import type { WallSetup } from '@/core/ballistics/wall/setup';
import { normals, seededRandom } from '@/core/base/random';
import { expectedTouchesToRow } from '@/core/skill/row-odds';
import { fewMisses, fitSpread, fitSteps, type LoggedRows } from './fit';
import { forecast, forecastSteps } from './forecast';
import {
  expectedBest,
  hitRate,
  medianLength,
  sameChanceAtLeast,
  sameChanceBest,
  shareOfAtLeast,
} from './results';
import { setOutFor } from './set-out';
import { RallyPlayer, simulateRallies, type PlaysRallies, type Rallies } from './simulate';
import { mixes, noSpread, spreadOf } from './spread';

const setup: WallSetup = {
  shot: 'one bounce',
  ball: 'orange',
  floor: 'rough concrete',
  wall: 'brick',
  distanceM: 3,
  contactM: 0.55,
  targetM: 1.5,
  meet: 'falling',
  topSpeedMps: 14,
  wallTopM: 4,
  ceilingM: null,
  tableGapM: 0.2,
  tableLengthM: 1.37,
};
const reach = reachOf({ heightM: 1.34, strideM: 0.6, sideStepM: 0.5, contactM: 0.9 });
const setting = { setup, reach };
const player = new RallyPlayer(setting);
const play = (scale: number, rallies: number, most = 50, seed = 7, mix = mixes[0]!) =>
  simulateRallies(player, spreadOf(mix, scale), { rallies, most, seed });

/** The simulator with a player whose every touch has the same chance of 0.8, whatever flies. */
function eightInTen(rallies: number, most: number): Rallies {
  // A normal draw is below this with that chance: the 80 % quantile of the normal distribution, any table.
  const bound = 0.841621;
  const flips: PlaysRallies = {
    end: null,
    rally: (_spread, longest, draw) => {
      for (let hits = 0; hits < longest; hits++)
        if (draw() >= bound) {
          (flips as { end: RallyEnd | null }).end = 'short';
          return hits;
        }
      (flips as { end: RallyEnd | null }).end = null;
      return longest;
    },
  };
  return simulateRallies(flips, noSpread, { rallies, most, seed: 3 });
}

test('without scatter it is the solver: every rally goes on for ever, always from the same place', () => {
  const played = simulateRallies(player, noSpread, { rallies: 20, most: 200, seed: 1 });
  expect(played.unended).toBe(20);
  expect(played.lengths[200]).toBe(20);
  expect(player.aims.nominal.heightM).toBeCloseTo(setup.contactM, 3);
  expect(player.aims.speed(3, 0.55)).toBeCloseTo(player.aims.nominal.speedMps, 1);
});

test.each([
  ['volley', 2.5, 1.6, 'yellow', 'tennis'],
  ['floor first', 3, 1.8, 'yellow', 'tennis'],
  ['table', 1.75, 1.1, 'table tennis', 'table tennis'],
  ['one bounce', 1.5, 1.1, 'table tennis', 'table tennis'],
  ['one bounce', 5, 1.6, 'yellow', 'tennis'],
] as const)('without scatter %s from %p m goes on for ever too', (shot, distanceM, markM, ball, sport) => {
  const out = { shot, distanceM, markM, ball, floor: 'wood', wall: 'brick', ceilingM: null } as const;
  const played = setOutFor(out, { age: 13, sport, heightM: 1.56, reach: { ...reach, highM: 1.56 } })!;
  expect(simulateRallies(new RallyPlayer(played), noSpread, { rallies: 5, most: 50, seed: 1 }).unended).toBe(
    5,
  );
});

test('no mark, no set-up: a ball that never comes up to the hand', () => {
  const out = {
    shot: 'one bounce',
    distanceM: 3,
    markM: 0.2,
    ball: 'indoor foam',
    floor: 'lawn',
    wall: 'brick',
  } as const;
  const child = { age: 8, sport: 'tennis', heightM: 1.27, reach } as const;
  expect(setOutFor({ ...out, ceilingM: 1.5 }, child)).toBeNull();
  // A mark that is too low is lifted until the ball comes up.
  const lifted = setOutFor({ ...out, ball: 'orange', floor: 'wood', ceilingM: null }, child)!;
  expect(lifted.setup.targetM).toBeGreaterThan(0.2);
});

test('the same seed plays the same rallies; another plays others', () => {
  expect(play(1, 200)).toEqual(play(1, 200));
  expect(play(1, 200, 50, 8)).not.toEqual(play(1, 200));
});

test('more scatter, shorter rallies; every rally is accounted for', () => {
  const rates = [0.5, 1, 1.5, 2, 3].map((scale) => {
    const played = play(scale, 800);
    const ended = Object.values(played.ends).reduce((sum, n) => sum + n, 0);
    expect(ended + played.unended).toBe(800);
    expect(played.lengths.reduce((sum, n) => sum + n, 0)).toBe(800);
    return hitRate(played);
  });
  expect([...rates].sort((a, b) => b - a)).toEqual(rates);
});

test('what scatters decides how rallies end', () => {
  const ends = (mix: string) =>
    play(
      1.2,
      800,
      50,
      7,
      mixes.find((one) => one.name === mix)!,
    ).ends;
  expect(ends('mostly side').wide).toBeGreaterThan(ends('mostly height').wide);
  expect(ends('mostly height')['twice bounced']).toBeGreaterThan(ends('mostly side')['twice bounced']);
});

describe('with a fixed chance each touch', () => {
  // W. Feller, An Introduction to Probability Theory, vol. 1, ch. XIII: the chance of n in a row is pⁿ, and
  // tries to N in a row (p^-N - 1)/(1 - p); p 0.8, N 10: 41.57.
  test('lengths and rates match the run-length formula', () => {
    const played = eightInTen(40_000, 400);
    for (const n of [1, 5, 10, 20]) expect(shareOfAtLeast(played, n)).toBeCloseTo(0.8 ** n, 2);
    expect(hitRate(played)).toBeCloseTo(0.8, 2);
    expect(expectedTouchesToRow(0.8, 10)).toBeCloseTo(41.57, 2);
    // Rallies until one of ten or more: 1/p¹⁰ of them, at 1/(1 − p) touches each, less what the last one has over ten.
    const touches = (1 / shareOfAtLeast(played, 10) - 1) / (1 - hitRate(played));
    expect(touches / 41.57).toBeCloseTo(1, 1);
  });
  test('the best of k tries', () => {
    const played = eightInTen(40_000, 400);
    for (const tries of [1, 3, 10])
      expect(expectedBest(played, tries) / sameChanceBest(0.8, tries, 400)).toBeCloseTo(1, 1);
    // One try: the mean of a geometric row, p/(1 − p).
    expect(sameChanceBest(0.8, 1, 400)).toBeCloseTo(4, 6);
    expect(sameChanceAtLeast(0.8, 3)).toBeCloseTo(0.512, 9);
    expect(medianLength(played)).toBe(3);
  });
});

const rowsOf = ({ lengths, unended }: Rallies, most: number): LoggedRows['rows'] =>
  lengths.flatMap((count, hits) =>
    Array.from({ length: count }, (_, k) => ({ hits, missed: hits < most || k >= unended })),
  );

test.each([
  ['all alike', 1.6],
  ['mostly side', 1],
  ['mostly height', 1.3],
])(
  'rows of a known player (%s, %p times the unit): the fit recovers the scatter within its interval',
  (name, scale) => {
    const mix = mixes.find((one) => one.name === name)!;
    const truth = spreadOf(mix, scale);
    const other = { ...setting, setup: { ...setup, distanceM: 4.5 } };
    const far = simulateRallies(new RallyPlayer(other), truth, { rallies: 60, most: 50, seed: 21 });
    const fit = fitSpread(
      [
        {
          setting,
          each: null,
          rows: rowsOf(simulateRallies(player, truth, { rallies: 120, most: 50, seed: 20 }), 50),
        },
        { setting: other, each: null, rows: rowsOf(far, 50) },
      ],
      5,
    );
    for (const key of ['speed', 'height', 'side'] as const) {
      expect(fit.low[key]).toBeLessThanOrEqual(truth[key]);
      expect(fit.high[key]).toBeGreaterThanOrEqual(truth[key]);
    }
    expect(fit.rows).toBe(180);
    expect(fit.littleData).toBe(false);
  },
);

test('touches that are trapped and begun anew are fitted as such: three hits each', () => {
  const truth = spreadOf(mixes[0]!, 0.9);
  const share = shareOfAtLeast(simulateRallies(player, truth, { rallies: 5000, most: 50, seed: 3 }), 3);
  const random = seededRandom(8);
  const rows = Array.from({ length: 150 }, () => {
    let hits = 0;
    while (random() < share) hits++;
    return { hits, missed: true };
  });
  const fit = fitSpread([{ setting, each: 3, rows }], 5);
  for (const key of ['speed', 'height', 'side'] as const) {
    expect(fit.low[key]).toBeLessThanOrEqual(truth[key]);
    expect(fit.high[key]).toBeGreaterThanOrEqual(truth[key]);
  }
});

describe('a fit of many rows', () => {
  const rows = rowsOf(play(1.2, 200, 50, 33), 50);
  let told = 0;
  const many = fitSpread([{ setting, each: null, rows }], 5, () => told++);

  test('tells its progress about as often as it said', () => {
    expect(told).toBeGreaterThan(fitSteps(1) / 2);
    expect(told).toBeLessThanOrEqual(fitSteps(1));
  });

  test('few of these rows say that they are little data, and leave more possible', () => {
    const few = fitSpread([{ setting, each: null, rows: rows.filter((_, k) => k % 40 === 0) }], 5);
    expect(few.misses).toBeLessThan(fewMisses);
    expect([few.littleData, many.littleData]).toEqual([true, false]);
    expect(few.high.side - few.low.side).toBeGreaterThan(many.high.side - many.low.side);
    expect(few.possible.length).toBeGreaterThan(many.possible.length);
  });

  test('forecasts: further away is harder, and the estimate lies in its own range', () => {
    const options = { tries: 5, aim: 10, most: 50, seed: 2 };
    const done: number[] = [];
    const here = forecast(many, setting, options, (n) => done.push(n));
    const far = forecast(many, { ...setting, setup: { ...setup, distanceM: 5 } }, options);
    expect(far.best.value).toBeLessThan(here.best.value);
    for (const { value, low, high } of [here.best, here.reach]) {
      expect(low).toBeLessThanOrEqual(value);
      expect(high).toBeGreaterThanOrEqual(value);
    }
    expect(done.at(-1)).toBe(forecastSteps(many));
    expect(here.rallies.rallies).toBe(10_000);
  });
});

test('no rally at all, and no rows at all, are said', () => {
  expect(() => new RallyPlayer({ reach, setup: { ...setup, contactM: 2.5 } })).toThrow('no rally');
  expect(() => fitSpread([], 1)).toThrow('no rows');
});

test('normal draws have mean 0 and spread 1', () => {
  const draw = normals(seededRandom(4));
  const all = Array.from({ length: 20_000 }, draw);
  const mean = all.reduce((sum, x) => sum + x, 0) / all.length;
  expect(mean).toBeCloseTo(0, 1);
  expect(all.reduce((sum, x) => sum + (x - mean) ** 2, 0) / all.length).toBeCloseTo(1, 1);
  expect(all.filter((x) => Math.abs(x) < 1.96).length / all.length).toBeCloseTo(0.95, 2);
});
