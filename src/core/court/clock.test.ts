import fc from 'fast-check';
import type { EventKind, TouchEvent } from '../counting/event';
import { blockClock, elapsedS } from './block-clock';
import { changeoverNow } from './changeover';
import { courtChanges, extended, runOrder } from './court-changes';
import { inTurns, phasesOf, positionAt, signalsOf } from './phases';
import { partInWords, roundWords } from './sides';
import { SteadyClock } from './steady-clock';

let next = 0;
beforeEach(() => (next = 0));
const mark = (kind: EventKind, atMs: number, more: Partial<TouchEvent> = {}): TouchEvent => ({
  id: String(next++).padStart(9, '0'),
  blockId: 'b',
  playerId: null,
  kind,
  attempt: 1,
  value: null,
  ref: null,
  atMs,
  monoMs: 0,
  device: 'd',
  ...more,
});
const timed = { kind: 'timed', rounds: 2, workS: 20, restS: 10 } as const;

describe('a block’s clock', () => {
  test('a skip moves it on, a repeat takes it back, whether it runs or is paused', () => {
    const running = [mark('start', 0), mark('skip', 5000, { value: 18 })];
    expect(elapsedS(blockClock(running), 6000)).toBe(24);
    running.push(mark('back', 8000, { value: 6 }));
    expect(elapsedS(blockClock(running), 9000)).toBe(21);
    running.push(mark('pause', 10_000), mark('back', 20_000, { value: 2 }));
    expect(elapsedS(blockClock(running), 60_000)).toBe(20);
  });

  test('a repeat never goes before the start', () => {
    const events = [mark('start', 0), mark('back', 2000, { value: 60 })];
    expect(elapsedS(blockClock(events), 3000)).toBe(1);
  });

  test('an undone skip never was', () => {
    const skip = mark('skip', 5000, { value: 18 });
    const events = [mark('start', 0), skip, mark('undo', 6000, { ref: skip.id })];
    expect(elapsedS(blockClock(events), 9000)).toBe(9);
  });

  test('exact over any pauses: it is the sum of the running stretches, wherever it is read', () => {
    const stretches = fc.array(
      fc.tuple(fc.integer({ min: 1, max: 90_000 }), fc.integer({ min: 0, max: 3_600_000 })),
      {
        minLength: 1,
        maxLength: 20,
      },
    );
    fc.assert(
      // Twenty to midnight, so that most runs cross it.
      fc.property(stretches, fc.constant(Date.UTC(2026, 10, 26, 23, 40)), (made, fromMs) => {
        next = 0;
        let atMs = fromMs;
        let worked = 0;
        const events = made.flatMap(([workMs, pauseMs]) => {
          const start = mark('start', atMs);
          atMs += workMs;
          worked += workMs;
          const pause = mark('pause', atMs);
          atMs += pauseMs;
          return [start, pause];
        });
        expect(elapsedS(blockClock(events), atMs + 999_999)).toBe(worked / 1000);
        // A reload in the middle of the last stretch reads the same log.
        const upToLast = events.slice(0, -1);
        const lastWorkMs = made.at(-1)![0];
        const startedMs = upToLast.at(-1)!.atMs;
        expect(elapsedS(blockClock(upToLast), startedMs + lastWorkMs / 2)).toBeCloseTo(
          (worked - lastWorkMs / 2) / 1000,
          9,
        );
      }),
    );
  });
});

describe('what is decided on court', () => {
  test('more time lengthens one stretch, and everything after it comes later', () => {
    const { extraS } = courtChanges([
      mark('extend', 0, { attempt: 2, value: 30 }),
      mark('extend', 1, { attempt: 2, value: 30 }),
    ]);
    const phases = extended(phasesOf(timed, 40), extraS);
    expect(phases.map((phase) => phase.seconds)).toEqual([3, 80, 10, 20]);
    expect(positionAt(phases, 82)).toMatchObject({ leftS: 1, index: 1, done: false });
    expect(signalsOf(phases).find((signal) => signal.kind === 'stop')).toEqual({ atS: 83, kind: 'stop' });
  });

  test('shortened, left out, and put back', () => {
    expect(courtChanges([])).toMatchObject({ share: 1, out: false });
    const events = [mark('share', 0, { value: 0.6 }), mark('out', 1, { value: 1 })];
    expect(courtChanges(events)).toMatchObject({ share: 0.6, out: true });
    events.push(mark('out', 2, { value: 0 }), mark('share', 3, { value: 1 }));
    expect(courtChanges(events)).toMatchObject({ share: 1, out: false });
  });

  test('swaps are done in the order they were made; a strange one is passed over', () => {
    const swap = (blockId: string, text: string) => mark('swap', next, { blockId, text });
    expect(runOrder(['a', 'b', 'c'], [swap('a', 'b'), swap('a', 'c')])).toEqual(['b', 'c', 'a']);
    expect(runOrder(['a', 'b', 'c'], [swap('a', 'gone')])).toEqual(['a', 'b', 'c']);
  });

  test('a swap and the same swap again is the plan, and no swap loses a block', () => {
    const ids = ['a', 'b', 'c', 'd', 'e'];
    const pair = fc.tuple(fc.constantFrom(...ids), fc.constantFrom(...ids));
    fc.assert(
      fc.property(fc.array(pair, { maxLength: 12 }), (pairs) => {
        next = 0;
        const there = pairs.map(([blockId, text]) => mark('swap', next, { blockId, text }));
        expect([...runOrder(ids, there)].sort()).toEqual(ids);
        const back = [...pairs].reverse().map(([blockId, text]) => mark('swap', next, { blockId, text }));
        expect(runOrder(ids, [...there, ...back])).toEqual(ids);
      }),
    );
  });
});

describe('the changeover to the next block', () => {
  const ended = (endMs: number) => [mark('start', 0), mark('end', endMs)];
  test('counts down what was planned since the newest end, and past it', () => {
    const others = [ended(60_000), ended(200_000), []];
    expect(changeoverNow(others, 45, 210_000)).toEqual({ leftS: 35 });
    expect(changeoverNow(others, 45, 260_000)).toEqual({ leftS: -15 });
    expect(changeoverNow(others, 45, 100_000)).toEqual({ leftS: 45 });
  });
  test('there is none before anything has ended, while another block runs, or when the end was taken back', () => {
    expect(changeoverNow([[], [mark('start', 0), mark('pause', 5)]], 45, 9)).toBeNull();
    expect(changeoverNow([ended(10), [mark('start', 20)]], 45, 30)).toBeNull();
    const end = mark('end', 10);
    const undone = [mark('start', 0), end, mark('undo', 12, { ref: end.id }), mark('pause', 13)];
    expect(changeoverNow([undone], 45, 30)).toBeNull();
    // Half an hour later it is no changeover any more.
    expect(changeoverNow([ended(0)], 45, 1_800_001)).toBeNull();
  });
});

test('turns are numbered, and each has its rounds anew', () => {
  const turns = inTurns(phasesOf(timed, 40), 2);
  expect(turns.map((phase) => `${phase.turn}.${phase.round}`)).toEqual([
    '1.1',
    '1.1',
    '2.3',
    '2.3',
    '1.2',
    '1.2',
    '2.4',
    '2.4',
  ]);
});

describe('a round in words', () => {
  test.each([
    [{ kind: 'reps', sets: 2, reps: 10, sides: 2, restS: 0 }, 'reps', 1, 'Set 1 of 2', 'Right side'],
    [{ kind: 'reps', sets: 2, reps: 10, sides: 2, restS: 0 }, 'reps', 2, 'Set 1 of 2', 'Left side'],
    [{ kind: 'reps', sets: 2, reps: 10, sides: 2, restS: 0 }, 'reps', 3, 'Set 2 of 2', 'Right side'],
    [{ kind: 'hold', holds: 3, holdS: 10, sides: 2, restS: 5 }, 'hold', 6, 'Hold 3 of 3', 'Left side'],
    [{ kind: 'hold', holds: 3, holdS: 10, sides: 1, restS: 5 }, 'hold', 2, 'Hold 2 of 3', ''],
    [{ kind: 'course', rounds: 2, laps: 3, restS: 5 }, 'lap', 1, 'Round 1 of 2', 'Clockwise'],
    [{ kind: 'course', rounds: 2, laps: 3, restS: 5 }, 'lap', 2, 'Round 2 of 2', 'The other way round'],
    [{ kind: 'timed', rounds: 3, workS: 20, restS: 5 }, 'laps', 2, '', 'Clockwise'],
    [{ kind: 'timed', rounds: 3, workS: 20, restS: 5 }, 'laps', 3, '', 'The other way round'],
    [{ kind: 'timed', rounds: 4, workS: 20, restS: 5 }, 'laps', 3, '', 'The other way round'],
    [{ kind: 'timed', rounds: 3, workS: 20, restS: 5 }, 'count', 3, '', ''],
    [{ kind: 'growing', lines: 2, to: 6, restS: 5 }, 'reps', 2, 'Round 2 of 6', '2 on every line'],
    [{ kind: 'row', target: 5, capS: 60 }, 'row', 1, '', ''],
  ] as const)('%j, %s, round %d: "%s" "%s"', (dose, measure, round, set, side) => {
    expect(roundWords(dose, measure, round)).toEqual({ set, side });
  });
});

test('a routine says which part is done, and in a rest which comes next', () => {
  const routine = {
    kind: 'routine',
    rounds: 1,
    changeS: 5,
    parts: [
      { name: 'Palm up', partS: 20, sides: 1 },
      { name: 'A catch', partS: 8, sides: 2 },
    ],
  } as const;
  const said = phasesOf(routine, 0).map((phase) => partInWords(routine, phase));
  expect(said).toEqual([
    'Palm up, part 1 of 3',
    'Palm up, part 1 of 3',
    'next: A catch, part 2 of 3',
    'A catch, part 2 of 3',
    'next: A catch, part 3 of 3',
    'A catch, part 3 of 3',
  ]);
  // The second turn begins with the first part again.
  expect(partInWords(routine, { kind: 'work', round: 4, turn: 2 })).toBe('Palm up, part 1 of 3');
  expect(partInWords({ kind: 'row', target: 5, capS: 60 }, { kind: 'work', round: 1, turn: 1 })).toBeNull();
});

describe('the steady clock', () => {
  const device = (wall = 1_000_000, mono = 0) => {
    const clocks = { wall, mono };
    const ports = { now: () => clocks.wall, mono: () => clocks.mono };
    const pass = (ms: number) => ((clocks.wall += ms), (clocks.mono += ms));
    return { clocks, ports, pass };
  };

  test('follows the wall clock, over a sleep in which the monotonic clock stood still', () => {
    const { clocks, ports, pass } = device();
    const clock = new SteadyClock(ports);
    pass(5000);
    expect(clock.now()).toBe(1_005_000);
    clocks.wall += 600_000;
    expect(clock.now()).toBe(1_605_000);
    expect(clock.setBackS).toBe(0);
  });

  test('goes on by the monotonic clock when the wall clock is set back, and says by how much', () => {
    const { clocks, ports, pass } = device();
    const clock = new SteadyClock(ports);
    pass(5000);
    clock.now();
    pass(1000);
    clocks.wall -= 3_600_000;
    expect(clock.now()).toBe(1_006_000);
    expect(clock.setBackS).toBe(3600);
    pass(2000);
    expect(clock.now()).toBe(1_008_000);
  });

  test('a page that opens behind its own log goes on from the log', () => {
    const { ports, pass } = device();
    const clock = new SteadyClock(ports, 1_090_000);
    expect(clock.now()).toBe(1_090_000);
    expect(clock.setBackS).toBe(90);
    pass(500);
    expect(clock.now()).toBe(1_090_500);
  });

  test('takes over another device’s time where it has logged nothing', () => {
    const { ports, pass } = device();
    const clock = new SteadyClock(ports);
    clock.alignTo(400_000);
    pass(250);
    expect(clock.now()).toBe(400_250);
  });

  test('never runs backwards and never loses running time, whatever is done to the wall clock', () => {
    const step = fc.record({
      passMs: fc.integer({ min: 0, max: 60_000 }),
      setMs: fc.constantFrom(0, 0, 0, -7_200_000, -5000, -400, 3_600_000),
    });
    fc.assert(
      fc.property(fc.array(step, { maxLength: 40 }), (steps) => {
        const { clocks, ports, pass } = device();
        const clock = new SteadyClock(ports);
        let last = clock.now();
        for (const { passMs, setMs } of steps) {
          pass(passMs);
          clocks.wall += setMs;
          const now = clock.now();
          expect(now).toBeGreaterThanOrEqual(last);
          // A small setting back (under a second) may hide in the running time; no more than that is ever lost.
          expect(now - last).toBeGreaterThanOrEqual(passMs - 1000);
          if (setMs <= 0) expect(now - last).toBeLessThanOrEqual(passMs);
          last = now;
        }
      }),
    );
  });
});
