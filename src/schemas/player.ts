import { boolean, number, object, string, type InferType } from 'yup';
import { sports } from '@/drills/base/types';

export const hands = ['right', 'left'] as const;
export const stages = ['red', 'orange', 'green', 'yellow'] as const;

/** An empty field of a form is no value. */
const emptyIsNull = (value: unknown, original: unknown) =>
  original === '' || original === null ? null : value;

/** A player, as typed in; the year it is decides which birth years can be. */
export function playerSchema(year: number) {
  return object({
    name: string()
      .trim()
      .required('Name is empty: type the name you call the player by.')
      .max(60, 'Name is too long: use at most 60 letters.'),
    birthYear: number()
      .typeError('Birth year must be a year, such as 2016.')
      .required('Birth year is empty: type the year the player was born.')
      .integer('Birth year must be a whole year, such as 2016.')
      .max(year, ({ value }) => `Birth year ${value} lies in the future: type the year the player was born.`)
      .min(
        year - 25,
        ({ value }) => `Birth year ${value} makes the player ${year - value}: type a year from ${year - 25}.`,
      ),
    sport: string()
      .oneOf(sports, 'Sport must be tennis or table tennis: choose one.')
      .required('Sport is empty: choose one.'),
    hand: string()
      .oneOf(hands, 'Hand must be right or left: choose one.')
      .required('Hand is empty: choose one.'),
    stage: string()
      .transform(emptyIsNull)
      .nullable()
      .default(null)
      .oneOf([...stages, null], 'Ball stage must be red, orange, green or yellow, or left open.'),
    heightCm: number()
      .transform(emptyIsNull)
      .nullable()
      .default(null)
      .typeError('Height must be a number of centimetres, such as 134.')
      .integer('Height must be whole centimetres, such as 134.')
      .min(80, 'Height must be from 80 to 220 cm.')
      .max(220, 'Height must be from 80 to 220 cm.'),
    racketIn: number()
      .transform(emptyIsNull)
      .nullable()
      .default(null)
      .typeError('Racket length must be a number of inches, such as 25.')
      .min(17, 'Racket length must be from 17 to 29 inches.')
      .max(29, 'Racket length must be from 17 to 29 inches.'),
    careNote: string().trim().default('').max(300, 'Care note is too long: use at most 300 letters.'),
    focus: string().trim().default('').max(120, 'Working on is too long: use at most 120 letters.'),
    /** True where a coach was asked about a name or a year, and keeps it. */
    sure: boolean(),
  });
}

export type PlayerForm = InferType<ReturnType<typeof playerSchema>>;
