import { doseProblems } from '@/core/dose/limits';
import type { Measure } from '@/core/counting/measure';
import type { DoseKind } from '@/core/dose/dose';
import { catalogue, neighbourStep } from '.';
import { ageBandOf } from './age-band';
import { ageBands, families, sports } from './types';

const steps = catalogue.flatMap((drill) =>
  drill.steps.map((step) => ({ drill, step, name: `${drill.id}/${step.id}` })),
);

/** Words that tell a child what not to do. */
const negative = /\b(don['’]?t|do not|never|no|not|stop|avoid|without|wrong|bad|can['’]?t)\b/i;
/** The measures the run screen can record, and the doses each makes sense with. */
const dosesOf: Partial<Record<Measure, DoseKind[]>> = {
  row: ['row'],
  count: ['timed'],
  reps: ['reps'],
  points: ['shots'],
  hold: ['hold'],
};

test('covers every family and both sports', () => {
  for (const family of families) expect(catalogue.some((drill) => drill.family === family)).toBe(true);
  for (const family of ['feet', 'touch', 'wall', 'stroke'])
    expect(catalogue.filter((drill) => drill.family === family).length).toBeGreaterThanOrEqual(2);
  expect(catalogue.filter((drill) => drill.sports.includes('table tennis')).length).toBeGreaterThanOrEqual(4);
  expect(catalogue.filter((drill) => drill.sports.includes(sports[0])).length).toBeGreaterThanOrEqual(4);
  expect(catalogue.length).toBeGreaterThanOrEqual(12);
});

test('names are unique', () => {
  expect(new Set(catalogue.map((drill) => drill.id)).size).toBe(catalogue.length);
  expect(new Set(catalogue.map((drill) => drill.title)).size).toBe(catalogue.length);
  expect(new Set(steps.map(({ name }) => name)).size).toBe(steps.length);
});

test.each(catalogue.map((drill) => [drill.id, drill] as const))('%s is full and in bounds', (_id, drill) => {
  expect(drill.checkpoints.length).toBeGreaterThanOrEqual(2);
  expect(drill.checkpoints.length).toBeLessThanOrEqual(5);
  expect(drill.recap.questions.length).toBeGreaterThanOrEqual(1);
  expect(drill.recap.questions.length).toBeLessThanOrEqual(2);
  expect(drill.steps.length).toBeGreaterThanOrEqual(2);
  expect(drill.faults.length).toBeGreaterThanOrEqual(1);
  expect(drill.care.length).toBeGreaterThanOrEqual(1);
  expect(drill.ages.from).toBeLessThan(drill.ages.to);
  expect(drill.players.min).toBeLessThanOrEqual(drill.players.max);
  for (const text of [drill.purpose, drill.setUp, drill.recap.homeChallenge, ...drill.checkpoints])
    expect(text).toMatch(/[.?!]$/);
});

test.each(steps.map(({ drill, step, name }) => [name, drill, step] as const))(
  '%s can be dosed, run and judged',
  (_name, drill, step) => {
    const kinds = dosesOf[step.measure];
    expect(kinds).toBeDefined();
    for (const band of ageBands) {
      expect(doseProblems(step.doses[band])).toEqual([]);
      expect(kinds).toContain(step.doses[band].kind);
    }
    expect(step.perTouchS.value).toBeGreaterThan(0);
    expect(step.dropCostS.value).toBeGreaterThanOrEqual(0);
    expect(step.usualRate.value).toBeGreaterThan(0);
    expect(step.usualRate.value).toBeLessThanOrEqual(1);
    expect(step.gate.days).toBeGreaterThanOrEqual(1);
    expect(step.cue).not.toMatch(negative);
    expect(step.cue.length).toBeLessThanOrEqual(70);
    expect(Boolean(step.zones)).toBe(step.measure === 'points');
    // A gate of points must be within what the shots can give, and not the very most.
    const dose = step.doses['13-16'];
    if (step.zones && dose.kind === 'shots')
      expect(step.gate.result).toBeLessThan(dose.shots * step.zones[0]!.points);
    expect(drill.steps.indexOf(step)).toBeGreaterThanOrEqual(0);
  },
);

test('the ladder is walked one step at a time and ends at its ends', () => {
  const drill = catalogue[0]!;
  const [first, second] = drill.steps;
  expect(neighbourStep(drill, first!.id, 1)).toBe(second);
  expect(neighbourStep(drill, first!.id, -1)).toBe(first);
  expect(neighbourStep(drill, drill.steps.at(-1)!.id, 1)).toBe(drill.steps.at(-1));
});

test.each([
  [3, '4-6'],
  [6, '4-6'],
  [7, '7-9'],
  [9, '7-9'],
  [10, '10-12'],
  [12, '10-12'],
  [13, '13-16'],
  [40, '13-16'],
])('age %d is in band %s', (age, band) => expect(ageBandOf(age)).toBe(band));
