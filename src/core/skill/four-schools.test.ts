import { fourSchools, usualBand, type Case } from './four-schools';
import type { School } from './next-target';

const one = (more: Partial<Case> = {}): Case => ({
  measure: 'row',
  gate: { result: 20, days: 2 },
  top: false,
  bottom: false,
  most: Infinity,
  best: 17,
  reachedDays: 0,
  band: usualBand,
  failed: null,
  odds: { chance: 0.7, low: 0.5, high: 0.85, attempts: 6, fitting: 20, halfway: 0.95, days: 8 },
  clock: { boxS: 30, result: 18, wanted: 20 },
  ...more,
});
const odds = (chance: number, more: Partial<NonNullable<Case['odds']>> = {}): Case['odds'] => ({
  chance,
  low: chance - 0.15,
  high: Math.min(1, chance + 0.15),
  attempts: 6,
  fitting: 12,
  halfway: 0.8,
  days: 8,
  ...more,
});
const said = (school: School, more: Partial<Case>) =>
  fourSchools(one(more), null).all.find((verdict) => verdict.school === school)!;

test.each([
  ['in a row', 'row', { reachedDays: 2, best: 24 }],
  ['against the clock', 'clock', { clock: { boxS: 30, result: 21, wanted: 20 } }],
  ['own best plus one', 'best', { best: 20, reachedDays: 1 }],
  ['sweet spot', 'sweet', { odds: odds(0.92) }],
] as const)('up by the school %s alone, and the coach’s choice proposes it', (_name, school, more) => {
  const all = fourSchools(one(more), school);
  expect(all.byDefault).toMatchObject({ school, verdict: 'up' });
  expect(all.all.map((verdict) => verdict.school)).toEqual(['row', 'clock', 'best', 'sweet']);
});

test('left to the drill, rows are judged in a row, all else by the own best', () => {
  expect(fourSchools(one(), null).byDefault.school).toBe('row');
  expect(fourSchools(one({ measure: 'points' }), null).byDefault.school).toBe('best');
});

test('where they differ, one sentence says why; where they agree, none', () => {
  expect(fourSchools(one(), null).differ).toBeNull();
  const { differ } = fourSchools(one({ odds: odds(0.92) }), null);
  expect(differ).toBe(
    'Sweet spot says up: 20 in a row would come on 92\u00a0% of days (77\u00a0% to 100\u00a0%): too easy to teach much.',
  );
});

describe('sweet spot', () => {
  test('stays where it is challenging', () => {
    expect(said('sweet', {})).toMatchObject({ verdict: 'hold', target: 20 });
    expect(said('sweet', {}).reason).toContain(
      '70\u00a0% of days (50\u00a0% to 85\u00a0%): the right difficulty',
    );
  });
  test('says the right difficulty before it sends anybody back', () => {
    expect(said('sweet', { odds: odds(0.3) })).toMatchObject({ verdict: 'hold', target: 12 });
    expect(said('sweet', { odds: odds(0.1, { halfway: 0.3 }) })).toMatchObject({ verdict: 'back' });
    // Nowhere to go.
    expect(said('sweet', { odds: odds(0.1, { halfway: 0.3 }), bottom: true }).verdict).toBe('hold');
    expect(said('sweet', { odds: odds(0.95), top: true }).verdict).toBe('hold');
  });
  test('an unsure chance moves nobody, little data says so, and the band is the coach’s', () => {
    expect(said('sweet', { odds: odds(0.85, { low: 0.4 }) }).verdict).toBe('hold');
    expect(said('sweet', { odds: odds(0.9, { days: 2 }) }).reason).toBe('Little data: 2 days on this step.');
    expect(said('sweet', { odds: null }).wouldChange).toBe('3 more days of counts.');
    expect(said('sweet', { band: [0.4, 0.6] }).verdict).toBe('up');
  });
});

test('against the clock: what is wanted in which time; a step without a clock says so', () => {
  expect(said('clock', {}).reason).toBe('18 touches in 30 s at the last pace; wanted 20 touches.');
  const lap = { measure: 'lap' as const, gate: { result: 11, days: 1 }, best: 12 };
  expect(said('clock', { ...lap, clock: { boxS: 1, result: 10.8, wanted: 11 } }).verdict).toBe('up');
  expect(said('clock', { ...lap, clock: { boxS: 1, result: 11.4, wanted: 11 } }).reason).toBe(
    '11.4 s at best; wanted 11 s.',
  );
  expect(said('clock', { clock: null }).reason).toBe('This step is not done against the clock.');
  expect(said('clock', { clock: { boxS: 30, result: null, wanted: 20 } }).reason).toBe('Nothing timed yet.');
});

test('a step up that fails is answered by one step back, by every school that does not say up', () => {
  const failed = { days: 3, noise: 0.01 };
  const all = fourSchools(one({ failed, odds: odds(0.1) }), null);
  expect(all.all.map(({ verdict }) => verdict)).toEqual(['back', 'back', 'back', 'back']);
  expect(all.byDefault.reason).toContain('chance alone brings that in 1\u00a0%: one step back, then again.');
  // One day is no evidence, chance that is not seldom neither, and from the first step there is no way back.
  for (const more of [
    { failed: { ...failed, days: 1 } },
    { failed: { ...failed, noise: 0.2 } },
    { failed, bottom: true },
  ])
    expect(fourSchools(one(more), null).byDefault.verdict).toBe('hold');
  expect(said('row', { failed, reachedDays: 2, best: 24 }).verdict).toBe('up');
});

test('every verdict says what would change its mind', () => {
  for (const more of [
    {},
    { top: true },
    { reachedDays: 2, best: 25 },
    { most: 10 },
    { odds: null, clock: null },
  ])
    for (const { wouldChange } of fourSchools(one(more), null).all)
      expect(wouldChange).toMatch(/^[A-Z0-9].*\.$/);
});

test('a habit is the coach’s word in every school', () => {
  const { all, differ } = fourSchools(one({ habit: { reps: 2000, done: 640 }, reachedDays: 3 }), 'sweet');
  expect(all.map(({ verdict }) => verdict)).toEqual(['hold', 'hold', 'hold', 'hold']);
  expect(differ).toBeNull();
});
