import { asPlanned } from '@/core/counting/conditions';
import { plainBook } from '@/drills/index';
import { easedOnCourt, otherHandOnCourt, stepBeside, workOnCourt } from './on-court';
import { blockOf } from '../base/plan';
import { callsOf, usualTempo } from '../base/sound';

const drill = plainBook.drill('palm-up-bounce')!;
const step = (id: string) => drill.steps.find((one) => one.id === id)!;
const block = blockOf({ id: 'b', drillId: drill.id, stepId: 'row-20', dose: step('row-20').doses['10-12'] });
const ten = { id: 'p', age: 10 };
const under = (more: Partial<typeof asPlanned>, share = 1) =>
  workOnCourt(plainBook, block, ten, { ...asPlanned, ...more }, share)!;

test('as planned it is the plan', () => {
  expect(under({})).toMatchObject({ step: { id: 'row-20' }, dose: block.dose, changes: [] });
});

test('a step up is done at the amount of the player’s age', () => {
  const moved = under({ stepId: 'row-50' });
  expect(moved.step.id).toBe('row-50');
  const own = step('row-50').doses['10-12'];
  expect(moved.dose).toMatchObject({ kind: 'row', target: own.kind === 'row' ? own.target : 0 });
});

test('a step of another ladder, or counted another way, is passed over', () => {
  expect(under({ stepId: 'no-such' }).step.id).toBe('row-20');
  expect(under({ stepId: 'bounce-20-s' }).step.id).toBe('row-20');
});

test('breathless is six tenths of the same shape; a shortened block is shortened once more', () => {
  const whole = block.dose.kind === 'row' ? block.dose : null;
  const short = under({ breathless: true }).dose;
  expect(short).toMatchObject({
    kind: 'row',
    target: Math.round(whole!.target * 0.6),
    capS: Math.round(whole!.capS * 0.6),
  });
  const both = under({ breathless: true }, 0.6).dose;
  expect(both.kind === 'row' && both.capS).toBe(Math.round(Math.round(whole!.capS * 0.6) * 0.6));
});

test('spices and easings put on act on the dose, and a planned one can be taken off', () => {
  expect(under({ on: ['other hand'] }).changes).toEqual(['other hand']);
  expect(under({ on: ['other hand'] }).dose).not.toEqual(block.dose);
  const eased = { ...block, changes: ['fewer'] };
  expect(workOnCourt(plainBook, eased, ten, { ...asPlanned, off: ['fewer'] })!.dose).toEqual(block.dose);
});

test('the other hand counts apart, planned or put on, until it is taken off', () => {
  expect(otherHandOnCourt(['other hand'], asPlanned)).toBe(true);
  expect(otherHandOnCourt([], { ...asPlanned, on: ['other hand'] })).toBe(true);
  expect(otherHandOnCourt(['other hand'], { ...asPlanned, off: ['other hand'] })).toBe(false);
  expect(otherHandOnCourt([], asPlanned)).toBe(false);
});

test('what stands for the step: not what was made easier', () => {
  expect(easedOnCourt([], asPlanned)).toBe(false);
  expect(easedOnCourt(['two hands'], asPlanned)).toBe(true);
  expect(easedOnCourt(['two hands'], { ...asPlanned, off: ['two hands'] })).toBe(false);
  expect(easedOnCourt([], { ...asPlanned, on: ['let it bounce'] })).toBe(true);
  expect(easedOnCourt([], { ...asPlanned, on: ['walking'], breathless: true })).toBe(false);
  expect(easedOnCourt([], { ...asPlanned, ball: 'red', softerBall: true })).toBe(true);
});

test('beside a step lie the next ones that are counted the same way, in every drill', () => {
  for (const one of plainBook.drills)
    for (const [at, here] of one.steps.entries()) {
      const up = stepBeside(one, here, 'up');
      const back = stepBeside(one, here, 'back');
      if (up) expect(one.steps.indexOf(up)).toBeGreaterThan(at);
      if (back) expect(one.steps.indexOf(back)).toBeLessThan(at);
      for (const other of [up, back]) if (other) expect(other.measure).toBe(here.measure);
      // Up and back again is where one was, or nearer.
      if (up) expect(stepBeside(one, up, 'back')).toBe(here);
    }
});

describe('what is heard', () => {
  test('the beat is the step’s own: a touch every so many seconds', () => {
    expect(usualTempo(step('row-20'))).toBe(Math.round(60 / step('row-20').perTouchS.value));
    expect(usualTempo(plainBook.step('ring-target', 'underarm-throw')!)).toBeNull();
  });
  test('every called step can be called: its answers fit in, and a lob is called at its top', () => {
    const called = plainBook.drills.flatMap((one) => one.steps.filter((here) => here.calls));
    expect(called.length).toBeGreaterThanOrEqual(10);
    for (const here of called) {
      const calls = callsOf(here)!;
      expect([here.id, calls.moveS <= calls.everyS]).toEqual([here.id, true]);
      expect(calls.leadS).toBeLessThan(calls.everyS);
    }
    // A lob four metres above the hand: √(2 x 4 / 9.80665) = 0.903 s (free fall, any textbook).
    expect(
      callsOf(
        plainBook.step('retreat-high-ball', 'called-hit-or-catch') ??
          called.find((one) => one.id === 'called-hit-or-catch')!,
      )!.leadS,
    ).toBeCloseTo(0.903, 3);
    expect(callsOf(step('row-20'))).toBeNull();
  });
});
