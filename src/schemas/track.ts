import { number, object, string, type InferType } from 'yup';
import { beatLimits } from '@/core/court/calls/beat';
import { callSetNames, type CallSet } from '@/core/counting/call-sets';
import { callPaces } from '@/core/court/calls/schedule';
import { calledSequences } from './sequence';

const within = (name: string, min: number, max: number) =>
  number()
    .typeError(`${name} must be a number.`)
    .min(min, `${name} must be from ${min} to ${max}.`)
    .max(max, `${name} must be from ${min} to ${max}.`);
/** An empty field of a query means nothing asked for. */
const optional = (value: unknown, original: unknown) => (original === '' ? null : value);

/** What a practice track is made of. It comes as a link's query: every field is text there. */
export const trackSchema = object({
  title: string().trim().default('Practice track').max(120, 'Title is too long: use at most 120 letters.'),
  name: string()
    .default('practice-track')
    .matches(/^[\w-]{1,80}$/, 'Name must be 1 to 80 letters, digits or hyphens.'),
  format: string()
    .oneOf(['wav', 'vtt'], 'Format must be wav or vtt.')
    .required('Format is missing: wav or vtt.'),
  rounds: within('Rounds', 1, 40).integer('Rounds must be a whole number.').default(3),
  workS: within('Work', 5, 600).default(60),
  restS: within('Rest', 0, 300).default(20),
  tempoPerMin: within('Tempo', beatLimits.min, beatLimits.max).nullable().transform(optional).default(null),
  accentEvery: within('Accent', 0, 16).integer('Accent must be a whole number.').default(0),
  set: string<CallSet>()
    .nullable()
    .transform(optional)
    .oneOf([null, ...callSetNames], `Calls must be one of: ${callSetNames.join(', ')}.`)
    .default(null),
  everyS: within('Seconds between calls', 0.5, 60).default(3),
  moveS: within('Movement time', 0, 30).default(1),
  pace: string().oneOf(callPaces, 'Pace must be even or pressed.').default('even'),
  leadS: within('Lead', 0, 5).default(0),
  /** Shadow sequences that are called; instead of a set of calls. */
  sequence: object(calledSequences).nullable().default(null),
  seed: within('Seed', 0, 4294967295).integer('Seed must be a whole number.').default(1),
}).test(
  'length',
  'The track would be over 30 minutes: take fewer or shorter rounds.',
  (form) => form.rounds * (form.workS + form.restS) <= 1800,
);
export type TrackForm = InferType<typeof trackSchema>;
