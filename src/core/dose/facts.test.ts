import { plainBook } from '@/drills';

import { triesOf } from '@/session/together';
import { doneTogether } from '@/session/together';
import { doseWork } from './time';
import { fixedTries } from './facts';
import { triesInAll } from '../counting/limits';

const all = plainBook.drills.flatMap((drill) =>
  drill.steps.flatMap((step) =>
    (['4-6', '7-9', '10-12', '13-16'] as const).map((band) => ({ drill, step, dose: step.doses[band] })),
  ),
);

test('every step and age: what a dose asks for is the same in its time, at home, on court and as a limit', () => {
  let [fixed, together] = [0, 0];
  for (const { drill, step, dose } of all) {
    const tries = fixedTries(dose);
    const pace = {
      ...{ perTouchS: step.perTouchS.value, dropCostS: 3, successRate: 0.7 },
      setUpS: 0,
      showS: 0,
      changeoverS: 0,
    };
    if (tries === null) expect(['row', 'timed', 'routine']).toContain(dose.kind);
    else {
      fixed += 1;
      expect(doseWork(dose, pace).tries).toBe(tries);
      if (dose.kind !== 'routine') expect(triesInAll(dose)).toBe(tries);
    }
    if (!doneTogether(drill, step)) continue;
    together += 1;
    // A routine of eight stretches done at home loads the body as it does on court.
    expect(triesOf(step, dose)).toBe(tries);
  }
  expect(fixed).toBeGreaterThan(400);
  expect(together).toBeGreaterThan(40);
});
