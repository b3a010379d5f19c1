import fc from 'fast-check';
import { demandsOf, gapsOf, patternOf, tooFast, type ShadowPlayer } from './feasible';
import { readLine, shotLimits, wordsOfShot, writeLine } from './line';
import { loopOf, passesIn, slowShare } from './loop';
import {
  acrosses,
  comings,
  depthsOf,
  floorOf,
  goings,
  groundsOf,
  homeOf,
  placeOf,
  shadowGrounds,
  sides,
  strokesOf,
  type Shot,
  type ShadowSport,
} from './shots';
import { workoutMinutes, workoutOf } from './workout';

const sports: readonly ShadowSport[] = ['tennis', 'table tennis'];
const shotIn = (sport: ShadowSport): fc.Arbitrary<Shot> =>
  fc.record({
    side: fc.constantFrom(...sides),
    stroke: fc.constantFrom(...strokesOf(sport)),
    across: fc.constantFrom(...acrosses),
    depth: fc.constantFrom(...depthsOf(sport)),
    coming: fc.constantFrom(null, ...comings),
    going: fc.constantFrom(null, ...goings),
    home: fc.boolean(),
  });
const sequenceIn = (sport: ShadowSport) => fc.array(shotIn(sport), { minLength: 2, maxLength: 12 });
const anySequence = fc
  .constantFrom(...sports)
  .chain((sport) => fc.record({ sport: fc.constant(sport), shots: sequenceIn(sport) }));

const child: ShadowPlayer = { age: 10, sideStepM: 0.49, contactM: 0.56 };
const read = (line: string, sport: ShadowSport = 'table tennis') => {
  const outcome = readLine(line, sport);
  if (!outcome.ok) throw new Error(outcome.problems[0]!.message);
  return outcome.value;
};
const message = (line: string, sport: ShadowSport = 'table tennis') => {
  const outcome = readLine(line, sport);
  return outcome.ok ? null : outcome.problems.map((problem) => problem.message).join(' ');
};

describe('a line of words', () => {
  test('what is written reads back, for every sequence there is', () => {
    fc.assert(
      fc.property(anySequence, ({ sport, shots }) => {
        expect(read(writeLine(shots, sport), sport)).toEqual(shots);
      }),
    );
  });

  test('words of a stroke come in any order, with what is usual left out', () => {
    const [first, second, third] = read('BH corner; loop pivot forehand\nwide fh long topspin cross home');
    expect(first).toMatchObject({ side: 'backhand', across: 'corner', depth: 'line', stroke: 'drive' });
    expect(second).toMatchObject({ side: 'forehand', across: 'pivot', stroke: 'loop', home: false });
    expect(third).toMatchObject({
      across: 'wide',
      depth: 'out',
      coming: 'topspin',
      going: 'cross',
      home: true,
    });
    expect(read('3x fh middle, bh corner')).toHaveLength(4);
    // On court one goes home after every stroke unless it is said otherwise.
    expect(read('fh corner, bh corner stay', 'tennis').map(({ home }) => home)).toEqual([true, false]);
    expect(wordsOfShot(read('fh corner drive stay, bh')[0]!, 'table tennis')).toBe('fh corner');
  });

  test.each([
    ['fh corner', 'A sequence has at least 2 strokes'],
    ['', 'A sequence has at least 2 strokes'],
    ['41x fh corner', `at most ${shotLimits.max} strokes`],
    ['200x fh corner', 'at most 40 strokes'],
    ['fh corner, fh middel', 'Stroke 2, “fh middel”: “middel” is not a word of it: did you mean “middle”?'],
    ['fh corner, qqqqqq', '“qqqqqq” is not a word of it. Say side, place'],
    ['fh bh corner, fh', 'that is two sides: leave one out'],
    ['fh corner, bh corner wide', 'that is two places: leave one out'],
    ['3x, fh corner', 'say what is played'],
    ['fh corner, fh net volley', 'a volley is not played in table tennis'],
    ['fh corner, fh net', '“net” is no depth in table tennis'],
  ])('%s: told with the mend', (line, words) => {
    expect(message(line)).toContain(words);
  });

  test('every stroke that is wrong is told, not the first alone', () => {
    expect(message('fh crner, bh corner, fh wid')).toMatch(/Stroke 1.*Stroke 3/);
  });
});

describe('places', () => {
  test('a left-hander’s floor is the mirror of it, and all of it lies on the floor that is drawn', () => {
    fc.assert(
      fc.property(anySequence, fc.constantFrom(...shadowGrounds), ({ sport, shots }, ground) => {
        fc.pre(groundsOf(sport).includes(ground));
        const { widthM, depthM } = floorOf(ground, child.contactM);
        for (const shot of shots) {
          const right = placeOf(shot, ground, child.contactM);
          const left = placeOf(shot, ground, child.contactM, true);
          expect(left.feet.x).toBeCloseTo(-right.feet.x, 9);
          expect([left.feet.y, left.ball.x + right.ball.x]).toEqual([right.feet.y, expect.closeTo(0, 9)]);
          for (const { x, y } of [right.feet, right.ball]) {
            expect(Math.abs(x)).toBeLessThanOrEqual(widthM / 2);
            expect(y).toBeLessThanOrEqual(depthM);
            expect(y).toBeGreaterThanOrEqual(0);
          }
        }
      }),
    );
  });

  test('the pivot is the forehand from the backhand’s corner: the ball there, the feet round it', () => {
    const [backhand, pivot] = read('bh corner, fh pivot').map((shot) => placeOf(shot, 'table', 0.5));
    expect(pivot!.ball).toEqual(backhand!.ball);
    expect(pivot!.feet.x).toBeCloseTo(-0.55 - 0.5, 9);
    expect(backhand!.feet.x).toBeCloseTo(-0.55 + 0.2, 9);
  });
});

describe('what it asks of the feet', () => {
  // Common practice: up to two or three shuffles, more is crossed over; back up to two, and never square.
  test.each([
    [{ x: 0.05, y: 0 }, 'on the spot', 0],
    [{ x: 1.4, y: 0 }, 'shuffle', 3],
    [{ x: 1.6, y: 0 }, 'crossover', 4],
    [{ x: 0, y: 0.9 }, 'shuffle', 2],
    [{ x: 0, y: 1.1 }, 'crossover', 3],
    [{ x: 0.2, y: -2 }, 'step in', 5],
  ] as const)('to %j: %s', (to, pattern, steps) => {
    expect(patternOf({ x: 0, y: 0 }, to, 0.49)).toEqual({ pattern, steps });
  });

  test('worked by hand: two forehands are half a corner apart, there and back', () => {
    const { gaps, lengthM, steps, fastestPerMin } = demandsOf(read('fh corner, fh middle'), 'table', child);
    expect(lengthM).toBeCloseTo(1.1, 9);
    expect(steps).toBe(4);
    expect(gaps.map(({ needsS }) => needsS)[0]).toBeCloseTo(gaps[1]!.needsS, 9);
    // The way, and a drive's end and beginning an eighth slower than at thirteen.
    expect(gaps[0]!.needsS).toBeCloseTo(gaps[0]!.wayS + 1.125 * 0.55, 9);
    expect(fastestPerMin).toBe(Math.floor(60 / gaps[0]!.needsS));
  });

  test('home after a stroke is a way to the middle, a hop, and a way on', () => {
    const gap = gapsOf(read('fh wide, bh wide', 'tennis'), 'red', child)[1]!;
    expect(gap.stretches).toHaveLength(2);
    expect(gap.stretches[0]!.to).toEqual(homeOf('red'));
    expect(gap.wayS).toBeCloseTo(gap.stretches[0]!.seconds + gap.stretches[1]!.seconds + 0.2, 9);
  });

  test('at the fastest tempo all can be played, one stroke a minute more cannot', () => {
    fc.assert(
      fc.property(anySequence, ({ sport, shots }) => {
        const demands = demandsOf(shots, groundsOf(sport)[0]!, child);
        expect(tooFast(demands, demands.fastestPerMin)).toEqual([]);
        expect(tooFast(demands, demands.fastestPerMin + 1)[0]).toEqual(demands.tightest);
      }),
    );
  });

  test('an older child is never slower over the same floor; a bigger court is never quicker', () => {
    fc.assert(
      fc.property(sequenceIn('tennis'), fc.integer({ min: 5, max: 15 }), (shots, age) => {
        const tempo = (years: number, ground: 'red' | 'full') =>
          60 / demandsOf(shots, ground, { ...child, age: years }).tightest.needsS;
        expect(tempo(age + 1, 'red')).toBeGreaterThanOrEqual(tempo(age, 'red') - 1e-9);
      }),
    );
    const wide = read('fh wide, bh wide', 'tennis');
    const needs = (['chalk', 'red', 'orange', 'full'] as const).map(
      (ground) => demandsOf(wide, ground, child).tightest.needsS,
    );
    expect([...needs].sort((a, b) => a - b)).toEqual(needs);
  });
});

describe('loops and workouts', () => {
  test('a loop is even to the last stroke, and the last one can still be played', () => {
    const strokes = loopOf(3, 40, 30);
    expect(strokes).toHaveLength(20);
    expect(strokes[19]).toEqual({ atS: 28.5, shot: 1, forS: 1.5 });
    expect(passesIn(20, 3)).toEqual({ passes: 6, more: 2 });
  });

  test('slow, then fast: it begins at six tenths of the tempo, never slows down and never passes it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 6, max: 90 }), fc.integer({ min: 20, max: 60 }), (perMin, forS) => {
        const strokes = loopOf(4, perMin, forS, 'slow, then fast');
        const every = strokes.map((stroke) => stroke.forS);
        if (every.length > 0) expect(every[0]).toBeCloseTo(60 / perMin / slowShare, 9);
        for (const [n, one] of every.entries()) {
          expect(one).toBeGreaterThanOrEqual(60 / perMin - 1e-9);
          if (n > 0) expect(one).toBeLessThanOrEqual(every[n - 1]! + 1e-9);
        }
        const last = strokes.at(-1);
        if (last) expect(last.atS + last.forS).toBeLessThanOrEqual(forS + 1e-6);
        expect(strokes.length).toBeLessThanOrEqual(loopOf(4, perMin, forS).length);
      }),
    );
  });

  test('a workout fits its minutes, has a turn for every part, and no round is faster than can be played', () => {
    const parts = [
      { shots: 4, fastestPerMin: 30 },
      { shots: 2, fastestPerMin: 44 },
    ];
    for (const minutes of workoutMinutes)
      for (const age of [6, 9, 12, 16]) {
        const { rounds, totalS, workS, restS, strokes, care } = workoutOf(parts, minutes, age);
        expect(totalS).toBeLessThanOrEqual(minutes * 60);
        expect(totalS + workS + restS).toBeGreaterThan(minutes * 60);
        expect(new Set(rounds.map(({ part }) => part)).size).toBe(2);
        for (const round of rounds) {
          expect(round.perMin).toBeLessThan(parts[round.part]!.fastestPerMin);
          expect(round.strokes).toBeGreaterThan(0);
        }
        expect(strokes).toBe(rounds.reduce((sum, round) => sum + round.strokes, 0));
        expect(care === null).toBe(age >= { 10: 10, 20: 12, 30: 14 }[minutes]);
      }
    // Ten minutes at eleven, by hand: nine rounds of forty seconds and eight rests of thirty.
    expect(workoutOf(parts, 10, 11)).toMatchObject({ totalS: 9 * 40 + 8 * 30, workS: 40, restS: 30 });
  });
});
