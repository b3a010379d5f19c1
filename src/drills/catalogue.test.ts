import { sessionCap } from '@/core/care/limits';
import { loadOf } from '@/core/dose/load';
import { doseTime } from '@/core/dose/time';
import { fitsHere } from '@/core/venues/fits';
import type { Origin } from '@/core/base/origin';
import { kit, places } from '@/demo/house';
import { dosesOf, drillSchema } from '@/schemas/drill';
import { check } from '@/schemas/check';
import { catalogue, neighbourStep, stepAfter } from '.';
import { ageBandOf } from './base/age-band';
import { cards, findCard } from './base/cards';
import { goalsOf } from '@/session/base/goals';
import { atHand, isKitThing } from './base/kit';
import { alone, paceOn } from '@/session/base/pace';
import { readingGrade } from './testing/reading';
import { ageBands, families, sports, type AgeBand, type Drill } from './base/types';

const steps = catalogue.flatMap((drill) =>
  drill.steps.map((step) => ({ drill, step, name: `${drill.id}/${step.id}` })),
);
const perDrill = catalogue.map((drill) => [drill.id, drill] as const);
const perStep = steps.map(({ name, drill, step }) => [name, drill, step] as const);
/** The oldest of each band: the most a band may do. */
const oldest: Record<AgeBand, number> = { '4-6': 6, '7-9': 9, '10-12': 12, '13-16': 16 };

/** Words that tell a child what not to do. */
const negative =
  /\b(don['’]?t|do not|never|no|not|nothing|stop|avoid|without|wrong|bad|can['’]?t|cannot|less|nobody|none|mustn['’]?t|fail|miss)\b/i;
/** Cues with such a word that were read and are positive all the same: what to do, said with a stop in it. */
const reviewed = new Map([
  ['soft-catch/rehearse', '“stop like one”: stopping is what the racket does'],
  ['gate-roll/with-the-hand', '“Stop, turn, roll.”: stopping the ball is the first thing to do'],
  ['star-of-four/with-a-swing', '“Stop, swing, and only then go home.”: the stop is the skill'],
]);

test('it holds what the work needs: 75 drills, 320 steps, both sports, every family', () => {
  expect(catalogue.length).toBeGreaterThanOrEqual(75);
  expect(steps.length).toBeGreaterThanOrEqual(320);
  for (const family of families)
    expect(catalogue.filter((drill) => drill.family === family).length).toBeGreaterThanOrEqual(3);
  for (const sport of sports)
    expect(catalogue.filter((drill) => drill.sports.includes(sport)).length).toBeGreaterThanOrEqual(30);
  expect(cards.map((card) => card.id)).toEqual([
    'ready-position',
    'finding-the-grip',
    'spacing-gauge',
    'helpers-feeding-card',
    'many-ball-card',
    'one-error-card',
    'signs-of-pressure',
  ]);
});

test('names are unique, and every reviewed exception still needs its review', () => {
  const unique = (names: readonly string[]) => expect(new Set(names).size).toBe(names.length);
  unique(catalogue.map((drill) => drill.id));
  unique(catalogue.map((drill) => drill.title));
  unique(steps.map(({ name }) => name));
  for (const exception of reviewed.keys())
    expect(steps.find(({ name }) => name === exception)?.step.cue).toMatch(negative);
  // A cue is a sentence of its own; two steps never say the same within a drill.
  for (const drill of catalogue) {
    unique(drill.steps.map((step) => step.cue));
    unique(drill.steps.map((step) => step.change));
  }
});

test.each(perDrill)('%s passes the schema that own drills pass', (_id, drill) => {
  const checked = check(drillSchema, drill);
  expect(checked.ok ? [] : checked.problems).toEqual([]);
});

test.each(perDrill)('%s: every reference resolves', (_id, drill) => {
  for (const need of drill.kit)
    for (const item of [need.item, ...need.standIns]) expect([item, isKitThing(item)]).toEqual([item, true]);
  for (const card of drill.cards) expect(findCard(card)).toBeDefined();
  const ids = drill.steps.map((step) => step.id).sort();
  for (const order of ['swing first', 'feet first'] as const)
    if (drill.orders) expect([...drill.orders[order]].sort()).toEqual(ids);
});

test.each(perDrill)('%s: every step is reached, one up at a time from the bottom', (_id, drill) => {
  const walked = [drill.steps[0]!.id];
  while (stepAfter(drill, walked.at(-1)!, 'up').id !== walked.at(-1))
    walked.push(stepAfter(drill, walked.at(-1)!, 'up').id);
  expect(walked).toEqual(drill.steps.map((step) => step.id));
});

test.each(perDrill)('%s fits a place of the demo with its kit', (_id, drill) => {
  const counts = atHand(kit as Record<string, number>);
  const group = Math.max(drill.players.min, 2);
  const fits = places.map((place) => fitsHere(drill, group, 1, place as never, counts).text);
  expect(fits).toContainEqual(expect.stringMatching(/^fits/));
});

test.each(perDrill)('%s reads as plain sentences, at the level of a child of the age', (_id, drill) => {
  const said = [
    drill.recap.homeChallenge,
    ...drill.recap.questions,
    ...drill.steps.flatMap((s) => [s.task, s.cue]),
  ];
  // Grade 6 is about eleven years; the coach reads the rest.
  expect(readingGrade(said.join(' '))).toBeLessThan(6.5);
  for (const text of [
    drill.purpose,
    drill.setUp,
    drill.recap.homeChallenge,
    ...drill.checkpoints,
    ...drill.recap.questions,
  ]) {
    expect(text).toMatch(/^[A-Z“].*[.?!]$/);
    expect(text.split(/\s+/).length).toBeGreaterThanOrEqual(3);
  }
  expect(drill.purpose.length).toBeGreaterThanOrEqual(60);
  expect(drill.recap.homeChallenge.split(/\s+/).length).toBeLessThanOrEqual(24);
});

test.each(perStep)('%s: the cue is positive and short', (name, _drill, step) => {
  expect(step.cue).toMatch(/^[A-Z].*[.?!]$/);
  expect(step.cue.split(/\s+/).length).toBeLessThanOrEqual(12);
  if (!reviewed.has(name)) expect(step.cue).not.toMatch(negative);
});

/** Names one side of the body alone, as if everybody were right-handed; both sides in turn are for everybody. */
const oneSided = (text: string): boolean =>
  /\b(?:left|right) (?:foot|hand|leg|arm|side|marker)\b/i.test(text) &&
  !(/\bleft\b/i.test(text) && /\bright\b/i.test(text));

test.each(catalogue)(
  '$id: what hangs on the hand is said by the racket hand, not by left or right',
  (drill) => {
    const texts = [
      ...[drill.purpose, drill.setUp, ...drill.checkpoints],
      ...drill.faults.flatMap(({ fault, correction }) => [fault, correction]),
      ...drill.steps.flatMap(({ task, change, cue }) => [task, change, cue]),
    ];
    expect(texts.filter(oneSided)).toEqual([]);
    expect(oneSided('Step in on the right foot.')).toBe(true);
  },
);

test('the word list would catch a negative cue', () => {
  for (const cue of ['Don’t drop it.', 'Never look down.', 'Without bouncing.', 'Do not rush.'])
    expect(cue).toMatch(negative);
});

/** An age in each band, years. */
const agesOf = { '4-6': 5, '7-9': 8, '10-12': 11, '13-16': 15 } as const;

test.each(perStep)(
  '%s can be dosed, run, judged, and told apart from the step below',
  (_name, drill, step) => {
    const kinds = dosesOf[step.measure];
    for (const band of ageBands) {
      const dose = step.doses[band];
      expect(kinds).toContain(dose.kind);
      const { mark, most, tooShort } = goalsOf({ step, dose }, agesOf[band]);
      expect(mark.result).toBeGreaterThan(0);
      // As it is written, the dose of an age shows the mark of that age.
      expect(tooShort ? `at ${band} the dose gives ${most}, the mark is ${mark.result}` : 'it can pass').toBe(
        'it can pass',
      );
    }
    expect(Boolean(step.zones)).toBe(step.measure === 'points' || step.measure === 'grade');
    // The zones a coach taps: the best first.
    const points = step.zones?.map((zone) => zone.points) ?? [];
    expect(points).toEqual([...points].sort((a, b) => b - a));
    expect(step.change.split(/\s+/).length).toBeGreaterThanOrEqual(3);
    expect(drill.steps.indexOf(step) === 0 || !/^The first step/.test(step.change)).toBe(true);
  },
);

test.each(perStep)(
  '%s: doses grow with age, take from half a minute to eight, and stay inside the care limits',
  (_name, drill, step) => {
    const works: number[] = [];
    const wrong = ageBands.flatMap((band) => {
      const time = doseTime(step.doses[band], paceOn(drill, step, alone(oldest[band])));
      works.push(time.tries);
      const load = loadOf(step.load, time.tries);
      const at = (said: string) => `at ${band} years ${said}`;
      return [
        ...(time.totalS > 30 && time.totalS < 480
          ? []
          : [at(`it takes ${Math.round(time.totalS)} s; wanted are 30 to 480`)]),
        ...(['contacts', 'overheads', 'forearm'] as const).flatMap((what) => {
          const cap = sessionCap(oldest[band], what);
          return load[what] <= cap
            ? []
            : [at(`it loads ${Math.round(load[what])} ${what}; the line is ${cap}`)];
        }),
        ...(step.limit && time.tries > step.limit.triesASession
          ? [at(`it is ${Math.round(time.tries)} tries; its own limit is ${step.limit.triesASession}`)]
          : []),
      ];
    });
    if (works[3]! < works[0]! - 1e-9)
      wrong.push(`at 13-16 years it is ${works[3]} tries, fewer than the ${works[0]} at 4-6`);
    expect(wrong).toEqual([]);
  },
);

test('every number says where it comes from', () => {
  const known: Origin[] = ['published', 'practice', 'ours', 'memory'];
  const seen = new Set<Origin>();
  const note = (origin: Origin) => {
    expect(known).toContain(origin);
    seen.add(origin);
  };
  for (const { drill, step } of steps) {
    for (const sourced of [step.perTouchS, step.dropCostS, step.usualRate, drill.setUpS, drill.changeoverS]) {
      note(sourced.origin);
      expect(sourced.value).toBeGreaterThanOrEqual(0);
    }
    for (const origin of [step.gateOrigin, step.doseOrigin, ...drill.care.map((one) => one.origin)])
      note(origin);
    // Nothing here was looked up: a published value would name its source in a note.
    if (step.perTouchS.origin === 'published') expect(step.perTouchS.note).toBeTruthy();
  }
  expect([...seen].sort()).toEqual(['ours', 'practice']);
});

describe('facts of the trade (common practice)', () => {
  const step = (drillId: string, stepId: string) =>
    catalogue.find((drill) => drill.id === drillId)!.steps.find((one) => one.id === stepId)!;
  test('growing hops up to six: 42 on two lines, 63 on three', () => {
    for (const [id, tries] of [
      ['two-lines', 42],
      ['three-lines', 63],
    ] as const) {
      const drill = catalogue.find((one) => one.id === 'growing-hops')!;
      const { doses } = step('growing-hops', id);
      expect(doseTime(doses['13-16'], paceOn(drill, step('growing-hops', id), alone(15))).tries).toBe(tries);
    }
  });
  test('a star jump is two landings: out, and in again', () => {
    const { load } = catalogue
      .find(({ id }) => id === 'line-hops')!
      .steps.find(({ id }) => id === 'star-jumps')!;
    expect(loadOf(load, 20)).toMatchObject({ tries: 20, contacts: 40 });
  });

  test('ring target 10, 5, 1, 0 and ten shots; square target 10, 5, 0 and three balls a go', () => {
    const rings = step('ring-target', 'underarm-throw');
    expect(rings.zones!.map((zone) => zone.points)).toEqual([10, 5, 1, 0]);
    expect(rings.doses['13-16']).toMatchObject({ shots: 10 });
    const square = step('square-target', 'by-hand');
    expect(square.zones!.map((zone) => zone.points)).toEqual([10, 5, 0]);
    expect(square.doses['13-16']).toMatchObject({ ballsAtHand: 3 });
  });
  test('heavy balls: at most 15 a session, at least 7 days apart, and here 21 and not for children', () => {
    const { limit } = step('fast-hand', 'heavy-balls');
    expect(limit!.triesASession).toBeLessThanOrEqual(15);
    expect(limit!.daysApart).toBeGreaterThanOrEqual(7);
    expect(limit).toMatchObject({ daysApart: 21, fromAge: 17 });
  });
  test('what must be warm: fast hands load the forearm, serves the shoulder', () => {
    const loads = (id: string) => catalogue.find((drill) => drill.id === id)!.steps.map((one) => one.load);
    expect(loads('fast-hand').every((load) => load.forearm > 0)).toBe(true);
    expect(loads('shadow-serve').every((load) => load.overheads > 0)).toBe(true);
    expect(loads('line-hops').every((load) => load.contacts >= 1)).toBe(true);
  });
  test('the high ball comes feet first, the short one swing first', () => {
    const usual = (id: string) => catalogue.find((drill) => drill.id === id)!.orders!.usual;
    expect([usual('retreat-for-the-high-ball'), usual('short-ball-approach')]).toEqual([
      'feet first',
      'swing first',
    ]);
  });
});

test('the ladder is walked one step at a time and ends at its ends', () => {
  const drill = catalogue[0]!;
  const [first, second] = drill.steps;
  expect(neighbourStep(drill, first!.id, 1)).toBe(second);
  expect(neighbourStep(drill, first!.id, -1)).toBe(first);
  expect(neighbourStep(drill, drill.steps.at(-1)!.id, 1)).toBe(drill.steps.at(-1));
  expect(() => neighbourStep({ ...drill, steps: [] } as Drill, 'x', 1)).toThrow('no steps');
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

test.each(cards.map((card) => [card.id, card] as const))('the card %s is full and positive', (_id, card) => {
  expect(card.points.length).toBeGreaterThanOrEqual(3);
  expect(card.cue).not.toMatch(negative);
  for (const point of card.points) expect(point).toMatch(/^[A-Z].*\.$/);
});
