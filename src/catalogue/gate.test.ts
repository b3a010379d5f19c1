import { findDrill, findStep } from '.';
import { gateFor, judgedOn } from './gate';

const step = (drill: string, id: string) => findStep(drill, id)!;

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
  const drill = findDrill('palm-up-bounce')!;
  const row = { kind: 'row', target: 5, capS: 30 } as const;
  expect(judgedOn(drill, drill.steps.at(-1)!, row).top).toBe(true);
  expect(judgedOn(drill, drill.steps[0]!, row).top).toBe(false);
});
