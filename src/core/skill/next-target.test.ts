import { gateTarget, habitTarget, ownBestTarget, type Judged } from './next-target';

const judged = (best: number | null, reachedDays: number, more: Partial<Judged> = {}): Judged => ({
  measure: 'row',
  gate: { result: 20, days: 2 },
  top: false,
  most: Infinity,
  best,
  reachedDays,
  ...more,
});

describe('in a row, on k days', () => {
  test.each([
    ['nothing yet', null, 0, 'hold', '20 in a row is still to come: 2 more days of it to move up.'],
    ['below the gate', 19, 0, 'hold', '20 in a row is still to come: 2 more days of it to move up.'],
    ['on one day', 22, 1, 'hold', 'Reached 20 in a row on 1 day: one more day of it to move up.'],
    ['on two days', 31, 2, 'up', 'Reached 20 in a row on 2 days; the step asks for 2 days: up a step.'],
  ] as const)('%s', (_name, best, reachedDays, verdict, reason) => {
    expect(gateTarget(judged(best, reachedDays))).toEqual({ school: 'row', verdict, target: 20, reason });
  });

  test('on the top step there is nowhere up', () => {
    expect(gateTarget(judged(31, 2, { top: true }))).toMatchObject({
      verdict: 'hold',
      reason: expect.stringContaining('the top of this ladder is done'),
    });
  });
});

test('laps in thirds aim one corner further, and say so as a person would', () => {
  const laps = { measure: 'laps' as const, gate: { result: 3, days: 2 }, increment: 1 / 3, most: 12 };
  expect(ownBestTarget(judged(1.33, 0, laps))).toMatchObject({
    target: 1.67,
    reason: 'Best ever 1⅓: 1⅔ is a new best.',
  });
  expect(ownBestTarget(judged(1.67, 0, laps)).target).toBe(2);
});

describe('a habit', () => {
  test.each([
    [640, '640 of about 2000 repetitions that make a habit: moving on is the coach’s word.'],
    [2100, '2100 repetitions, about 2000 make a habit: move on when it looks easy.'],
  ])('%d repetitions, and three good days, move nobody on', (done, reason) => {
    const said = habitTarget(
      judged(3, 3, { measure: 'reps', gate: { result: 3, days: 3 }, habit: { reps: 2000, done } }),
      'best',
    );
    expect(said.verdict).toBe('hold');
    expect(said.reason).toBe(reason);
  });
});

describe('own best plus one', () => {
  test('a best of a longer dose is not said to be what this dose allows', () => {
    const count = { measure: 'count' as const, top: true, most: 9, gate: { result: 8, days: 2 } };
    expect(ownBestTarget(judged(9, 0, count))).toMatchObject({
      target: 9,
      reason: 'Best ever 9 is all this dose allows: more of it, or a harder form.',
    });
    expect(ownBestTarget(judged(10, 0, count))).toMatchObject({
      target: 9,
      reason: 'Best ever 10 is more than this dose gives, 9 at most: more of it, or a harder form.',
    });
  });
  test('aims one above the best of all days', () => {
    expect(ownBestTarget(judged(17, 0))).toMatchObject({
      verdict: 'hold',
      target: 18,
      reason: 'Best ever 17: 18 is a new best.',
    });
  });

  test('starts at the gate, and moves up when the gate is reached once', () => {
    expect(ownBestTarget(judged(null, 0))).toMatchObject({ verdict: 'hold', target: 20 });
    expect(ownBestTarget(judged(20, 1)).verdict).toBe('up');
  });

  test('on the top step the best keeps growing, as far as the dose allows', () => {
    expect(ownBestTarget(judged(24, 1, { top: true }))).toMatchObject({ verdict: 'hold', target: 25 });
    expect(ownBestTarget(judged(24, 1, { top: true, most: 24 }))).toMatchObject({
      verdict: 'hold',
      target: 24,
    });
  });

  test('on laps, less is better', () => {
    const lap = { measure: 'lap' as const, gate: { result: 11, days: 1 } };
    expect(ownBestTarget(judged(12.3, 0, lap))).toMatchObject({
      verdict: 'hold',
      target: 12.2,
    });
    expect(ownBestTarget(judged(10.9, 1, lap)).verdict).toBe('up');
  });
});
