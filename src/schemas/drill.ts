import { fitKeys } from '@/core/players/fit';
import { array, boolean, mixed, number, object, string, type InferType, type Schema } from 'yup';
import { findCard } from '@/drills/base/cards';
import { isKitThing } from '@/drills/base/kit';
import {
  ageBands,
  bounceRules,
  checkpointQuestions,
  dropRules,
  easings,
  families,
  feedHows,
  focuses,
  helpers,
  holds,
  kitPers,
  moves,
  predictabilities,
  spaceNeeds,
  spices,
  sports,
  stances,
  warmths,
  type Drill,
} from '@/drills/base/types';
import { shots, wallLimits } from '@/core/ballistics/wall/setup';
import { callSetNames } from '@/core/counting/call-sets';
import { callPaces } from '@/core/court/calls/schedule';
import { measures, type Measure } from '@/core/counting/measure';
import type { Dose, DoseKind } from '@/core/dose/dose';
import { ownOf } from '@/core/base/own';
import { doseSchema } from './dose';

/*
 * A drill as it is written, imported and kept: the one schema for the catalogue, for own drills, and for files.
 * The published JSON Schema (docs/catalogue.schema.json) says the same to programs.
 */

const text = (name: string, max: number) =>
  string()
    .trim()
    .required(`${name} is empty: write a sentence.`)
    .max(max, `${name} is too long: use at most ${max} letters.`);

const oneOf = <T extends string>(name: string, values: readonly T[]) =>
  string()
    .oneOf(values, `${name} must be one of: ${values.join(', ')}.`)
    .required(`${name} is missing: choose one.`);

const listOf = <T extends string>(name: string, values: readonly T[]) =>
  array()
    .of(oneOf(name, values))
    .required(`${name} is missing: give a list, which may be empty.`)
    .max(values.length, `${name}: one of them is named twice.`)
    .test('once', `${name}: one of them is named twice.`, (list) => new Set(list).size === list?.length);

const within = (name: string, min: number, max: number) =>
  number()
    .typeError(`${name} must be a number.`)
    .required(`${name} is missing: type a number.`)
    .min(min, `${name} must be from ${min} to ${max}.`)
    .max(max, `${name} must be from ${min} to ${max}.`);

const origins = ['published', 'practice', 'ours', 'memory'] as const;
const origin = (name: string) => oneOf(`${name}: origin`, origins);
const sourced = (name: string, min: number, max: number) =>
  object({
    value: within(name, min, max),
    origin: origin(name),
    note: string().max(300, `${name}: note is too long.`),
  });

/** The kinds of dose each measure can be counted under on court. */
export const dosesOf: Readonly<Record<Measure, readonly DoseKind[]>> = {
  row: ['row'],
  count: ['timed', 'routine'],
  'weakest part': ['routine'],
  laps: ['timed'],
  steadiness: ['timed'],
  reps: ['reps', 'growing', 'routine'],
  grade: ['reps'],
  points: ['shots'],
  hold: ['hold'],
  lap: ['course'],
};

const dose = (name: string) => doseSchema(name, true);

const markOf = (name: string) =>
  object({
    result: within(name, 0.1, 1000),
    days: within('Days', 1, 10).integer('Days must be a whole number.'),
  });

const mostSteps = 12;
const stepId = /^[a-z0-9][a-z0-9-]{0,59}$/;

const stepSchema = object({
  id: string()
    .required('Step id is missing.')
    .matches(stepId, 'Step id must be small letters, digits and hyphens, such as row-20.'),
  title: text('Step title', 60),
  task: text('Task', 240),
  change: text('What changed', 200),
  cue: text('Cue', 70),
  measure: oneOf('Measure', Object.keys(measures) as Measure[]),
  gate: markOf('Mark'),
  gateOrigin: origin('Mark'),
  marks: object(
    Object.fromEntries(ageBands.map((band) => [band, markOf(`Mark at ${band}`).default(undefined)])),
  ).default(undefined),
  doses: object({
    '4-6': dose('Dose for 4 to 6'),
    '7-9': dose('Dose for 7 to 9'),
    '10-12': dose('Dose for 10 to 12'),
    '13-16': dose('Dose for 13 to 16'),
  }).required('Doses are missing: one for each age band.'),
  doseOrigin: origin('Dose'),
  perTouchS: sourced('Seconds a touch', 0.1, 120),
  paces: object(
    Object.fromEntries(ageBands.map((band) => [band, within(`Seconds a touch at ${band}`, 0.1, 120)])),
  ).default(undefined),
  dropCostS: sourced('Seconds a drop', 0, 60),
  usualRate: sourced('Usual success', 0.01, 1),
  zones: array()
    .of(object({ label: text('Zone', 30), points: within('Points', 0, 100) }))
    .min(2, 'Zones: give at least two, the best first.')
    .max(6, 'Zones: at most six.')
    .default(undefined),
  target: boolean(),
  stretch: boolean(),
  load: object({
    contacts: within('Landings a try', 0, 20),
    overheads: within('Overhead actions a try', 0, 20),
    forearm: within('Fast forearm actions a try', 0, 20),
    strongSide: within('Share on the strong side', 0, 1),
  }).required('Load is missing.'),
  moves: listOf('Moves', moves),
  limit: object({
    triesASession: within('Tries a session', 1, 500),
    daysApart: within('Days apart', 0, 60),
    fromAge: within('From age', 4, 25),
    origin: origin('Limit'),
  }).default(undefined),
  calls: object({
    set: oneOf('Calls', callSetNames),
    moveS: within('Seconds an answer takes', 0.5, 30),
    pace: oneOf('Pace of the calls', callPaces),
    tossM: number().min(0.2, 'Toss must be from 0.2 to 12 m.').max(12, 'Toss must be from 0.2 to 12 m.'),
    origin: origin('Calls'),
  }).default(undefined),
  rally: object({
    shot: oneOf('Shot of the rally', shots),
    distanceM: within('Distance from the wall', wallLimits.distanceM.min, wallLimits.distanceM.max),
    markM: within('Mark on the wall', wallLimits.targetM.min, wallLimits.targetM.max),
    spinRps: number()
      .min(
        wallLimits.spinRps.min,
        `Spin must be from ${wallLimits.spinRps.min} to ${wallLimits.spinRps.max}.`,
      )
      .max(
        wallLimits.spinRps.max,
        `Spin must be from ${wallLimits.spinRps.min} to ${wallLimits.spinRps.max}.`,
      ),
    each: number()
      .integer('Hits to a touch must be a whole number.')
      .min(1, 'Hits to a touch must be from 1 to 10.')
      .max(10, 'Hits to a touch must be from 1 to 10.'),
  }).default(undefined),
  beside: object({
    question: text('Question beside a mark', 60),
    answers: array()
      .of(text('Answer beside a mark', 16))
      .required('Answers beside a mark are missing: give two to four.')
      .min(2, 'Answers beside a mark: give two to four.')
      .max(4, 'Answers beside a mark: give two to four.'),
  }).default(undefined),
  lapParts: object({
    parts: within('Parts of a lap', 2, 4).integer('Parts of a lap must be a whole number.'),
    noun: text('Part of a lap', 16),
  }).default(undefined),
  claps: number()
    .integer('Claps must be a whole number.')
    .min(1, 'Claps must be from 1 to 9.')
    .max(9, 'Claps must be from 1 to 9.'),
  habit: object({ reps: within('Repetitions to a habit', 100, 10_000), origin: origin('Habit') }).default(
    undefined,
  ),
}).test('doses', (step, context) => {
  const kinds = ageBands.map((band) => (step.doses?.[band] as Dose | undefined)?.kind);
  if (kinds.some((kind) => kind !== kinds[0]))
    return context.createError({
      path: `${context.path}.doses`,
      message: `${step.title}: all four doses must be of one kind.`,
    });
  const fitting = ownOf(dosesOf, step.measure);
  if (fitting && kinds[0] && !fitting.includes(kinds[0]))
    return context.createError({
      path: `${context.path}.doses`,
      message: `${step.title}: ${step.measure} is counted under a dose of ${fitting.join(' or ')}.`,
    });
  const routines = ageBands.map((band) => step.doses?.[band] as Dose | undefined);
  if (routines.some((one) => one?.kind === 'routine' && (one.counted === true) !== (step.measure !== 'reps')))
    return context.createError({
      path: `${context.path}.doses`,
      message: `${step.title}: a routine is counted (“counted”: true) unless it is measured in reps, its parts done.`,
    });
  const scored = step.measure === 'points' || step.measure === 'grade';
  if (scored && !step.zones)
    return context.createError({
      path: `${context.path}.zones`,
      message: `${step.title}: points and grades need zones, the best first.`,
    });
  return true;
});

const kitName = (name: string) =>
  string()
    .required(`${name} is missing.`)
    .test(
      'known',
      ({ value }) => `${name} “${value}” is not on the kit list: choose one that is.`,
      (item) => isKitThing(item ?? ''),
    );

const order = (name: string) =>
  array()
    .of(string().required(`Order ${name}: a step is missing its id.`))
    .required(`Order ${name} is missing.`)
    .max(mostSteps, `Order ${name} must name every step once.`);

const faultSchema = object({
  fault: text('Fault', 200),
  correction: text('Correction', 200),
  stepBack: boolean().default(false),
});

/** A whole drill. */
export const drillSchema = object({
  id: string()
    .required('Drill id is missing.')
    .matches(/^[\w-]{1,60}$/, 'Drill id must be letters, digits and hyphens.'),
  title: text('Title', 60),
  family: oneOf('Family', families),
  sports: listOf('Sports', sports).min(1, 'Sports: choose at least one.'),
  ages: object({
    from: within('From age', 3, 17).integer('From age must be a whole number.'),
    to: within('To age', 3, 18).integer('To age must be a whole number.'),
  }),
  trains: listOf('Trains', focuses).min(1, 'Trains: choose at least one.').max(5, 'Trains: at most five.'),
  purpose: text('Purpose', 400),
  setUp: text('Set-up', 400),
  feed: object({ how: oneOf('Feed', feedHows), predictability: oneOf('Predictability', predictabilities) }),
  hold: oneOf('Hold', holds),
  stance: oneOf('Stance', stances),
  dropRule: oneOf('Drop rule', dropRules),
  bounceRule: string().oneOf(bounceRules, `Bounce rule must be one of: ${bounceRules.join(', ')}.`),
  space: object({
    per: oneOf('Space for', ['player', 'station'] as const),
    lengthM: within('Length', 0.5, 60),
    widthM: within('Width', 0.5, 60),
    ceilingM: within('Clear height', 1, 20),
    needs: listOf('Needs', spaceNeeds),
  }),
  kit: array()
    .of(
      object({
        item: kitName('Kit'),
        count: within('Count', 1, 100).integer('Count must be a whole number.'),
        per: oneOf('Kit for each', kitPers),
        standIns: array()
          .of(kitName('Stand-in'))
          .required('Stand-ins: give a list, which may be empty.')
          .max(10, 'Stand-ins: at most ten.'),
      }),
    )
    .required('Kit is missing: give a list, which may be empty.')
    .max(10, 'Kit: at most ten things.'),
  players: object({
    min: within('Fewest players', 1, 12).integer('Fewest players must be a whole number.'),
    max: within('Players at once', 1, 12).integer('Players at once must be a whole number.'),
  }),
  helper: oneOf('Helper', helpers),
  cards: array()
    .of(
      string()
        .required('Card is missing its name.')
        .test('known', 'Card: there is no such starting point.', (id) => findCard(id ?? '') !== undefined),
    )
    .required('Cards: give a list, which may be empty.')
    .max(12, 'Cards: at most twelve.'),
  warms: listOf('Warms', warmths),
  fit: listOf('Fit', fitKeys),
  setUpS: sourced('Set-up seconds', 0, 600),
  changeoverS: sourced('Changeover seconds', 0, 600),
  checkpoints: array()
    .of(text('Checkpoint', 160))
    .required('Checkpoints are missing: write two to five.')
    .min(2, 'Checkpoints: write two to five.')
    .max(5, 'Checkpoints: write two to five.'),
  schoolCheckpoints: array()
    .of(
      object({
        question: oneOf('Question', checkpointQuestions),
        answer: text('Answer', 30),
        text: text('Checkpoint', 160),
      }),
    )
    .max(12, 'Checkpoints of a school: at most twelve.')
    .default(undefined),
  faults: array()
    .of(faultSchema)
    .required('Faults are missing: write at least one.')
    .min(1, 'Faults: write at least one.')
    .max(6, 'Faults: at most six.'),
  care: array()
    .of(object({ text: text('Care', 200), origin: origin('Care') }))
    .required('Care is missing: write at least one sentence.')
    .min(1, 'Care: write one to eight sentences.')
    .max(8, 'Care: write one to eight sentences.'),
  spices: listOf('Spices', spices),
  easings: listOf('Easings', easings),
  recap: object({
    questions: array()
      .of(text('Question', 120))
      .required('Recap questions are missing.')
      .min(1, 'Recap: ask one or two questions.')
      .max(2, 'Recap: ask one or two questions.'),
    homeChallenge: text('Home challenge', 200),
  }),
  steps: array()
    .of(stepSchema)
    .required('Steps are missing: write at least one.')
    .min(1, 'Steps: write at least one.')
    .max(mostSteps, 'Steps: at most twelve.')
    .test(
      'once',
      'Steps: two steps have the same id.',
      (steps) => new Set(steps?.map((s) => s?.id)).size === steps?.length,
    ),
  orders: object({
    'swing first': order('swing first'),
    'feet first': order('feet first'),
    usual: oneOf('Usual order', ['swing first', 'feet first'] as const),
    why: text('Why', 200),
  }).default(undefined),
}).test('ages', (drill, context) => {
  if (drill.ages && drill.ages.from > drill.ages.to)
    return context.createError({ path: 'ages.to', message: 'To age must not be under from age.' });
  if (drill.players && drill.players.min > drill.players.max)
    return context.createError({
      path: 'players.max',
      message: 'Players at once must not be under the fewest players.',
    });
  const ids = new Set(drill.steps?.map((step) => step?.id));
  for (const order of ['swing first', 'feet first'] as const) {
    const named = drill.orders?.[order];
    if (named && (named.length !== ids.size || named.some((id) => !ids.has(id))))
      return context.createError({
        path: `orders.${order}`,
        message: `Order ${order} must name every step once.`,
      });
  }
  return true;
});
export type DrillForm = InferType<typeof drillSchema>;

/** A checked drill in the catalogue's own type: fields that were left open are left out. */
export function asDrill(form: DrillForm): Drill {
  return JSON.parse(JSON.stringify(form)) as Drill;
}

/** The name and version of the files drills travel in. */
export const bundleFormat = 'vowstep-catalogue';
export const bundleVersion = 2;

const mostDrills = 100;
const bundleHead = {
  format: string()
    .oneOf([bundleFormat], `Format must be ${bundleFormat}: this is another kind of file.`)
    .required('Format is missing: this is no file of drills.'),
  version: number()
    .oneOf([bundleVersion], `Version must be ${bundleVersion}.`)
    .required('Version is missing.'),
};
const drillList = <T extends Schema>(of: T) =>
  array()
    .of(of)
    .required('Drills are missing: this file holds none.')
    .min(1, 'Drills are missing: this file holds none.')
    .max(mostDrills, 'Drills: at most a hundred at a time.');

/** A file of drills: what is exported, and what an import takes. */
export const bundleSchema = object({ ...bundleHead, drills: drillList(drillSchema) });

/** The same with its drills unread: each of them takes some milliseconds to check. */
export const bundleFileSchema = object({ ...bundleHead, drills: drillList(mixed<object>().required()) });
