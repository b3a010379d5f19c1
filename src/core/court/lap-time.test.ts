import fc from 'fast-check';
import type { EventKind, TouchEvent } from '../counting/event';
import { lapTime } from './lap-time';
import { inTurns, ownStretches, phasesOf, type Phase } from './phases';

const event = (kind: EventKind, atMs: number, id: number, value: number | null = null): TouchEvent => ({
  id: String(id).padStart(9, '0'),
  blockId: 'b',
  playerId: null,
  kind,
  attempt: 1,
  value,
  ref: null,
  atMs,
  monoMs: 0,
  device: 'd',
});
const log = (...marks: readonly (readonly [kind: EventKind, atS: number, value?: number])[]) =>
  marks.map(([kind, atS, value], id) => event(kind, atS * 1000, id, value ?? null));
/** Two rounds of a lap that the plan gives 8.5 s each, with 30 s of rest: counted in from 0 to 3, work to 11.5, rest to 41.5. */
const phases = phasesOf({ kind: 'course', rounds: 2, laps: 1, restS: 30 }, 17);
const lap = (clock: TouchEvent[], atS: number, lastS: number | null = null) =>
  lapTime({ clock, phases, lastMs: lastS === null ? null : lastS * 1000, atMs: atS * 1000 });

test('before the start, and while it is counted in, there is no lap', () => {
  expect(lap([], 5)).toBe('not begun');
  expect(lap(log(['start', 10]), 5)).toBe('not begun');
  expect(lap(log(['start', 0]), 2)).toBe('not begun');
  expect(lap(log(['start', 0], ['end', 20]), 25)).toBe('ended');
});

test.each<[string, TouchEvent[], number, number | null, number]>([
  ['the first lap counts from the go', log(['start', 0]), 13, null, 10],
  ['the rest before round two is none of its lap', log(['start', 0]), 51.5, 13, 10],
  ['the last round goes on over the plan', log(['start', 0]), 53.5, 13, 12],
  ['a lap that goes on into the rest takes as long as it takes', log(['start', 0]), 15, null, 12],
  ['a pause takes no time', log(['start', 0], ['pause', 6], ['start', 66]), 72, null, 9],
  ['a lap that ends in a pause ended when the clock did', log(['start', 0], ['pause', 6]), 60, null, 3],
  ['a skip to the next stretch begins it', log(['start', 0], ['skip', 20, 21.5]), 26, 12, 6],
  ['a repeat begins a stretch anew', log(['start', 0], ['back', 7, 7]), 14, null, 4],
  ['a second lap of a round counts from the first', log(['start', 0]), 10, 7, 3],
])('%s', (_what, clock, atS, lastS, seconds) => {
  expect(lap(clock, atS, lastS)).toBe(seconds);
});

/** Plays a block tick by tick, a tenth of a second each, and notes what every lap took. */
function played(stretches: readonly Phase[], marks: ReadonlyMap<number, EventKind | 'lap'>, ticks: number) {
  const clock: TouchEvent[] = [];
  const laps: { atMs: number; lastMs: number | null; ranTicks: number }[] = [];
  const kindAt = (tick: number) => {
    let end = 0;
    for (const phase of stretches) if (tick < (end += Math.round(phase.seconds * 10))) return phase;
    return null;
  };
  let [ran, running, begun, now] = [0, false, false, null as Phase | null];
  let lapTicks = 0;
  let lastMs: number | null = null;
  for (let tick = 0; tick < ticks; tick++) {
    const phase = kindAt(ran);
    if (phase !== now && phase?.kind === 'work' && running) {
      [lapTicks, begun] = [0, true];
      now = phase;
    } else if (phase?.kind !== 'work') now = phase;
    const mark = marks.get(tick);
    if (mark === 'start' && !running) {
      running = true;
      clock.push(event('start', tick * 100, tick));
      if (phase?.kind === 'work' && !begun) begun = true;
    } else if (mark === 'pause' && running) {
      running = false;
      clock.push(event('pause', tick * 100, tick));
    } else if (mark === 'lap' && begun) {
      laps.push({ atMs: tick * 100, lastMs, ranTicks: lapTicks });
      lastMs = tick * 100;
      lapTicks = 0;
    }
    if (running) {
      ran += 1;
      lapTicks += 1;
    }
  }
  return { clock, laps };
}

test('whatever is paused, however long the rounds: as an event by event play of the block has it', () => {
  const dose = fc.record({
    rounds: fc.integer({ min: 1, max: 4 }),
    laps: fc.integer({ min: 1, max: 3 }),
    restS: fc.integer({ min: 0, max: 20 }),
    workS: fc.integer({ min: 10, max: 80 }),
  });
  const mark = fc.tuple(
    fc.integer({ min: 0, max: 1200 }),
    fc.constantFrom<EventKind | 'lap'>('start', 'pause', 'lap', 'lap', 'lap'),
  );
  fc.assert(
    fc.property(dose, fc.array(mark, { maxLength: 40 }), ({ workS, ...course }, made) => {
      const rounded = phasesOf({ kind: 'course', ...course }, workS).map((phase) => ({
        ...phase,
        seconds: Math.round(phase.seconds * 10) / 10,
      }));
      const { clock, laps } = played(rounded, new Map([[0, 'start'], ...made]), 1300);
      for (const { atMs, lastMs, ranTicks } of laps)
        expect(lapTime({ clock, phases: rounded, lastMs, atMs })).toBeCloseTo(Math.max(1, ranTicks) / 10, 6);
    }),
  );
});

test('where others take their turn in between, a child’s own stretches are its work', () => {
  const shared = inTurns(phasesOf({ kind: 'course', rounds: 1, laps: 1, restS: 0 }, 10), 2);
  const clock = log(['start', 0]);
  const own = ownStretches(shared, 2);
  expect(own.map(({ kind }) => kind)).toEqual(['rest', 'rest', 'countIn', 'work']);
  expect(lapTime({ clock, phases: own, lastMs: null, atMs: 8000 })).toBe('not begun');
  expect(lapTime({ clock, phases: own, lastMs: null, atMs: 25_000 })).toBe(9);
  // The first one goes on while the next is counted in.
  expect(lapTime({ clock, phases: ownStretches(shared, 1), lastMs: null, atMs: 15_000 })).toBe(12);
});
