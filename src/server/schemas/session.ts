import { array, mixed, number, object, string, type InferType } from 'yup';
import { findDrill, findStep } from '@/catalogue';
import type { Dose, DoseKind } from '@/core/dose/dose';
import { doseFields, doseProblems } from '@/core/dose/limits';

export const minutes = { min: 5, max: 240 } as const;
const maxPlayers = 12;
const maxBlocks = 40;
const ulidPattern = /^[0-9A-HJKMNP-TV-Z]{26}$/;

const id = (what: string) =>
  string()
    .required(`${what} is missing.`)
    .matches(ulidPattern, `${what} is not one of ours: reload the page.`);

const fields = {
  title: string()
    .trim()
    .required('Title is empty: give the session a name, such as Thursday group.')
    .max(80, 'Title is too long: use at most 80 letters.'),
  day: string()
    .required('Day is empty: choose a day.')
    .matches(/^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/, 'Day must be a date, such as 2026-11-26.')
    .test('real', 'Day is not in the calendar: choose a day that exists.', (day) => {
      const date = new Date(`${day}T00:00:00Z`);
      return !Number.isNaN(date.getTime()) && date.toISOString().startsWith(day ?? '');
    }),
  startTime: string()
    .required('Start is empty: type a time, such as 16:30.')
    .matches(/^([01]\d|2[0-3]):[0-5]\d$/, 'Start must be a time, such as 16:30.'),
  bookedMin: number()
    .typeError('Minutes must be a number, such as 60.')
    .required('Minutes is empty: type how long the booking is.')
    .integer('Minutes must be whole minutes.')
    .min(
      minutes.min,
      ({ value }) => `Minutes is ${value}: book from ${minutes.min} to ${minutes.max} minutes.`,
    )
    .max(
      minutes.max,
      ({ value }) => `Minutes is ${value}: book from ${minutes.min} to ${minutes.max} minutes.`,
    ),
  coach: string().trim().default('').max(60, 'Coach is too long: use at most 60 letters.'),
  placeName: string().trim().default('').max(80, 'Place is too long: use at most 80 letters.'),
};

const playerIds = array()
  .of(id('Player'))
  .required('Players is missing.')
  .min(1, 'Players is empty: tick at least one player who is coming.')
  .max(maxPlayers, `Players: at most ${maxPlayers} in one session; plan a second one for the rest.`)
  .test(
    'once',
    'Players: somebody is on the list twice; take one away.',
    (ids) => new Set(ids).size === ids?.length,
  );

/** A new session: the booking and who is coming. */
export const sessionSchema = object({ ...fields, playerIds });
export type SessionForm = InferType<typeof sessionSchema>;

/** A dose of the core, checked against the limits of its kind and cut down to its fields. */
const dose = mixed<Dose>()
  .required('Dose is missing: set how much.')
  .test('dose', (value, context) => {
    const kind = (value as { kind?: unknown } | undefined)?.kind;
    if (typeof kind !== 'string' || !(kind in doseFields))
      return context.createError({ message: 'Dose must be reps, row, timed, hold or shots.' });
    const first = doseProblems(value as Dose)[0];
    return first ? context.createError({ message: first.message }) : true;
  })
  .transform((value: Record<string, unknown> | null) => {
    const known = value && doseFields[value.kind as DoseKind];
    if (!known) return value;
    return Object.fromEntries([
      ['kind', value.kind],
      ...known.map((field) => [field.name, value[field.name]]),
    ]);
  });

const blockSchema = object({
  id: id('Block'),
  drillId: string().required('Drill is missing: choose one from the catalogue.'),
  stepId: string().required('Step is missing: choose a step of the ladder.'),
  dose,
})
  .required('A block is missing: reload the page.')
  .test('step', (value, context) => {
    if (!value?.drillId || !value.stepId) return true;
    if (!findDrill(value.drillId))
      return context.createError({
        path: `${context.path}.drillId`,
        message: `Drill ${value.drillId} is not in the catalogue: choose another.`,
      });
    if (!findStep(value.drillId, value.stepId))
      return context.createError({
        path: `${context.path}.stepId`,
        message: `Step ${value.stepId} is not on this ladder: choose another.`,
      });
    return true;
  });

/** A whole plan, saved at once: the booking, the players and the blocks, on the revision it was made from. */
export const planSchema = object({
  ...fields,
  playerIds,
  revision: number().required('Revision is missing: reload the page.').integer().min(1),
  blocks: array()
    .of(blockSchema)
    .required('Blocks is missing.')
    .max(maxBlocks, `Blocks: at most ${maxBlocks} in one session.`)
    .test(
      'once',
      'Blocks: one block is in the plan twice; reload the page.',
      (blocks) => new Set(blocks?.map((b) => b.id)).size === blocks?.length,
    ),
});
export type PlanForm = InferType<typeof planSchema>;
