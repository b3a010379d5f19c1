import { plainBook } from '@/drills';
import { gateFor, judgedOn } from './gate';

const step = (drill: string, id: string) => plainBook.step(drill, id)!;

test('reps and holds: nobody is asked for more than their dose', () => {
  const reps = step('shadow-forehand', 'full-and-freeze');
  expect(gateFor(reps, { kind: 'reps', sets: 2, reps: 8, sides: 1, restS: 0 })).toEqual({
    result: 8,
    days: 3,
  });
  expect(gateFor(reps, { kind: 'reps', sets: 2, reps: 60, sides: 1, restS: 0 })).toEqual({
    result: 25,
    days: 3,
  });
  const hold = step('wrist-and-forearm', 'band-outwards');
  expect(gateFor(hold, { kind: 'hold', holds: 3, holdS: 5, sides: 1, restS: 0 }).result).toBe(5);
});

test('points and time boxes: in proportion', () => {
  expect(
    gateFor(step('ring-target', 'underarm-throw'), { kind: 'shots', shots: 5, ballsAtHand: 5, collectS: 0 })
      .result,
  ).toBe(20);
  expect(
    gateFor(step('palm-up-bounce', 'bounce-20-s'), { kind: 'timed', rounds: 1, workS: 30, restS: 0 }).result,
  ).toBe(38);
  expect(gateFor(step('palm-up-bounce', 'row-20'), { kind: 'row', target: 5, capS: 30 }).result).toBe(20);
});

test('the top of a ladder is known', () => {
  const drill = plainBook.drill('palm-up-bounce')!;
  const row = { kind: 'row', target: 5, capS: 30 } as const;
  expect(judgedOn(drill, drill.steps.at(-1)!, row).top).toBe(true);
  expect(judgedOn(drill, drill.steps[0]!, row).top).toBe(false);
});

test('grades in proportion, growing counts and routines cut to the dose, laps as they stand', () => {
  const grade = step('soft-catch', 'head-high');
  expect(gateFor(grade, { kind: 'reps', sets: 1, reps: 5, sides: 1, restS: 0 }).result).toBe(7);
  const hops = step('growing-hops', 'two-lines');
  expect(gateFor(hops, { kind: 'growing', lines: 2, to: 3, restS: 0 }).result).toBe(6);
  const lap = step('triangle-run', 'timed-lap');
  expect(gateFor(lap, { kind: 'course', rounds: 1, laps: 1, restS: 0 })).toEqual(lap.gate);
  const even = step('turn-over-bounce', 'same-height');
  expect(gateFor(even, { kind: 'timed', rounds: 1, workS: 60, restS: 0 })).toEqual(even.gate);
});

test('the most a dose can give: points by the best zone, a routine by its parts', () => {
  const drill = plainBook.drill('ring-target')!;
  const shots = { kind: 'shots', shots: 10, ballsAtHand: 5, collectS: 0 } as const;
  // Common practice: ten shots at rings of 10 are 100 at most.
  expect(judgedOn(drill, drill.steps[0]!, shots).most).toBe(100);
  expect(judgedOn(drill, drill.steps[0]!, { kind: 'row', target: 5, capS: 60 }).most).toBe(Infinity);
});
