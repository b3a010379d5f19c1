import { array, boolean, lazy, mixed, number, object, string, type InferType } from 'yup';
import { isKitThing } from '@/drills/base/kit';
import { surfaces } from '@/core/venues/place';
import { homeMinutes } from '@/core/care/limits';
import type { VowAim } from '@/core/vows/vow';
import { mostParts } from '@/session/vows/vow';
import { daySchema } from './day';
import { doseSchema } from './dose';

const ours = (name: string) =>
  string().required(`${name} is missing: choose one.`).max(80, `${name} is none of ours: reload the page.`);

const choice = object({ stepId: ours('Step'), dose: doseSchema('Dose') });

const time = (name: string) =>
  string()
    .transform((value: unknown, original: unknown) => (original === '' || original === null ? null : value))
    .nullable()
    .default(null)
    .matches(/^([01]\d|2[0-3]):[0-5]\d$/, {
      message: `${name} must be a time, such as 17:00, or left open.`,
      excludeEmptyString: true,
    });

const aimSchema = mixed<VowAim>()
  .required('What for is missing: choose one.')
  .test('aim', (value, context) => {
    const { kind, reps } = (value ?? {}) as { kind?: unknown; reps?: unknown };
    if (kind === 'mark' || kind === 'habit') return true;
    if (kind !== 'reps') return context.createError({ message: 'What for must be one of the three.' });
    return Number.isInteger(reps) && (reps as number) >= 1 && (reps as number) <= 100_000
      ? true
      : context.createError({ message: 'Good ones must be a whole number from 1 to 100000.' });
  })
  .transform((value: unknown) => {
    const { kind, reps } = (value ?? {}) as { kind?: unknown; reps?: unknown };
    return kind === 'reps' ? { kind, reps } : { kind };
  });

/** A vow, as it is made or changed. */
export const vowSchema = object({
  parts: array()
    .of(
      object({
        drillId: ours('Drill'),
        stepId: ours('Step'),
        dose: doseSchema('Dose'),
        choices: array().of(choice).default([]).max(20, 'Choices: at most 20 in a part.'),
        strokes: string().trim().max(2000, 'Strokes are too many: use at most 2000 letters.'),
      }),
    )
    .required('Drills are missing: choose one.')
    .min(1, 'Drills are missing: choose one.')
    .max(mostParts, `Drills: at most ${mostParts} go together in one vow.`),
  aim: aimSchema,
  weekdays: array()
    .of(
      number()
        .integer('Days must be days of the week.')
        .min(1, 'Days must be days of the week.')
        .max(7, 'Days must be days of the week.')
        .required(),
    )
    .required('No day is ticked: tick the days it is done on.')
    .min(1, 'No day is ticked: tick the days it is done on.')
    .max(7, 'Days: one is ticked twice.'),
  minutes: number()
    .typeError('Minutes a day must be a whole number, such as 5.')
    .required('Minutes a day are missing: type how many, such as 5.')
    .integer('Minutes a day must be a whole number.')
    .min(1, `Minutes a day must be from 1 to ${homeMinutes}: a vow is short, and done.`)
    .max(homeMinutes, `Minutes a day must be from 1 to ${homeMinutes}: more than that belongs on court.`),
  growth: number()
    .typeError('Growth must be a share, such as 0.1.')
    .default(0.1)
    .min(0, 'Growth must be from 0 to 50 % a week.')
    .max(0.5, 'Growth must be from 0 to 50 % a week.'),
  atTime: time('Time'),
  alarm: boolean().default(false),
  byEar: boolean().default(false),
  fromDay: daySchema,
  untilDay: daySchema,
});
export type VowForm = InferType<typeof vowSchema>;

const metres = (name: string, least: number, most: number) =>
  number()
    .typeError(`${name} must be a length, such as 4 m.`)
    .min(least, `${name} must be from ${least} to ${most} m.`)
    .max(most, `${name} must be from ${least} to ${most} m.`);

/** What a player has at home, as typed in. */
export const homeSchema = object({
  lengthM: metres('Length', 0.5, 50).required('Length is empty: type it, such as 4 m.'),
  widthM: metres('Width', 0.5, 50).required('Width is empty: type it, such as 3 m.'),
  ceilingM: metres('Ceiling', 1.5, 20)
    .transform((value: unknown, original: unknown) => (original === '' || original === null ? null : value))
    .nullable()
    .default(null),
  surface: string().oneOf(surfaces, 'Floor must be one of the list.').required('Floor is empty: choose one.'),
  wallM: metres('Wall', 0, 50).required('Wall is empty: type its length, 0 for none.'),
  tables: number().typeError('Tables must be a number, 0 for none.').integer().min(0).max(5).default(0),
  lamps: boolean().default(false),
  helper: boolean().default(false),
  quietFrom: time('Quiet from'),
  quietTo: time('Quiet to'),
  kit: array()
    .of(
      object({
        item: string()
          .required()
          .test('thing', 'Things: one of them is not on the list.', (item) => isKitThing(item)),
        count: number().integer().min(0).max(100, 'Things: at most 100 of each.').required(),
      }),
    )
    .default([])
    .max(60, 'Things: too many.'),
}).test(
  'quiet',
  'Quiet hours need both a start and an end, or neither.',
  ({ quietFrom, quietTo }) => (quietFrom === null) === (quietTo === null),
);
export type HomeForm = InferType<typeof homeSchema>;

/** A span in which a vow rests. */
export const pauseSchema = object({
  from: daySchema,
  until: lazy((value: unknown) =>
    value === null || value === undefined || value === ''
      ? string()
          .nullable()
          .transform(() => null)
          .default(null)
      : daySchema,
  ),
  why: string().trim().default('').max(80, 'Why is too long: use at most 80 letters.'),
}).test(
  'days',
  'Its last day must not lie before its first.',
  ({ from, until }) => until === null || until >= from,
);

export const wordsSchema = object({
  words: string().trim().default('').max(200, 'Words are too long: use at most 200 letters.'),
});
