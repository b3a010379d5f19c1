import type { ClockKind, TouchEvent } from '../counting/event';
import { blockClock, elapsedS } from './block-clock';
import { roundsOf } from '../dose/facts';
import { inTurns, phasesOf, positionAt, signalsOf } from './phases';
import { growingRoundAt, roundNow, routineAt } from './round';

const timed = { kind: 'timed', rounds: 2, workS: 20, restS: 10 } as const;

describe('phases', () => {
  test('a timed dose is counted in, then work and rest in turn, no rest at the end', () => {
    expect(phasesOf(timed, 40).map((p) => [p.kind, p.seconds, p.round])).toEqual([
      ['countIn', 3, 1],
      ['work', 20, 1],
      ['rest', 10, 1],
      ['work', 20, 2],
    ]);
  });

  test('sides and sets are rounds; a row has one, as long as its cap', () => {
    expect(roundsOf({ kind: 'hold', holds: 3, holdS: 10, sides: 2, restS: 0 })).toBe(6);
    expect(roundsOf({ kind: 'reps', sets: 2, reps: 5, sides: 1, restS: 0 })).toBe(2);
    expect(phasesOf({ kind: 'row', target: 20, capS: 90 }, 5)[1]).toMatchObject({ seconds: 90 });
    expect(phasesOf({ kind: 'shots', shots: 10, ballsAtHand: 5, collectS: 0 }, 50)[1]).toMatchObject({
      seconds: 50,
    });
  });

  test.each([
    [0, 'countIn', 3, false],
    [2.9, 'countIn', 0.1, false],
    [3, 'work', 20, false],
    [23, 'rest', 10, false],
    [33.5, 'work', 19.5, false],
    [53, 'work', 0, true],
    [999, 'work', 0, true],
  ])('after %d s: %s with %d s left', (elapsed, kind, leftS, done) => {
    const position = positionAt(phasesOf(timed, 40), elapsed);
    expect(position.phase.kind).toBe(kind);
    expect(position.leftS).toBeCloseTo(leftS, 9);
    expect(position.done).toBe(done);
  });

  test('signals: 3-2-1, go, stop, 3-2-1, go, end', () => {
    expect(signalsOf(phasesOf(timed, 40)).map((s) => `${s.atS} ${s.kind}`)).toEqual([
      '0 tick',
      '1 tick',
      '2 tick',
      '3 go',
      '13 ten',
      '23 stop',
      '30 tick',
      '31 tick',
      '32 tick',
      '33 go',
      '43 ten',
      '53 end',
    ]);
  });
});

describe('block clock', () => {
  const mark = (kind: ClockKind, atMs: number, n = atMs): TouchEvent => ({
    id: String(n).padStart(9, '0'),
    blockId: 'b',
    playerId: null,
    kind,
    attempt: 1,
    value: null,
    ref: null,
    atMs,
    monoMs: 0,
    device: 'd',
  });

  test('adds up running stretches only', () => {
    const clock = blockClock([mark('start', 1000), mark('pause', 4000), mark('start', 10_000)]);
    expect(clock.state).toBe('running');
    expect(elapsedS(clock, 12_000)).toBe(5);
  });

  test('doubled marks change nothing, in any order of arrival', () => {
    const marks = [
      mark('end', 9000),
      mark('start', 1000),
      mark('start', 2000),
      mark('pause', 5000),
      mark('pause', 6000),
      mark('end', 9000),
    ];
    expect(blockClock(marks)).toEqual({ state: 'ended', gatheredMs: 4000, runningSinceMs: null });
  });

  test('a clock set back takes no time away', () => {
    const clock = blockClock([mark('start', 9000, 1), mark('pause', 4000, 2)]);
    expect(clock).toMatchObject({ state: 'paused', gatheredMs: 0 });
    expect(elapsedS(blockClock([mark('start', 9000)]), 4000)).toBe(0);
  });

  test('an ended block can be started again', () => {
    const clock = blockClock([mark('start', 1000), mark('end', 3000), mark('start', 5000)]);
    expect(clock.state).toBe('running');
    expect(elapsedS(clock, 6000)).toBe(3);
  });
});

test('a counted routine counts in its parts only, and every turn begins it anew', () => {
  const parts = ['Palm', 'Knuckle'].map((name) => ({ name, partS: 10, sides: 1 }));
  const counted = { kind: 'routine' as const, rounds: 2, changeS: 5, counted: true, parts };
  const phases = phasesOf(counted, 0);
  // 3 s counted in, 10 s, 5 s of change, 10 s, 5 s, then the second go.
  expect([1, 5, 16, 20, 33, 36, 40].map((s) => roundNow(counted, phases, s, 0))).toEqual([
    null,
    1,
    null,
    1,
    2,
    2,
    2,
  ]);
  expect([1, 2, 3, 4].map((round) => routineAt(counted, round))).toEqual([
    { part: 1, go: 1 },
    { part: 2, go: 1 },
    { part: 1, go: 2 },
    { part: 2, go: 2 },
  ]);
  // The second turn's first stretch is the fifth of the clock.
  expect(routineAt(counted, 5)).toEqual({ part: 1, go: 1 });
});

describe('courses, growing counts and routines', () => {
  const routine = {
    kind: 'routine',
    rounds: 1,
    changeS: 3,
    parts: [
      { name: 'Reach', partS: 10, sides: 1 },
      { name: 'Arm', partS: 8, sides: 2 },
    ],
  } as const;

  test('a routine has its parts as stretches, a part on two sides twice', () => {
    const phases = phasesOf(routine, 1);
    expect(phases.map((phase) => `${phase.kind} ${phase.seconds}`)).toEqual([
      'countIn 3',
      'work 10',
      'rest 3',
      'work 8',
      'rest 3',
      'work 8',
    ]);
    expect(roundNow(routine, phases, 20, 2)).toBe(1);
  });

  test('laps and hops move on to the next round when it is full', () => {
    const course = { kind: 'course', rounds: 2, laps: 3, restS: 10 } as const;
    expect([0, 2, 3, 5, 6].map((tries) => roundNow(course, phasesOf(course, 60), 0, tries))).toEqual([
      1, 1, 2, 2, 2,
    ]);
    const hops = { kind: 'growing', lines: 2, to: 3, restS: 0 } as const;
    // One attempt, in rounds: 1 on both lines, then 2, then 3, each as long as its share of the twelve.
    expect([0, 5, 11].map((tries) => roundNow(hops, phasesOf(hops, 60), 0, tries))).toEqual([1, 1, 1]);
    expect([0, 1, 2, 5, 6, 11, 12].map((tries) => growingRoundAt(hops, tries))).toEqual([
      1, 1, 2, 2, 3, 3, 3,
    ]);
    expect(phasesOf(hops, 60).flatMap(({ kind, seconds }) => (kind === 'work' ? [seconds] : []))).toEqual([
      10, 20, 30,
    ]);
    expect(phasesOf(course, 60)[1]).toMatchObject({ seconds: 30 });
  });

  test('while one turn rests the next one works; who follows another is counted in, and rounds number on', () => {
    const turns = inTurns(phasesOf(timed, 40), 2);
    expect(turns.map((phase) => `${phase.kind} ${phase.round}`)).toEqual([
      'countIn 1',
      'work 1',
      'countIn 3',
      'work 3',
      'countIn 2',
      'work 2',
      'countIn 4',
      'work 4',
    ]);
    // Where the others are done before the rest is over, what is left of it is rest for all.
    const rested = inTurns(phasesOf({ ...timed, restS: timed.workS + 15 }, 40), 2);
    expect(rested.filter((phase) => phase.kind === 'rest').map((phase) => phase.seconds)).toEqual([15]);
    expect(inTurns(phasesOf(timed, 40), 1)).toEqual(phasesOf(timed, 40));
  });
});
