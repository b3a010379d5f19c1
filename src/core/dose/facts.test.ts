import { plainBook } from '@/drills';

import { triesOf } from '@/session/plan/together';
import { doneTogether } from '@/session/plan/together';
import { doseWork } from './time';
import { attemptsIn, boxSeconds, fixedTries, roundsOf, triesARound } from './facts';
import type { Dose } from './dose';
import { scaled } from './scale';
import { changes } from '@/drills/base/changes';
import { doneShare } from '@/session/vows/done-share';
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
      perTouchS: step.perTouchS.value,
      dropCostS: 3,
      successRate: 0.7,
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

/** What exactly a dose comes to, as it would be counted: each attempt with its tries. */
function doneExactly(dose: Dose): { result: number | null; touches: number; drops: number }[] {
  const one = (tries: number) => ({ result: tries, touches: tries, drops: 0 });
  switch (dose.kind) {
    case 'row':
      return [one(dose.target)];
    case 'shots':
      return [one(dose.shots)];
    default:
      return Array.from({ length: attemptsIn(dose) }, () =>
        one(dose.kind === 'course' ? 1 : (triesARound(dose) ?? 1)),
      );
  }
}

test('every step, age and change: rounds, attempts, tries, box and what is done of it agree', () => {
  let looked = 0;
  for (const { drill, step, dose: plain } of all)
    for (const dose of [plain, ...changes.map(({ amount }) => scaled(plain, amount))]) {
      looked += 1;
      const at = `${drill.id} ${step.id} ${JSON.stringify(dose)}`;
      const [attempts, tries, box] = [attemptsIn(dose), fixedTries(dose), boxSeconds(dose)];
      if (dose.kind === 'reps' || dose.kind === 'growing')
        expect([at, attempts * triesARound(dose)!]).toEqual([at, tries]);
      if (dose.kind === 'course')
        expect([at, roundsOf(dose) * triesARound(dose)!, attempts]).toEqual([at, tries, tries]);
      if (dose.kind === 'hold') expect([at, roundsOf(dose), attempts]).toEqual([at, tries, tries]);
      expect([at, box !== null]).toEqual([at, dose.kind === 'timed' || dose.kind === 'routine']);
      const pace = { perTouchS: 1, dropCostS: 3, successRate: 0.7, setUpS: 0, showS: 0, changeoverS: 0 };
      if (box !== null) expect([at, doseWork(dose, pace).workS]).toEqual([at, attempts * box]);
      const done = doneExactly(dose);
      expect([at, doneShare(dose, done)]).toEqual([at, 1]);
      expect(doneShare(dose, done.slice(1))).toBeLessThan(1);
    }
  expect(looked).toBeGreaterThan(15_000);
});
