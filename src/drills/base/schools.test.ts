import fc from 'fast-check';
import { makeBook, plainBook, plainContents, catalogue } from '@/drills';
import { schoolQuestions } from './school-words';
import { acting, questions, questionsOf, underSchools, type Answers, type SchoolChoice } from './schools';

const defaults = Object.fromEntries(questions.map((q) => [q, schoolQuestions[q].answers[0]])) as Answers;
const drill = (id: string) => catalogue.find((one) => one.id === id)!;
const under = (id: string, answers: Partial<Answers>) => underSchools(drill(id), { ...defaults, ...answers });
const ids = (id: string, order: string) => under(id, { order }).steps.map((step) => step.id);

test('the default leaves every drill’s steps, doses and gates as they are written', () => {
  for (const one of catalogue) {
    const same = underSchools(one, defaults);
    expect(new Set(same.steps.map((step) => step.id))).toEqual(new Set(one.steps.map((step) => step.id)));
    for (const step of one.steps) expect(same.steps.find((other) => other.id === step.id)).toEqual(step);
  }
});

describe('what comes first', () => {
  test('feet first for the high ball, where moving wrong is a hazard; swing first for the short one', () => {
    expect(ids('retreat-for-the-high-ball', 'as the drill says')[0]).toBe('turn-and-go');
    expect(ids('short-ball-approach', 'as the drill says')[0]).toBe('contact-spot');
  });
  test('a coach may turn both round, and every step stays on the ladder', () => {
    expect(ids('retreat-for-the-high-ball', 'swing first')[0]).toBe('smash-pose');
    expect(ids('short-ball-approach', 'feet first')[0]).toBe('one-step');
    expect(new Set(ids('short-ball-approach', 'feet first'))).toEqual(
      new Set(drill('short-ball-approach').steps.map((step) => step.id)),
    );
  });
});

describe('how long a stretch is held', () => {
  const reach = (stretch: string) => {
    const { doses } = under('shoulder-and-side', { stretch }).steps.find(
      (step) => step.id === 'standing-series',
    )!;
    const dose = doses['13-16'];
    return dose.kind === 'routine' ? dose.parts.map((part) => part.partS) : [];
  };
  test('is set, not multiplied: what is held takes the school’s seconds, shorter parts stay', () => {
    expect(reach('10 s')).toEqual([10, 10, 5, 5, 5]);
    expect(reach('5 s')).toEqual([5, 5, 5, 5, 5]);
    expect(reach('15 s')).toEqual([15, 15, 5, 5, 5]);
  });
  test('a held stretch takes its mark along', () => {
    const stretch = under('wrist-and-forearm', { stretch: '15 s' }).steps.find(
      (step) => step.id === 'easy-stretch',
    )!;
    for (const dose of Object.values(stretch.doses)) expect(dose).toMatchObject({ holdS: 15 });
    expect(stretch.gate.result).toBe(15);
    // Work against a band is no stretch.
    const band = under('wrist-and-forearm', { stretch: '15 s' }).steps.find(
      (step) => step.id === 'band-outwards',
    )!;
    expect(band.doses['13-16']).toMatchObject({ holdS: 20 });
  });
});

test('backhand and take-back bring their checkpoints, two to five in all', () => {
  const two = under('shadow-backhand', { backhand: 'two hands', takeBack: 'looped' });
  expect(two.checkpoints.join(' ')).toContain('Both hands stay on');
  expect(two.checkpoints.join(' ')).toContain('in a loop');
  expect(two.hold).toBe('two-hand backhand');
  const one = under('shadow-backhand', { backhand: 'one hand' });
  expect(one.checkpoints.join(' ')).toContain('free hand lets go');
  expect(one.checkpoints.join(' ')).not.toContain('Both hands stay on');
  expect(one.hold).toBe('one-hand backhand');
  expect(one.checkpoints.length).toBeLessThanOrEqual(5);
});

test('another scoring keeps the gate’s share of the most that can be scored', () => {
  const written = drill('ring-target').steps[0]!;
  const one = under('ring-target', { targetScoring: 'one if it lands' }).steps[0]!;
  expect(one.zones!.map((zone) => zone.points)).toEqual([1, 0]);
  expect(one.gate.result).toBe(Math.round(written.gate.result / 10));
  // A step that is no target on the floor keeps its own.
  const spin = under('spin-on-the-floor', { targetScoring: 'one if it lands' }).steps[0]!;
  expect(spin.zones).toEqual(drill('spin-on-the-floor').steps[0]!.zones);
});

test('bounce and drop rules follow; a drill without a bounce rule gets none', () => {
  expect(under('ring-target', { bounceRule: 'must stay in' }).bounceRule).toBe('must stay in');
  expect(under('juggling', { bounceRule: 'must stay in' }).bounceRule).toBeUndefined();
  expect(under('triangle-run', {}).dropRule).toBe('back to the start');
  expect(under('triangle-run', { dropRule: 'go on from the spot' }).dropRule).toBe('go on from the spot');
});

describe('who decides', () => {
  const choice = (scope: SchoolChoice['scope'], key: string, answer: string): SchoolChoice => ({
    scope,
    key,
    question: 'backhand',
    answer,
  });
  const who = { coach: 'Ferrow', drillId: 'shadow-backhand', playerId: 'mika' };
  test.each<[string, SchoolChoice[], string, string]>([
    ['nobody', [], 'two hands', 'default'],
    ['every coach', [choice('coach', '', 'one hand')], 'one hand', 'coach'],
    [
      'this coach over every coach',
      [choice('coach', '', 'one hand'), choice('coach', 'Ferrow', 'two hands')],
      'two hands',
      'coach',
    ],
    [
      'the drill over the coach',
      [choice('coach', '', 'two hands'), choice('drill', 'shadow-backhand', 'one hand')],
      'one hand',
      'drill',
    ],
    [
      'the player over all',
      [choice('drill', 'shadow-backhand', 'two hands'), choice('player', 'mika', 'one hand')],
      'one hand',
      'player',
    ],
    [
      'another’s choice is none',
      [choice('coach', 'Penhollow', 'one hand'), choice('player', 'bo', 'one hand')],
      'two hands',
      'default',
    ],
  ])('%s', (_name, choices, answer, from) => {
    expect(acting(choices, 'backhand', who)).toEqual({ answer, from });
  });

  test('a book gives each player their own form, and everybody else the coach’s', () => {
    const book = makeBook({ ...plainContents, choices: [choice('player', 'mika', 'one hand')] });
    expect(book.drill('shadow-backhand', 'mika')!.hold).toBe('one-hand backhand');
    expect(book.drill('shadow-backhand', 'bo')!.hold).toBe('two-hand backhand');
    expect(book.drill('shadow-backhand')!.hold).toBe('two-hand backhand');
    expect(book.school('backhand', 'shadow-backhand', 'mika').from).toBe('player');
  });
});

test('each question acts on a drill, and its default is its first answer with a reason', () => {
  for (const question of questions) {
    expect(catalogue.some((one) => questionsOf(one).includes(question))).toBe(true);
    expect(schoolQuestions[question].why).toMatch(/\.$/);
  }
});

test('a book holds own drills too; retired ones are found and not offered', () => {
  const own = { ...drill('carry'), id: 'own-1', title: 'Our carry' };
  const book = makeBook({ own: [own], retired: [], choices: [] });
  expect(book.drills).toHaveLength(catalogue.length + 1);
  expect(book.isOwn('own-1')).toBe(true);
  const later = makeBook({ own: [own], retired: ['own-1'], choices: [] });
  expect(later.drills).toHaveLength(catalogue.length);
  expect(later.drill('own-1')?.title).toBe('Our carry');
  expect(plainBook.drill('own-1')).toBeUndefined();
  expect(plainBook.step('carry', 'nowhere')).toBeUndefined();
});

test('under any answers every drill stays sound: ids kept, gates above nothing, doses of the same kind', () => {
  const answers = fc.record(
    Object.fromEntries(questions.map((q) => [q, fc.constantFrom<string>(...schoolQuestions[q].answers)])),
  );
  fc.assert(
    fc.property(answers, fc.constantFrom(...catalogue), (chosen, one) => {
      const changed = underSchools(one, chosen as unknown as Answers);
      expect(changed.steps).toHaveLength(one.steps.length);
      expect(changed.checkpoints.length).toBeLessThanOrEqual(5);
      for (const step of changed.steps) {
        const before = one.steps.find((other) => other.id === step.id)!;
        expect(step.gate.result).toBeGreaterThan(0);
        expect(step.doses['7-9'].kind).toBe(before.doses['7-9'].kind);
      }
    }),
    { numRuns: 300 },
  );
});
