import { measures } from '@/core/counting/measure';
import { doseTime } from '@/core/dose/time';
import { routineStretches } from '@/core/dose/dose';
import { clapRate, tossForClaps } from '@/core/ballistics/tap/toss';
import { callSets } from '@/core/counting/call-sets';
import { goalsOf, markFor } from '@/session/base/goals';
import { alone, paceOn } from '@/session/base/pace';
import { catalogue } from '.';
import before from './testing/ids-before.json';
import { findCard } from './base/cards';
import { schoolQuestions } from './base/school-words';
import { questionsOf, underSchools, type Answers } from './base/schools';
import { ageBands, checkpointQuestions } from './base/types';

/*
 * The rules the catalogue is written under, each as a test. They are common practice of the trade unless a comment says
 * otherwise.
 */
const steps = catalogue.flatMap((drill) =>
  drill.steps.map((step) => ({ name: `${drill.id}/${step.id}`, drill, step })),
);
const drillOf = (id: string) => catalogue.find((one) => one.id === id)!;
const stepOf = (drillId: string, stepId: string) => drillOf(drillId).steps.find(({ id }) => id === stepId)!;
const agesOf = { '4-6': 5, '7-9': 8, '10-12': 11, '13-16': 15 } as const;

/** A mark asks for at most this many times what a row's dose asks for. Ours. */
const mostOverDose = 1.5;

test('every step that a book of before may hold is still there, under the id it had', () => {
  const gone = Object.entries(before).flatMap(([drillId, ids]) =>
    ids.flatMap((id) =>
      catalogue.some((one) => one.id === drillId && one.steps.some((step) => step.id === id))
        ? []
        : [`${drillId}/${id}`],
    ),
  );
  expect(gone).toEqual([]);
  expect(Object.values(before).flat()).toHaveLength(280);
});

describe('marks and aims', () => {
  test.each(steps)(
    '$name: a mark is never above what its dose can give, a row’s near its target',
    ({ step }) => {
      const wrong = ageBands.flatMap((band) => {
        const dose = step.doses[band];
        const { result } = markFor(step, band);
        const { aim, most } = goalsOf({ step, dose }, agesOf[band]);
        const { lowerIsBetter } = measures[step.measure];
        return [
          ...(lowerIsBetter || result <= most ? [] : [`${band}: mark ${result}, at most ${most}`]),
          ...(lowerIsBetter || aim <= most ? [] : [`${band}: aim ${aim}, at most ${most}`]),
          ...(dose.kind === 'row' && (result < dose.target || result > mostOverDose * dose.target)
            ? [`${band}: mark ${result} for a row of ${dose.target}`]
            : []),
        ];
      });
      expect(wrong).toEqual([]);
    },
  );

  test.each(steps)('$name: an older age is never asked for less', ({ step }) => {
    if (measures[step.measure].lowerIsBetter) return;
    const marks = ageBands.map((band) => markFor(step, band).result);
    expect(marks).toEqual([...marks].sort((a, b) => a - b));
  });
});

describe('what is looked at', () => {
  const words = (id: string) => {
    const { purpose, setUp, checkpoints, faults, steps: ladder } = drillOf(id);
    return [
      purpose,
      setUp,
      ...checkpoints,
      ...faults.map((one) => one.correction),
      ...ladder.map((one) => one.task),
    ];
  };

  test('nobody bounces a ball at the belt: the racket is at the navel, the ball a little above it', () => {
    for (const id of ['palm-up-bounce', 'knuckle-up-bounce', 'touch-routine']) {
      expect(words(id).join(' ')).toContain('navel');
      expect(words(id).join(' ')).not.toMatch(/\bbelt\b/);
    }
  });

  test('catching the lob is judged by the feet; whether it was caught stands beside it', () => {
    const lob = stepOf('retreat-for-the-high-ball', 'catch-the-lob');
    expect(lob.measure).toBe('grade');
    expect(lob.zones!.map(({ label }) => label).join()).toMatch(/steps/i);
    expect(lob.beside).toMatchObject({ question: 'Caught it' });
  });

  test('which sense told the quiet catch is noted with every grade', () => {
    const quiet = steps.filter(({ step }) => step.zones?.some(({ label }) => label === 'Silent'));
    expect(quiet.length).toBeGreaterThan(6);
    for (const { step } of quiet) expect(step.beside?.answers).toEqual(['ear', 'feel', 'eye']);
  });

  test('ready before the bounce stands beside hit or miss where balls are fed', () => {
    const asked = steps.filter(({ step }) => step.beside?.question === 'Ready before the bounce');
    expect(new Set(asked.map(({ drill }) => drill.id)).size).toBeGreaterThanOrEqual(3);
    for (const { drill } of asked) expect(drill.feed.how).not.toBe('none');
  });

  test.each(steps.filter(({ step }) => step.beside))('$name: two to four short answers', ({ step }) => {
    const { question, answers } = step.beside!;
    expect(question).toMatch(/^[A-Z][^:?]*$/);
    expect(new Set(answers).size).toBe(answers.length);
  });
});

describe('routines', () => {
  const routines = steps.flatMap(({ name, step }) => {
    const dose = step.doses['13-16'];
    return dose.kind === 'routine' ? [{ name, step, dose }] : [];
  });

  test.each(routines)('$name: its parts are steps there are', ({ dose }) => {
    const lost = dose.parts.flatMap(({ of }) => {
      const [drillId, stepId] = of?.split('/') ?? [];
      return of === undefined ||
        catalogue.some(({ id, steps: own }) => id === drillId && own.some((one) => one.id === stepId))
        ? []
        : [of];
    });
    expect(lost).toEqual([]);
  });

  test('they mix drills, and are done, counted together, or go by their weakest part', () => {
    const mixed = routines.filter(
      ({ dose }) => new Set(dose.parts.map(({ of }) => of?.split('/')[0])).size > 1,
    );
    expect(mixed.length).toBeGreaterThanOrEqual(3);
    expect(new Set(routines.map(({ step }) => step.measure))).toEqual(
      new Set(['reps', 'count', 'weakest part']),
    );
    for (const { step, dose } of routines) expect(dose.counted === true).toBe(step.measure !== 'reps');
  });

  test('the eight spacing patterns, in one go', () => {
    const dose = stepOf('spacing-round', 'all-eight').doses['10-12'];
    expect(dose.kind === 'routine' && routineStretches(dose).length).toBe(8);
  });
});

test('a spacing pattern is a habit after about 2,000, and no number moves on from it', () => {
  const patterns = ['spacing-closed', 'spacing-open'].flatMap((id) =>
    drillOf(id).steps.filter(({ calls }) => !calls),
  );
  expect(patterns).toHaveLength(8);
  for (const { habit } of patterns) expect(habit).toEqual({ reps: 2000, origin: 'practice' });
});

test('laps are counted in the parts they have: corners, markers, halves', () => {
  for (const { step, name } of steps)
    if (step.measure === 'laps') expect([name, step.lapParts?.parts]).toEqual([name, expect.any(Number)]);
  expect(stepOf('triangle-run', 'twenty-seconds').lapParts).toEqual({ parts: 3, noun: 'corner' });
});

describe('what hangs on the child', () => {
  /** Metres a step fixes, in figures or in words. */
  const metres = /\b(?:\d+(?:\.\d+)?|one|two|three|four|five|six|nine|half a) met(?:re|res)\b/;

  test('where the distance to a target is worked out by age, no step fixes another one', () => {
    const fitted = catalogue.filter(({ fit }) => fit.includes('targetM'));
    expect(fitted.length).toBeGreaterThanOrEqual(3);
    for (const { id, steps: own } of fitted)
      expect([
        id,
        own.filter(({ task, change, title }) => metres.test(`${title} ${task} ${change}`)),
      ]).toEqual([id, []]);
    expect(metres.test('The same from three metres.')).toBe(true);
  });

  test('claps grow one by one to five, then one hand, the other, one leg and the other', () => {
    expect(drillOf('clap-and-catch').steps.map(({ claps }) => claps)).toEqual([1, 2, 3, 4, 5, 5, 5, 5, 5]);
    // A child of five claps slower than one of twelve, so the same claps need a higher toss.
    const toss = (age: number) => tossForClaps('yellow', 3, clapRate(age)).heightM;
    expect(toss(5)).toBeGreaterThan(toss(12));
  });

  test('contact is further than the free arm with a racket, and the card says so', () => {
    expect(findCard('spacing-gauge')!.points.join(' ')).toContain('beyond the fingertips');
  });
});

describe('schools', () => {
  const defaults = Object.fromEntries(
    Object.entries(schoolQuestions).map(([key, { answers }]) => [key, answers[0]]),
  ) as unknown as Answers;
  const looksAt = (id: string, more: Partial<Answers> = {}) =>
    underSchools(drillOf(id), { ...defaults, ...more }).checkpoints.join(' ');

  test.each(checkpointQuestions)('%s: every answer has checkpoints, in a drill that asks it', (question) => {
    const asking = catalogue.filter((drill) => questionsOf(drill).includes(question));
    expect(asking.length).toBeGreaterThan(0);
    for (const drill of asking) {
      const said = schoolQuestions[question].answers.map((answer) =>
        looksAt(drill.id, { [question]: answer }),
      );
      expect(new Set(said).size).toBe(said.length);
    }
  });

  test('hips stay square for all four balls of the star, unless the school turns them', () => {
    expect(looksAt('star-of-four')).toContain('square to the net for all four');
    expect(looksAt('star-of-four', { ballBehind: 'turned' })).toContain('hips turn first');
  });

  test('a racket can go back straight, in a loop, or in a C', () => {
    for (const id of ['shadow-forehand', 'shadow-backhand'])
      expect(looksAt(id, { takeBack: 'in a C' })).toContain('writes a C');
  });
});

test('a colour is a side, hand and foot, and one call lets the ball through', () => {
  expect(callSets['colours and none'].map(({ word }) => word)).toEqual([
    'red hand',
    'blue hand',
    'red foot',
    'blue foot',
    'let it through',
  ]);
  const words = drillOf('colour-call')
    .steps.map(({ task }) => task)
    .join(' ');
  for (const word of ['red hand', 'blue hand', 'blue foot', 'let it through'])
    expect(words.toLowerCase()).toContain(word);
});

test('star jumps fill up to a minute, two landings each', () => {
  const drill = drillOf('line-hops');
  const step = stepOf('line-hops', 'star-jumps');
  expect(
    ageBands.map((band) => doseTime(step.doses[band], paceOn(drill, step, alone(agesOf[band]))).workS),
  ).toEqual([20, 30, 45, 60]);
  expect(step.load.contacts).toBe(2);
});

test('chest-high drops are hit one after the other and counted each', () => {
  expect(stepOf('fast-hand', 'chest-high-toss')).toMatchObject({
    task: expect.stringContaining('one after the other'),
    doses: { '13-16': { reps: 7 } },
  });
});

test('a row is two at least, whatever the age: one touch is no row', () => {
  for (const { drill, step } of catalogue.flatMap((drill) => drill.steps.map((step) => ({ drill, step }))))
    for (const dose of Object.values(step.doses))
      if (dose.kind === 'row')
        expect([drill.id, step.id, dose.target >= 2]).toEqual([drill.id, step.id, true]);
});
