import { array, boolean, number, object, string, type InferType } from 'yup';
import { challengeKinds } from '@/core/challenges/challenge';
import { doubts } from '@/core/skill/honest';
import { daySchema } from './day';

const wholeFrom = (name: string, least: number, most: number) =>
  number()
    .typeError(`${name} must be a whole number from ${least} to ${most}, or open.`)
    .integer(`${name} must be a whole number.`)
    .min(least, `${name} must be at least ${least}.`)
    .max(most, `${name} must be at most ${most}.`)
    .nullable()
    .default(null);

/** A challenge as it is made. */
export const challengeSchema = object({
  title: string()
    .trim()
    .required('Name is missing: give the challenge a name.')
    .max(80, 'Name is too long: use at most 80 letters.'),
  kind: string()
    .oneOf([...challengeKinds], 'Kind must be one of the four.')
    .required('Kind is missing: choose one.'),
  drillId: string()
    .required('Drill is missing: choose one.')
    .max(80, 'Drill is none of ours: reload the page.'),
  stepId: string().required('Step is missing: choose one.').max(80, 'Step is none of ours: reload the page.'),
  rules: string().trim().default('').max(300, 'Rules are too long: use at most 300 letters.'),
  fromDay: daySchema,
  untilDay: daySchema,
  attempts: wholeFrom('Attempts', 1, 100),
  goal: wholeFrom('The number', 1, 1_000_000),
  ranked: boolean().default(false),
  playerIds: array()
    .of(
      string()
        .required('A player is none of ours: reload the page.')
        .max(80, 'A player is none of ours: reload the page.'),
    )
    .required('Players are missing: choose at least one.')
    .min(1, 'Players are missing: choose at least one.')
    .max(60, 'Players: at most 60 in a challenge.'),
})
  .test('days', 'Last day must not lie before the first day.', ({ fromDay, untilDay }) => untilDay >= fromDay)
  .test(
    'goal',
    'The number is missing: say what you all go for.',
    ({ kind, goal }) => (kind !== 'together' && kind !== 'pairs') || goal !== null,
  );
export type ChallengeForm = InferType<typeof challengeSchema>;

/** A result typed in; of a pair's rally with the other of the pair. */
export const challengeResultSchema = object({
  partnerId: string().nullable().default(null).max(80, 'Partner is none of ours: reload the page.'),
  playerId: string()
    .required('Player is missing: choose one.')
    .max(80, 'Player is none of ours: reload the page.'),
  result: number()
    .typeError('Result must be a number.')
    .required('Result is missing: type what was counted.')
    .min(0, 'Result must be 0 or more.')
    .max(10_000, 'Result must be at most 10000.'),
});

/** What is wanted of a focus, and what counts towards it. */
export const ledgerSchema = object({
  goal: number()
    .typeError('Repetitions must be a whole number.')
    .required('Repetitions are missing: about 2000 make a pattern, several thousand a skill.')
    .integer('Repetitions must be a whole number.')
    .min(50, 'Repetitions must be at least 50.')
    .max(100_000, 'Repetitions must be at most 100000.'),
  drillIds: array()
    .of(
      string()
        .required('A drill is none of ours: reload the page.')
        .max(80, 'A drill is none of ours: reload the page.'),
    )
    .required('Drills are missing: choose what counts towards it.')
    .min(1, 'Drills are missing: choose what counts towards it.')
    .max(40, 'Drills: at most 40 count towards a focus.'),
});

/** A coach's word on how a player counts. */
export const countWordSchema = object({
  doubt: string()
    .oneOf([...doubts], 'What it is about is none of ours: reload the page.')
    .required('What it is about is missing: reload the page.'),
  word: string()
    .oneOf(['right', 'half'], 'The word must be right or half.')
    .required('The word is missing: choose one.'),
});
