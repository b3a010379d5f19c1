import { catalogue, makeBook, plainBook, plainContents } from '../src/drills';
import { goalCases } from './lib/goals';

test('goals agree for every step, age band and change: nothing is flagged', () => {
  const cases = goalCases(plainBook);
  const steps = catalogue.flatMap((drill) => drill.steps).length;
  expect(cases.length).toBeGreaterThan(steps * 4 * 3);
  expect(cases.filter((one) => one.flags.length > 0)).toEqual([]);
  // Not everything can pass: a shorter dose says so.
  expect(cases.filter((one) => one.change === 'breathless' && one.tooShort).length).toBeGreaterThan(100);
});

test('a mark that no dose can give is flagged at every age', () => {
  const drill = catalogue.find((one) => one.id === 'line-hops')!;
  const steps = drill.steps.filter((step) => step.doses['13-16'].kind === 'timed');
  const own = {
    ...drill,
    id: 'own-hops',
    steps: steps.map((step) => ({ ...step, gate: { result: 500, days: 1 } })),
  };
  const cases = goalCases(makeBook({ ...plainContents, own: [own] }, ''));
  const written = cases.filter((one) => one.drillId === 'own-hops' && one.change === '');
  expect(written).toHaveLength(4 * steps.length);
  for (const one of written) expect(one.flags).toContain('cannot be passed as written');
});
