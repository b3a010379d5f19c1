import type { LoadSum } from '../dose/load';

/*
 * A vow is a dose on certain days until a date. Days are counted as whole numbers from 1 January 1970, which was a
 * Thursday; a local day is the same number in every zone, so no change of clocks makes a week of six days or of eight.
 */

/** Monday is 1, Sunday 7 (ISO 8601). */
export const weekdayOf = (day: number): number => ((((day + 3) % 7) + 7) % 7) + 1;

/** One size a day's dose can have. */
export interface VowSize {
  readonly seconds: number;
  /** Good repetitions to expect of it. */
  readonly good: number;
  /** What all its tries ask of the body, drops and all. */
  readonly load: LoadSum;
}

/** What a player does on a day besides this vow: sessions, and all other vows. */
export interface Booked {
  readonly load: LoadSum;
  /** Seconds of other vows at home. */
  readonly homeS: number;
  /** Seconds of sessions. */
  readonly courtS: number;
}

/** What a vow is for. */
export type VowAim =
  /** Pass the step's mark. */
  | { readonly kind: 'mark' }
  /** So many good repetitions until its last day. */
  | { readonly kind: 'reps'; readonly reps: number }
  /** The same small dose, day after day. */
  | { readonly kind: 'habit' };

export interface VowAsk {
  /** The days it may fall on, in order. */
  readonly days: readonly number[];
  /** The sizes of a day's dose, the smallest first. */
  readonly sizes: readonly VowSize[];
  /** Which of them is usual at this age. */
  readonly usual: number;
  /** By how much a dose may grow from week to week: 0 to 0.5. */
  readonly growth: number;
  /** Minutes a day at most. */
  readonly minutes: number;
  readonly aim: VowAim;
  /** Years. */
  readonly age: number;
  readonly booked: ReadonlyMap<number, Booked>;
  /** The step's own limit, and the days it is done on elsewhere. */
  readonly limit: { readonly tries: number; readonly daysApart: number } | null;
  readonly limitedOn: readonly number[];
}

export interface VowDay {
  readonly day: number;
  /** Which of the sizes. */
  readonly size: number;
}

/** Why a vow cannot give more. */
export const vowLimits = [
  'minutes',
  'growth',
  'forearm',
  'contacts',
  'overheads',
  'days apart',
  'home minutes',
  'days',
] as const;
export type VowLimit = (typeof vowLimits)[number];

export const nothingBooked: Booked = {
  load: { contacts: 0, overheads: 0, forearm: 0, strongTries: 0, tries: 0 },
  homeS: 0,
  courtS: 0,
};
