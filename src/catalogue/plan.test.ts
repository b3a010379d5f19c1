import { catalogue, findStep } from '.';
import { paceOn, rateOn } from './pace';
import { recordOf, timePlan, type PlanBlock, type Records } from './plan';

const step = findStep('palm-up-bounce', 'row-20')!;
const block: PlanBlock = {
  id: 'b',
  drillId: 'palm-up-bounce',
  stepId: 'row-20',
  dose: { kind: 'row', target: 20, capS: 600 },
};
const records: Records = [
  ['sure', 'palm-up-bounce', 'row-20', 990, 10],
  ['sure', 'palm-up-bounce', 'row-50', 1, 99],
];

test('a plan takes each player’s own record on the very step, and the usual rate without one', () => {
  expect(recordOf(records, 'sure', 'palm-up-bounce', 'row-20')).toEqual({ touches: 990, drops: 10 });
  expect(recordOf(records, 'new', 'palm-up-bounce', 'row-20')).toBeUndefined();
  expect(rateOn(step).value).toBeCloseTo(step.usualRate.value, 12);
  expect(
    paceOn(
      catalogue.find((drill) => drill.id === 'palm-up-bounce')!,
      step,
      { touches: 990, drops: 10 },
    ).successRate,
  ).toBeCloseTo(0.989, 3);

  const alone = timePlan([block], ['sure'], records, 10).blocks[0]!;
  const both = timePlan([block], ['sure', 'new'], records, 10).blocks[0]!;
  expect(both.slowestId).toBe('new');
  expect(both.workS).toBeGreaterThan(alone.workS * 2);
});

test('drills no longer in the catalogue and plans for nobody take no time', () => {
  expect(timePlan([{ ...block, drillId: 'gone' }], ['sure'], records, 10).blocks).toEqual([]);
  expect(timePlan([block], [], records, 10)).toMatchObject({ totalS: 0, overrunS: -600 });
});

test('every drill at every age fits a session of an hour', () => {
  for (const drill of catalogue)
    for (const one of drill.steps)
      for (const dose of Object.values(one.doses)) {
        const { totalS } = timePlan([{ id: 'b', drillId: drill.id, stepId: one.id, dose }], ['p'], [], 60);
        expect(totalS).toBeGreaterThan(30);
        expect(totalS).toBeLessThan(8 * 60);
      }
});
