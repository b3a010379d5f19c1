import { gateTarget, nextTargets, ownBestTarget, type Judged } from './next-target';

const day = (n: number, best: number) => ({ day: `2026-11-0${n}`, best });
const judged = (days: Judged['days'], more: Partial<Judged> = {}): Judged => ({
  measure: 'row',
  gate: { result: 20, days: 2 },
  top: false,
  most: Infinity,
  days,
  ...more,
});

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
    expect(gateTarget(judged(days))).toEqual({ school: 'row', verdict, target: 20, reason });
  });

  test('on the top step there is nowhere up', () => {
    expect(gateTarget(judged([day(1, 20), day(3, 31)], { top: true }))).toMatchObject({
      verdict: 'hold',
      reason: expect.stringContaining('the top of this ladder is done'),
    });
  });
});

describe('own best plus one', () => {
  test('aims one above the best of all days', () => {
    expect(ownBestTarget(judged([day(1, 14), day(2, 17)]))).toMatchObject({
      verdict: 'hold',
      target: 18,
      reason: 'Best ever 17: 18 is a new best.',
    });
  });

  test('starts at the gate, and moves up when the gate is reached once', () => {
    expect(ownBestTarget(judged([]))).toMatchObject({ verdict: 'hold', target: 20 });
    expect(ownBestTarget(judged([day(1, 20)])).verdict).toBe('up');
  });

  test('on the top step the best keeps growing, as far as the dose allows', () => {
    expect(ownBestTarget(judged([day(1, 24)], { top: true }))).toMatchObject({ verdict: 'hold', target: 25 });
    expect(ownBestTarget(judged([day(1, 24)], { top: true, most: 24 }))).toMatchObject({
      verdict: 'hold',
      target: 24,
    });
  });

  test('on laps, less is better', () => {
    const lap = { measure: 'lap' as const, gate: { result: 11, days: 1 } };
    expect(ownBestTarget(judged([day(1, 12.4), day(2, 12.3)], lap))).toMatchObject({
      verdict: 'hold',
      target: 12.2,
    });
    expect(ownBestTarget(judged([day(1, 10.9)], lap)).verdict).toBe('up');
  });
});

test('each measure has its default school, and the other is shown beside it', () => {
  expect(nextTargets(judged([])).byDefault.school).toBe('row');
  expect(nextTargets(judged([], { measure: 'points' })).byDefault.school).toBe('best');
  expect(nextTargets(judged([], { measure: 'points' })).other.school).toBe('row');
});
