import { ageBands } from '@/drills/base/types';
import { plainBook } from '@/drills';
import { courtPhases } from './court-clock';
import { blockOf } from '../base/plan';
import { timePlan } from '../plan/time-plan';

const ageOf = { '4-6': 5, '7-9': 8, '10-12': 11, '13-16': 15 } as const;

/** Seconds of work and rest on court, without counting in. */
const workAndRest = (phases: ReturnType<typeof courtPhases>): number =>
  phases.reduce((sum, { kind, seconds }) => sum + (kind === 'countIn' ? 0 : seconds), 0);

test('every step, age, turn and station: work and rest on court are the plan’s active time', () => {
  let compared = 0;
  for (const drill of plainBook.drills)
    for (const step of drill.steps)
      for (const band of ageBands)
        for (const stations of [1, 3]) {
          const dose = step.doses[band];
          const block = blockOf({ id: 'b', drillId: drill.id, stepId: step.id, dose, stations });
          const players = ['a', 'b', 'c'].map((id) => ({ id, age: ageOf[band] }));
          const [time] = timePlan(plainBook, [block], players, [], 60).blocks;
          const { turns, activeS } = time!;
          const onCourtS = workAndRest(courtPhases(dose, { turns, turnS: activeS / turns }));
          const name = [drill.id, step.id, band, stations, dose.kind].join(' ');
          if (dose.kind === 'row') {
            // A row is run to its cap; the plan goes by when it is expected to be there.
            expect([name, onCourtS]).toEqual([name, turns * dose.capS]);
            expect(activeS).toBeLessThanOrEqual(onCourtS + 1e-6);
          } else expect([name, Math.round(100 * onCourtS)]).toEqual([name, Math.round(100 * activeS)]);
          compared += 1;
        }
  expect(compared).toBe(8 * plainBook.drills.flatMap((drill) => drill.steps).length);
});

test('rests come once: twelve tries of 4 s in four bouts with 10 s between them are 78 s', () => {
  const dose = { kind: 'course', rounds: 4, laps: 3, restS: 10 } as const;
  const phases = courtPhases(dose, { turnS: 12 * 4 + 3 * 10, turns: 1 });
  expect(workAndRest(phases)).toBe(78);
  expect(phases.filter((phase) => phase.kind === 'work').map((phase) => phase.seconds)).toEqual([
    12, 12, 12, 12,
  ]);
});

test('shortened, the work is less and the rests stay', () => {
  const dose = { kind: 'course', rounds: 2, laps: 3, restS: 10 } as const;
  expect(workAndRest(courtPhases(dose, { turnS: 50, turns: 1 }, 0.5))).toBe(30);
});
