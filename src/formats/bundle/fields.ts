/* Fields of the things a file with the book in it holds, and how each is said. */

/** A field: what its value may be. Texts have at most `most` letters, numbers lie from `min` to `max`. */
export type Field = {
  /** What it says, for people who read the schema. */
  readonly is: string;
  readonly orNull?: true;
  /** The thing whose `id` it names: that has to be in the file, or in the book it comes into. */
  readonly of?: ThingName;
  /** What it is in files of before there was such a field. */
  readonly before?: Value;
} & (
  | { readonly kind: 'id' }
  | { readonly kind: 'text'; readonly most: number }
  | { readonly kind: 'word'; readonly words: readonly string[] }
  | { readonly kind: 'day' | 'time' | 'moment' | 'flag' | 'json' }
  | { readonly kind: 'whole' | 'number'; readonly min: number; readonly max: number }
);

export interface Thing {
  readonly is: string;
  /** The fields that tell one from another. */
  readonly key: readonly string[];
  readonly fields: Readonly<Record<string, Field>>;
}

export const id = (is: string, of?: ThingName): Field => ({ kind: 'id', is, ...(of && { of }) });
export const text = (is: string, most: number): Field => ({ kind: 'text', most, is });
export const word = (is: string, words: readonly string[]): Field => ({ kind: 'word', words, is });
export const whole = (is: string, min: number, max: number): Field => ({ kind: 'whole', min, max, is });
export const number = (is: string, min: number, max: number): Field => ({ kind: 'number', min, max, is });
export const moment = (is: string): Field => ({ kind: 'moment', is });
export const flag = (is: string): Field => ({ kind: 'flag', is });
export const day = (is: string): Field => ({ kind: 'day', is });
export const time = (is: string): Field => ({ kind: 'time', is });
export const json = (is: string): Field => ({ kind: 'json', is });
export const open = (field: Field): Field => ({ ...field, orNull: true });

export const made = { createdAtMs: moment('when it was made') } as const;
export const removed = {
  removedAtMs: open(moment('when it was taken off the list; null while it is on it')),
} as const;
export const by = open(text('who said it; null for the session’s coach', 120));
export const target = (is: string) => number(is, 0, 100_000);

export type ThingName =
  | 'places'
  | 'kit'
  | 'drills'
  | 'patterns'
  | 'feeders'
  | 'sequences'
  | 'players'
  | 'focuses'
  | 'standings'
  | 'styles'
  | 'fits'
  | 'sessions'
  | 'attendances'
  | 'blocks'
  | 'parts'
  | 'marks'
  | 'decisions'
  | 'notes'
  | 'ledgers'
  | 'countWords'
  | 'challenges'
  | 'challengers'
  | 'challengeResults'
  | 'homes'
  | 'vows'
  | 'vowDays'
  | 'courses'
  | 'courseSessions'
  | 'courseChanges';

export type Value = string | number | boolean | null | object;
