import { catalogue } from '@/drills';
import { check } from '@/schemas/check';
import { drillSchema } from '@/schemas/drill';
import { measures, type Measure } from '@/core/counting/measure';
import { draftOf, draftStep, drillOf, emptyDrill, emptyStep, kindFor, measuredBy, type Draft } from './draft';
import { upgradedDraft } from './old-draft';

const problems = (drill: unknown) => {
  const checked = check(drillSchema, drill);
  return checked.ok ? [] : checked.problems.map((one) => `${one.field}: ${one.message}`);
};
/** What is left open in a form is left out of a drill. */
const plain = (value: unknown) => JSON.parse(JSON.stringify(value)) as unknown;

test.each(catalogue.map((drill) => [drill.id, drill] as const))(
  '%s goes into the form and comes out the same',
  (_id, drill) => {
    expect(plain(drillOf(draftOf(drill)))).toEqual(plain(drill));
  },
);

test('an empty drill says what is missing, all of it', () => {
  const said = problems(drillOf(draftOf(emptyDrill()))).join('\n');
  for (const field of ['title: Title is empty', 'steps[0].task: Task is empty', 'steps[0].cue: Cue is empty'])
    expect(said).toContain(field);
});

test.each(Object.keys(measures) as Measure[])(
  'four things are enough, counted by %s: the rest has beginnings, and it is for what is done in it',
  (measure) => {
    const draft = { ...draftOf(emptyDrill()), title: 'Wall ghosts' };
    draft.steps[0] = { ...measuredBy(draft.steps[0]!, measure), task: 'Play slowly.', cue: 'Float.' };
    const drill = drillOf(draft);
    expect(problems(drill)).toEqual([]);
    expect(drill).toMatchObject({ purpose: 'Play slowly.', steps: [{ id: 'first-step', measure }] });
  },
);

test('a step that has a dose of that kind keeps it, and its mark where it has been counted before', () => {
  const [step] = draftOf(catalogue.find((drill) => drill.id === 'palm-up-bounce')!).steps;
  const there = measuredBy(measuredBy(step!, 'row'), step!.measure);
  expect(there.gateResult).toBe(step!.gateResult);
});

test('a drill typed from nothing is sound, its numbers our own, its step named after its title', () => {
  const draft = {
    ...draftOf(emptyDrill()),
    title: 'Wall ghosts',
    purpose: 'Rallies with a ball that is not there, so that the feet come first.',
    setUp: 'Stand four steps from any wall.',
    checkpoints: 'The feet move first.\n\n  The hand follows.  ',
    faults: [
      { fault: 'The feet sleep.', correction: 'Wake them up.', stepBack: true },
      { fault: 'The hand is late. ', correction: 'Start it sooner.', stepBack: false },
    ],
    care: 'Mind the lamp.',
    questions: 'What moved first?',
    homeChallenge: 'Ten ghosts before supper.',
    kit: [
      { count: '2', item: 'ball', per: 'pair', standIns: 'beanbag, rolled socks' },
      { count: '1', item: 'chalk', per: 'station', standIns: '' },
    ],
  };
  draft.steps[0] = {
    ...draft.steps[0]!,
    title: 'Slow ghost!',
    task: 'Play slowly.',
    change: 'The first step: slow.',
    cue: 'Float.',
  };
  const drill = drillOf(draft);
  expect(problems(drill)).toEqual([]);
  expect(drill).toMatchObject({
    checkpoints: ['The feet move first.', 'The hand follows.'],
    faults: [
      { fault: 'The feet sleep.', correction: 'Wake them up.', stepBack: true },
      { fault: 'The hand is late.', correction: 'Start it sooner.', stepBack: false },
    ],
    care: [{ text: 'Mind the lamp.', origin: 'ours' }],
    kit: [
      { item: 'ball', count: 2, per: 'pair', standIns: ['beanbag', 'rolled socks'] },
      { item: 'chalk', count: 1, per: 'station', standIns: [] },
    ],
    steps: [{ id: 'slow-ghost' }],
  });
});

test('a number that was changed is the coach’s own; one that was not keeps where it came from', () => {
  const draft = draftOf(catalogue.find((drill) => drill.id === 'palm-up-bounce')!);
  draft.steps[1] = { ...draft.steps[1]!, perTouchS: '0,6' };
  const drill = drillOf(draft) as unknown as (typeof catalogue)[number];
  expect(drill.steps[1]!.perTouchS).toEqual({ value: 0.6, origin: 'ours' });
  expect(drill.steps[2]!.perTouchS).toMatchObject({ origin: 'practice' });
  draft.steps[2]!.doses['7-9']!.target = '';
  expect(problems(drillOf(draft)).join()).toContain('Dose for 7 to 9: Target must be a whole number');
});

test('steps keep their ids through every change of order and title; new ones never take one that is there', () => {
  const draft = draftOf(catalogue.find((drill) => drill.id === 'carry')!);
  const [first, second] = draft.steps;
  draft.steps = [second!, { ...first!, title: 'Another name' }, { ...draftStep(emptyStep()), title: 'Walk' }];
  const drill = drillOf(draft) as unknown as (typeof catalogue)[number];
  expect(drill.steps.map((step) => step.id)).toEqual(['walk', 'balance-still', 'walk-2']);
});

test('an order of two schools goes when the ladder changes', () => {
  const draft = draftOf(catalogue.find((drill) => drill.id === 'short-ball-approach')!);
  expect(drillOf(draft).orders).toBeDefined();
  expect(drillOf({ ...draft, steps: draft.steps.slice(1) }).orders).toBeUndefined();
});

test('every measure has a kind of dose to begin with', () => {
  for (const measure of Object.keys(measures) as Measure[]) expect(kindFor(measure)).toBeTruthy();
  expect(kindFor('lap')).toBe('course');
});

test('a draft of before things were rows comes back with everything in it', () => {
  const drill = catalogue.find(({ steps }) => steps.some((step) => step.doses['13-16'].kind === 'routine'))!;
  const draft = draftOf(drill);
  const old = {
    ...draft,
    kit: draft.kit
      .map((row) => [row.count, row.item, row.per, row.standIns].filter(Boolean).join(', '))
      .join('\n'),
    faults: draft.faults
      .map(({ fault, correction, stepBack }) => `${fault} = ${correction}${stepBack ? ' !' : ''}`)
      .join('\n'),
    steps: draft.steps.map((step) => ({
      ...step,
      parts: step.parts.map(({ name, partS, sides }) => `${name}, ${partS}, ${sides}`).join('\n'),
      zones: step.zones.map(({ label, points }) => `${label}, ${points}`).join('\n'),
    })),
  };
  expect(upgradedDraft(old as unknown as Draft)).toEqual(draft);
  expect(upgradedDraft(draft)).toEqual(draft);
});
