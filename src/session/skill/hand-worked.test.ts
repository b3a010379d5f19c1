import { doseTime } from '@/core/dose/time';
import { growingSum } from '@/core/dose/dose';
import { plainBook } from '@/drills';
import { ageBandOf } from '@/drills/base/age-band';
import { alone, paceOn } from '../base/pace';
import { blockOf, type PlanPlayer } from '../base/plan';
import { timePlan } from '../plan/time-plan';

/*
 * Doses of the catalogue turned into time with a pencil: the sum is written out part by part as it stands in the
 * drill, in the order set-up, showing, work, rest, collecting, changeover. Rows are left to their own tests (chance).
 */
interface Parts {
  readonly setUp: number;
  readonly show: number;
  readonly work: number;
  readonly rest?: number;
  readonly collect?: number;
  readonly change: number;
  /** Tries, good or not. */
  readonly tries: number;
}

const worked: readonly (readonly [drillId: string, stepId: string, age: number, parts: Parts])[] = [
  // Sets and sides: 2 sets of 10 at 2 s, a rest between.
  [
    'shoulder-and-side',
    'arm-circles',
    11,
    { setUp: 15, show: 2 * 2, work: 2 * 10 * 2, rest: 5, change: 10, tries: 20 },
  ],
  // A routine: 10 + 2 x 10 + 2 x 5 + 5 + 5 = 50 s in seven stretches, six changes of 3 s; shown in part, 6 s each.
  [
    'shoulder-and-side',
    'standing-series',
    11,
    { setUp: 15, show: 2 * 6, work: 50, rest: 6 * 3, change: 10, tries: 7 },
  ],
  // Both sides: 2 x 10 at 1.5 s; a demonstration lasts two seconds at least.
  [
    'wrist-and-forearm',
    'wrist-waves',
    11,
    { setUp: 25, show: 2 * 2, work: 20 * 1.5, rest: 10, change: 15, tries: 20 },
  ],
  // Holds: 3 of 20 s, two rests.
  [
    'wrist-and-forearm',
    'band-outwards',
    11,
    { setUp: 25, show: 2 * 6, work: 3 * 20, rest: 2 * 10, change: 15, tries: 3 },
  ],
  // The same for a child of five: 3 of 5 s, shown three times.
  [
    'wrist-and-forearm',
    'band-outwards',
    5,
    { setUp: 25, show: 3 * 6, work: 3 * 5, rest: 2 * 10, change: 15, tries: 3 },
  ],
  ['line-hops', 'side-to-side', 8, { setUp: 20, show: 3 * 2, work: 15 * 0.6, change: 10, tries: 15 }],
  // Growing hops: 2 lines of 1 + 2 + 3 + 4 + 5 + 6 = 21 hops, and a breath of 5 s between the six rounds.
  [
    'growing-hops',
    'two-lines',
    11,
    { setUp: 30, show: 2 * 2, work: 42 * 0.7, rest: 5 * 5, change: 15, tries: 42 },
  ],
  [
    'growing-hops',
    'three-lines',
    15,
    { setUp: 30, show: 2 * 2, work: 63 * 0.7, rest: 5 * 5, change: 15, tries: 63 },
  ],
  // Time boxes: 3 of 20 s, two rests of 25 s; a try costs 2.2 + 0.04 x 2 = 2.28 s.
  [
    'marker-touches',
    'wide',
    11,
    { setUp: 40, show: 2 * 2.2, work: 60, rest: 2 * 25, change: 20, tries: 60 / 2.28 },
  ],
  // Courses: 4 rounds of one lap at 6.7 s, three rests; how long a lap takes has tests of its own.
  [
    'triangle-run',
    'timed-lap',
    11,
    { setUp: 30, show: 2 * 6, work: 4 * 6.7, rest: 3 * 30, change: 20, tries: 4 },
  ],
  // Two laps a round.
  [
    'triangle-run',
    'walk-the-triangle',
    11,
    { setUp: 30, show: 2 * 6, work: 2 * 2 * 8.9, rest: 20, change: 20, tries: 4 },
  ],
  // Laps in a box: a try costs 3.3 + 0.07 x 2 = 3.44 s.
  [
    'figure-of-eight',
    'quick-eight',
    11,
    { setUp: 25, show: 2 * 3.3, work: 60, rest: 30, change: 15, tries: 60 / 3.44 },
  ],
  // Both sides and two sets: 2 x 2 x 3 at 4 s, three rests of 10 s.
  [
    'spacing-closed',
    'pivot-step',
    11,
    { setUp: 35, show: 2 * 4, work: 12 * 4, rest: 3 * 10, change: 15, tries: 12 },
  ],
  // Grades: ten catches.
  ['soft-catch', 'head-high', 15, { setUp: 30, show: 2 * 4, work: 10 * 4, change: 10, tries: 10 }],
  // Shots: ten with five at hand are two walks of 12 s.
  [
    'flip-to-a-target',
    'from-two-metres',
    11,
    { setUp: 30, show: 2 * 4, work: 10 * 4, collect: 2 * 12, change: 15, tries: 10 },
  ],
  // Nine with three at hand: three walks of 15 s.
  [
    'off-the-marker-hit',
    'forehand',
    11,
    { setUp: 35, show: 2 * 6, work: 9 * 7, collect: 3 * 15, change: 15, tries: 9 },
  ],
  // Fifteen with twenty at hand: one walk is enough.
  [
    'fed-strokes',
    'known-interval',
    11,
    { setUp: 50, show: 2 * 6, work: 15 * 6, collect: 40, change: 25, tries: 15 },
  ],
  [
    'ring-target',
    'underarm-throw',
    5,
    { setUp: 60, show: 3 * 5, work: 6 * 5, collect: 2 * 20, change: 30, tries: 6 },
  ],
  [
    'shadow-forehand',
    'full-and-freeze',
    15,
    { setUp: 40, show: 2 * 4, work: 2 * 25 * 4, rest: 30, change: 15, tries: 50 },
  ],
  // A counted routine: four parts of 30 s, three changes of 10 s; a try costs 0.65 + 0.1 x 3 = 0.95 s.
  [
    'touch-routine',
    'four-bounces',
    11,
    { setUp: 30, show: 2 * 2, work: 4 * 30, rest: 3 * 10, change: 10, tries: 120 / 0.95 },
  ],
  // Eight patterns, done and not counted: 14 + 15 + 16 + 18, twice, seven changes of 4 s.
  [
    'spacing-round',
    'all-eight',
    11,
    { setUp: 30, show: 2 * 6, work: 2 * 63, rest: 7 * 4, change: 15, tries: 8 },
  ],
  // Many-ball: 16 balls at 20 a minute with 20 in the box, one walk.
  [
    'table-tennis-many-ball',
    'forehand',
    11,
    { setUp: 60, show: 2 * 3, work: 16 * 3, collect: 30, change: 30, tries: 16 },
  ],
  // Prediction: ten words at 4 s.
  [
    'say-where-it-lands',
    'before-the-bounce',
    11,
    { setUp: 40, show: 2 * 4, work: 10 * 4, change: 15, tries: 10 },
  ],
  // Six serves at the wall for a child of eight, shown three times.
  ['serve-at-the-wall', 'close-and-calm', 8, { setUp: 40, show: 3 * 6, work: 6 * 7, change: 20, tries: 6 }],
  // One box of star jumps at eight years: 30 s, a try costs 1.2 + 0.03 x 1 s.
  ['line-hops', 'star-jumps', 8, { setUp: 20, show: 3 * 2, work: 30, change: 10, tries: 30 / 1.23 }],
];

test.each(worked)('%s/%s at %d, with a pencil', (drillId, stepId, age, parts) => {
  const drill = plainBook.drill(drillId)!;
  const step = plainBook.step(drillId, stepId)!;
  const time = doseTime(step.doses[ageBandOf(age)], paceOn(drill, step, alone(age)));
  const { setUp, show, work, rest = 0, collect = 0, change, tries } = parts;
  expect(time.setUpS).toBe(setUp);
  expect(time.showS).toBeCloseTo(show, 9);
  expect(time.workS).toBeCloseTo(work, 9);
  expect(time.restS).toBeCloseTo(rest, 9);
  expect(time.collectS).toBe(collect);
  expect(time.changeoverS).toBe(change);
  expect(time.tries).toBeCloseTo(tries, 6);
  expect(time.totalS).toBeCloseTo(setUp + show + work + rest + collect + change, 9);
});

test('1 + 2 + … + n', () => {
  for (const [n, sum] of [
    [1, 1],
    [4, 10],
    [6, 21],
    [12, 78],
  ] as const)
    expect(growingSum(n)).toBe(sum);
});

describe('a group, with a pencil', () => {
  const group = (n: number, age = 11): PlanPlayer[] =>
    Array.from({ length: n }, (_, i) => ({ id: `p${i}`, age }));
  const block = (drillId: string, stepId: string, stations = 1) => {
    const { doses } = plainBook.step(drillId, stepId)!;
    return blockOf({ id: drillId, drillId, stepId, dose: doses['10-12'], stations });
  };
  const plan = (n: number, ...blocks: ReturnType<typeof block>[]) =>
    timePlan(plainBook, blocks, group(n), [], 60);

  test('six at one set of rings that three share: two turns of 50 s and 2 x 2 walks of 20 s; each waits 90 s', () => {
    const [time] = plan(6, block('ring-target', 'underarm-throw')).blocks;
    // 60 set-up, 2 x 5 showing, 2 x (10 x 5) shots, 4 x 20 walks; nothing after the last block.
    expect(time).toMatchObject({ turns: 2, activeS: 180, totalS: 60 + 10 + 180 });
    expect(time!.waitOf['p0']).toBe(180 - 50 - 40);
  });

  test('two sets of rings: one turn, and nobody waits', () => {
    const [time] = plan(6, block('ring-target', 'underarm-throw', 2)).blocks;
    expect(time).toMatchObject({ turns: 1, activeS: 90, totalS: 60 + 10 + 90 });
    expect(Object.values(time!.waitOf)).toEqual([0, 0, 0, 0, 0, 0]);
  });

  test('fed strokes hold one: four turns, the helper feeds every ball', () => {
    const [time] = plan(4, block('fed-strokes', 'known-interval')).blocks;
    // 4 x 15 balls at 6 s, 4 walks of 40 s.
    expect(time).toMatchObject({ turns: 4, activeS: 4 * 90 + 4 * 40, helper: { feeds: 60, busyS: 520 } });
  });

  test('boxes of two turns: one works while the other rests', () => {
    // Colour call holds one; its grades have no rest. Star of four holds two: 2 boxes of 20 s, 30 s rest.
    const [time] = plan(4, block('star-of-four', 'out-and-back')).blocks;
    // A cycle is max(20 + 20, 20 + 30) = 50 s, and the last is 40 s.
    expect(time).toMatchObject({ turns: 2, activeS: 90 });
    expect(time!.waitOf['p3']).toBe(90 - 40 - 30);
  });

  test('a session is the sum of its blocks, and only the last has no changeover', () => {
    const whole = plan(2, block('line-hops', 'side-to-side'), block('marker-touches', 'wide'));
    // 20 + 4 + 20 x 0.6 + 10, then 40 + 4.4 + 60 + 50.
    expect(whole.totalS).toBeCloseTo(20 + 4 + 12 + 10 + (40 + 4.4 + 60 + 50), 9);
    // 20 hops each are 20 landings; touching markers is none.
    expect(whole.loadOf['p1']).toMatchObject({ contacts: 20 });
  });
});
