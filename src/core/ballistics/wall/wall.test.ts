import fc from 'fast-check';
import { ballKinds, type BallKind } from '../balls';
import type { PathPoint } from '../fly';
import { fine } from '../flight';
import { launched, radians } from '../motion';
import { floorKinds, wallKinds } from '../surfaces';
import {
  distanceForTempo,
  markForTempo,
  nearestThatWork,
  setupFor,
  topSpeedFor,
  usualDistanceM,
} from './advise';
import { Exchange } from './exchange';
import { forgiveness } from './forgive';
import { paceChange } from './pace-change';
import { reachOf } from './reach';
import { extremesOf, hitFromM, numbersOf, topspinOf, type Shot, type WallSetup } from './setup';
import { Trials } from './trial';
import { solveWall, wallPath, type WallSolution } from './solve';
import { wallSpread } from './spread';

const yard: WallSetup = {
  shot: 'one bounce',
  ball: 'yellow',
  floor: 'rough concrete',
  wall: 'brick',
  distanceM: 3,
  contactM: 0.7,
  targetM: 1.4,
  meet: 'falling',
  topSpeedMps: 25,
  wallTopM: 4,
  ceilingM: null,
  tableGapM: 0.2,
  tableLengthM: 1.37,
};
const reach = reachOf({ heightM: 1.4, strideM: 0.6, sideStepM: 0.5, contactM: 0.9 });
const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });

function must(setup: WallSetup): WallSolution {
  const answer = solveWall(setup);
  if (!answer.ok) throw new Error(`No rally: ${JSON.stringify(answer)}`);
  return answer.solution;
}

test('three metres, the line at 1.4 m: about 38 hits a minute (common practice, no source)', () => {
  const one = must(yard);
  expect(one.hitsPerMin).toBeGreaterThan(34);
  expect(one.hitsPerMin).toBeLessThan(46);
  expect(one.wallM).toBeCloseTo(1.4, 4);
  expect(one.heightM).toBeCloseTo(0.7, 4);
  expect(one.risingMps).toBeLessThan(0);
});

const shots: readonly [Shot, Partial<WallSetup>][] = [
  ['one bounce', {}],
  ['volley', { contactM: 1.1, distanceM: 2 }],
  ['down', { hitM: 1.8, contactM: 0.6, targetM: 1.2 }],
  ['floor first', { contactM: 1.8, distanceM: 3, targetM: 1.8 }],
  ['table', { ball: 'table tennis', contactM: 1, distanceM: 1.8, targetM: 1.25 }],
  ['one bounce', { spinRps: 12, distanceM: 5, targetM: 1.6 }],
  ['one bounce', { spinRps: -10, distanceM: 5, targetM: 1.6 }],
  [
    'table',
    { ball: 'table tennis', contactM: 1, distanceM: 2.9, targetM: 1.25, tableLengthM: 2.7, spinRps: 15 },
  ],
];

test.each(shots)('%s: what is solved comes back to the hand when it is played', (shot, more) => {
  const setup = { ...yard, ...more, shot };
  const one = must(setup);
  const exchange = new Exchange(setup, numbersOf(setup), { ...reach, highM: 2.4 }, fine);
  const motion = launched(
    [setup.distanceM, hitFromM(setup), 0],
    { speedMps: one.speedMps, elevation: one.elevation, topspin: topspinOf(setup) },
    -1,
  );
  expect(exchange.play(motion, 0)).toBeNull();
  expect(exchange.distanceM).toBeCloseTo(setup.distanceM, 6);
  expect(exchange.heightM).toBeCloseTo(setup.contactM, 3);
  expect(exchange.wallM).toBeCloseTo(setup.targetM, 3);
  expect(exchange.outS + exchange.backS).toBeCloseTo(one.cycleS, 3);
  expect(one.hitsPerMin * one.cycleS).toBeCloseTo(60, 9);
});

describe('spin off the wall', () => {
  /** How fast a ball leaves the wall upwards, hit straight at it from half a metre so that it hardly falls on the way. */
  const upwards = (ball: BallKind, spinRps: number) => {
    const near: WallSetup = { ...yard, ball, distanceM: 0.5, contactM: 1.2, spinRps };
    const path: PathPoint[] = [];
    new Trials(near, numbersOf(near)).follow(20, 0, path);
    const at = path.findIndex(({ x }, n) => n > 0 && x > path[n - 1]!.x);
    const [one, two] = [path[at - 1]!, path[at]!];
    return (two.y - one.y) / (two.atS - one.atS);
  };

  test('a wall turns topspin into height: it gives R ω α/(1 + α) while it grips (by hand, after Cross 2002, from memory)', () => {
    // Yellow ball: R = 0.033 m, α = 0.55; 10 turns a second are 62.8 rad/s: 0.033 x 62.8 x 0.355 = 0.74 m/s up.
    const { ball } = numbersOf(yard);
    const byHand = (ball.radiusM * 2 * Math.PI * 10 * ball.inertia) / (1 + ball.inertia);
    expect(byHand).toBeCloseTo(0.74, 1);
    const gained = upwards('yellow', 10) - upwards('yellow', 0);
    expect(gained).toBeGreaterThan(0.9 * byHand);
    expect(gained).toBeLessThan(1.15 * byHand);
    expect(upwards('yellow', -10)).toBeLessThan(upwards('yellow', 0));
  });

  test('topspin comes back higher and deeper off the same mark, slice lower and shorter (common practice)', () => {
    const far = { ...yard, distanceM: 5, targetM: 1.6, contactM: 0.7 };
    const [slice, plain, top] = [-10, 0, 10].map((spinRps) => {
      const setup = { ...far, spinRps };
      const { speedMps, elevation } = must({ ...far, spinRps: 0 });
      return new Trials(setup, numbersOf(setup)).follow(speedMps, elevation);
    });
    // The same hit: topspin dips on the way out, so compare what the wall makes of it.
    expect(top!.wallM).toBeLessThan(plain!.wallM);
    expect(slice!.wallM).toBeGreaterThan(plain!.wallM);
    const back = (spinRps: number) => must({ ...far, spinRps });
    expect(back(10).bounceM).toBeGreaterThan(back(0).bounceM!);
    expect(back(-10).bounceM).toBeLessThan(back(0).bounceM!);
  });

  test('no spin is what it was before: left out and 0 are the same', () => {
    expect(must({ ...yard, spinRps: 0 })).toEqual(must(yard));
  });
});

test('what is hit down goes down, harder than it would be lobbed', () => {
  const low = { ...yard, contactM: 0.6, targetM: 1.2 };
  const down = must({ ...low, shot: 'down', hitM: 1.8 });
  expect(down.elevation).toBeLessThan(0);
  expect(down.speedMps).toBeGreaterThan(must(low).speedMps);
});

test('table tennis off the wall and the floor, and off the table with the gap moved', () => {
  const floor = { ...yard, ball: 'table tennis' as const, distanceM: 1.5, contactM: 0.7, targetM: 1.2 };
  expect(must(floor).hitsPerMin).toBeGreaterThan(40);
  const table = { ...floor, shot: 'table' as const, contactM: 1, distanceM: 1.8, targetM: 1.25 };
  const { bounceM } = must(table);
  expect(bounceM).toBeGreaterThan(0.2);
  expect(bounceM).toBeLessThan(0.2 + 1.37);
  // With the gap moved the ball comes down further out; with hardly any table there is nothing to come down on.
  const moved = must({ ...table, tableGapM: bounceM! + 0.1, tableLengthM: 2.74 });
  expect(moved.bounceM).toBeGreaterThan(bounceM! + 0.1);
  expect(solveWall({ ...table, tableLengthM: 0.1 }).ok).toBe(false);
});

test('over balls, floors, walls, distances and marks: every solution meets its mark and its hand', () => {
  let solved = 0;
  fc.assert(
    fc.property(
      fc.constantFrom(...ballKinds),
      fc.constantFrom(...floorKinds),
      fc.constantFrom(...wallKinds),
      num(1, 6),
      num(0.3, 1.2),
      num(0.8, 2.5),
      fc.constantFrom('rising' as const, 'falling' as const),
      (ball, floor, wall, distanceM, contactM, targetM, meet) => {
        const answer = solveWall({ ...yard, ball, floor, wall, distanceM, contactM, targetM, meet });
        if (!answer.ok) return expect(answer.limit).toMatch(/./);
        solved++;
        const one = answer.solution;
        expect(Math.abs(one.wallM - targetM)).toBeLessThan(0.002);
        expect(Math.abs(one.heightM - contactM)).toBeLessThan(0.006);
        expect(one.came).toBe('after one bounce');
      },
    ),
    { numRuns: 150, seed: 11 },
  );
  expect(solved).toBeGreaterThan(40);
});

test('the path that is drawn begins and ends at the hand', () => {
  const path = wallPath(yard, must(yard));
  expect(path[0]).toMatchObject({ x: 3, y: 0.7 });
  expect(path.at(-1)!.x).toBeCloseTo(3, 6);
  expect(path.at(-1)!.y).toBeCloseTo(0.7, 3);
});

test('harder out is sooner back, off the wall faster, and bounces further away', () => {
  const one = must(yard);
  const [soft, hard, harder] = [0.9, 1.1, 1.25].map((factor) => paceChange(yard, one, factor)!);
  expect(soft!.lessS).toBeLessThan(0);
  expect(hard!.lessS).toBeGreaterThan(0);
  expect(harder!.backS).toBeLessThan(hard!.backS);
  expect(harder!.offWallMps).toBeGreaterThan(hard!.offWallMps);
  expect(hard!.bounceShiftM).toBeGreaterThan(0);
  expect(paceChange(yard, one, 1)!.offWallChange).toBeCloseTo(0, 3);
});

test('harder out is sooner back for every ball, distance and mark, with a bounce or without', () => {
  let seen = 0;
  fc.assert(
    fc.property(
      fc.constantFrom(...ballKinds),
      num(1.5, 5),
      num(1, 2.2),
      fc.constantFrom('one bounce' as const, 'volley' as const),
      num(1.03, 1.3),
      (ball, distanceM, targetM, shot, factor) => {
        const setup = { ...yard, ball, distanceM, targetM, shot, contactM: shot === 'volley' ? 1 : 0.4 };
        const answer = solveWall(setup);
        const change = answer.ok ? paceChange(setup, answer.solution, factor) : null;
        if (!change) return;
        seen++;
        expect(change.lessS).toBeGreaterThan(0);
        expect(change.offWallChange).toBeGreaterThan(0);
      },
    ),
    { numRuns: 80, seed: 4 },
  );
  expect(seen).toBeGreaterThan(30);
});

test('a deader ball comes up lower where the player stands', () => {
  const order: readonly BallKind[] = ['yellow', 'green', 'orange', 'red', 'indoor foam'];
  const highest = order.map((ball) => {
    const answer = solveWall({ ...yard, ball, contactM: 2 });
    return answer.ok ? NaN : answer.reachedM!;
  });
  expect([...highest].sort((a, b) => b - a)).toEqual(highest);
});

describe('when nothing works it says which limit, and the nearest that does', () => {
  test.each<[string, Partial<WallSetup>, string]>([
    ['the ball is too dead for this hand', { ball: 'red', contactM: 1.1 }, 'too low'],
    ['too far for that speed', { distanceM: 9, targetM: 2, topSpeedMps: 9 }, 'too fast'],
    ['a ceiling in the way', { targetM: 2.6, ceilingM: 2.62, contactM: 0.9 }, 'ceiling'],
    ['the wall ends below the mark', { targetM: 2.6, wallTopM: 2.5 }, 'wall top'],
    [
      'no table where it comes down',
      { shot: 'table', ball: 'table tennis', contactM: 1, distanceM: 2.5, tableLengthM: 0.1, tableGapM: 0 },
      'table',
    ],
  ])('%s', (_name, more, limit) => {
    const setup = { ...yard, ...more };
    expect(solveWall(setup)).toMatchObject({ ok: false, limit });
    for (const { dial, value } of nearestThatWork(setup))
      expect(solveWall({ ...setup, [dial]: value }).ok).toBe(true);
  });
  test('the mends of a dead ball are a lower hand or a higher mark', () => {
    const mends = nearestThatWork({ ...yard, ball: 'red', contactM: 0.8 });
    expect(mends.find((one) => one.dial === 'contactM')!.value).toBeLessThan(0.8);
    expect(mends.find((one) => one.dial === 'targetM')!.value).toBeGreaterThan(1.4);
  });
});

describe('the other way round', () => {
  test('the mark makes the tempo; the distance hardly does, with a bounce or without', () => {
    const mark = markForTempo(yard, 34);
    expect(mark.ok && mark.solution.hitsPerMin).toBeCloseTo(34, 0);
    for (const setup of [yard, { ...yard, shot: 'volley' as const, contactM: 1.1, targetM: 1.8 }]) {
      const tempos = [2, 3, 4].map((distanceM) => must({ ...setup, distanceM }).hitsPerMin);
      expect(Math.max(...tempos) - Math.min(...tempos)).toBeLessThan(3);
    }
    expect(markForTempo(yard, 200).ok).toBe(false);
  });
  test('a tempo and a swing make a distance', () => {
    const answer = distanceForTempo(yard, 36, 8);
    expect(answer.ok).toBe(true);
    if (!answer.ok) return;
    expect(must(answer.setup).speedMps).toBeCloseTo(8, 0);
    expect(must(answer.setup).hitsPerMin).toBeCloseTo(36, 0);
    const harder = distanceForTempo(yard, 36, 11);
    expect(harder.ok && harder.setup.distanceM).toBeGreaterThan(answer.setup.distanceM + 0.5);
  });
  test.each([5, 7, 9, 12, 15])('a child of %p gets a distance and a mark that work', (age) => {
    const setup = setupFor(
      { ...yard, ball: age < 9 ? 'red' : 'green' },
      { age, heightM: 0.78 + 0.064 * age, sport: 'tennis' },
    )!;
    expect(setup.distanceM).toBe(usualDistanceM(age, 'tennis'));
    const one = must(setup);
    expect(one.risingMps).toBeLessThan(0);
    expect(one.speedMps).toBeLessThanOrEqual(topSpeedFor(age, 'tennis'));
  });
  test.each(shots)('%s has a set-up for a child of ten', (shot, more) => {
    const sport = shot === 'table' ? 'table tennis' : 'tennis';
    const setup = setupFor({ ...yard, ...more, shot }, { age: 10, heightM: 1.4, sport });
    expect(setup && solveWall(setup).ok).toBe(true);
  });
});

test('forgiveness: just inside each edge the ball is met, just outside it is not', () => {
  const one = must(yard);
  const edges = forgiveness(yard, one, reach);
  const exchange = new Exchange(yard, numbersOf(yard), reach, fine);
  const end = (speed: number, up: number, side: number) =>
    exchange.play(
      launched([3, 0.7, 0], { speedMps: one.speedMps * speed, elevation: one.elevation + up, side }, -1),
      0,
    );
  const near = 0.002;
  expect(end(1 - edges.slower + near, 0, 0)).toBeNull();
  expect(end(1 - edges.slower - near, 0, 0)).toBe(edges.ends.slower);
  expect(end(1 + edges.faster - near, 0, 0)).toBeNull();
  expect(end(1 + edges.faster + near, 0, 0)).toBe(edges.ends.faster);
  expect(end(1, -edges.down + near, 0)).toBeNull();
  expect(end(1, -edges.down - near, 0)).not.toBeNull();
  expect(end(1, 0, edges.side - near)).toBeNull();
  expect(end(1, 0, edges.side + near)).toBe('wide');
  expect(edges.lowestM).toBeLessThan(1.4);
  expect(edges.highestM).toBeGreaterThan(1.4);
});

test('ways a rally ends', () => {
  const one = must(yard);
  const roof = { ...yard, ceilingM: 2.2 };
  const play = (setup: WallSetup, speed: number, up: number, side = 0) =>
    new Exchange(setup, numbersOf(setup), reach, fine).play(
      launched([3, 0.7, 0], { speedMps: one.speedMps * speed, elevation: one.elevation + up, side }, -1),
      0,
    );
  expect(play(yard, 0.4, 0)).toBe('short');
  expect(play(yard, 1.6, 0.5)).toBe('too high');
  expect(play(yard, 1.6, -0.1)).toBe('long');
  expect(play(yard, 0.72, 0)).toBe('twice bounced');
  expect(play(yard, 1, 0, radians(25))).toBe('wide');
  expect(play(roof, 1.3, 0.3)).toBe('too high');
});

test('the spread of a result covers what its ranges do, one by one', () => {
  const one = must(yard);
  const { spread, failing } = wallSpread(yard, one);
  const changes = extremesOf(yard).flatMap((ends) =>
    ends.flatMap((instead) => {
      const answer = solveWall(yard, numbersOf(yard, instead));
      return answer.ok ? [Math.abs(answer.solution.hitsPerMin - one.hitsPerMin)] : [];
    }),
  );
  expect(changes.length + failing).toBe(16);
  expect(Math.max(...changes)).toBeLessThanOrEqual(spread.hitsPerMin + 1e-9);
  expect(spread.hitsPerMin).toBeGreaterThan(0.5);
  expect(spread.hitsPerMin).toBeLessThan(8);
});
