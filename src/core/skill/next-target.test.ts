import { gateTarget, nextTargets, ownBestTarget } from './next-target';

const gate = { result: 20, days: 2 };
const day = (n: number, best: number) => ({ day: `2026-11-0${n}`, best });

describe('in a row, on k days', () => {
  test.each([
    ['nothing yet', [], 'hold', '20 in a row is still to come: 2 more days of it to move up.'],
    ['below the gate', [day(1, 19)], 'hold', '20 in a row is still to come: 2 more days of it to move up.'],
    [
      'on one day',
      [day(1, 22), day(2, 12)],
      'hold',
      'Reached 20 in a row on 1 day: one more day of it to move up.',
    ],
    [
      'twice on one day',
      [day(1, 22), day(1, 25)],
      'hold',
      'Reached 20 in a row on 1 day: one more day of it to move up.',
    ],
    [
      'on two days',
      [day(1, 20), day(3, 31)],
      'up',
      'Reached 20 in a row on 2 days; the step asks for 2 days: up a step.',
    ],
  ] as const)('%s', (_name, days, verdict, reason) => {
    expect(gateTarget('row', gate, days)).toEqual({ school: 'row', verdict, target: 20, reason });
  });
});

describe('own best plus one', () => {
  test('aims one above the best of all days', () => {
    expect(ownBestTarget('row', gate, [day(1, 14), day(2, 17)])).toMatchObject({
      verdict: 'hold',
      target: 18,
      reason: 'Best ever 17: 18 is a new best.',
    });
  });

  test('starts at the gate, and moves up when the gate is passed once', () => {
    expect(ownBestTarget('row', gate, [])).toMatchObject({ verdict: 'hold', target: 20 });
    expect(ownBestTarget('row', gate, [day(1, 20)]).verdict).toBe('up');
  });

  test('on laps, less is better', () => {
    const lap = { result: 11, days: 1 };
    expect(ownBestTarget('lap', lap, [day(1, 12.4), day(2, 12.3)])).toMatchObject({
      verdict: 'hold',
      target: 12.2,
    });
    expect(ownBestTarget('lap', lap, [day(1, 10.9)]).verdict).toBe('up');
  });
});

test('each measure has its default school, and the other is shown beside it', () => {
  expect(nextTargets('row', gate, []).byDefault.school).toBe('row');
  expect(nextTargets('points', gate, []).byDefault.school).toBe('best');
  expect(nextTargets('points', gate, []).other.school).toBe('row');
});
