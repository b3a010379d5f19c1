import type { Measure } from '../../counting/measure';

/** How what is logged under a measure tells of the level behind it. */
export type Kind = 'chance' | 'rate' | 'time' | 'share' | 'spread';

/**
 * - `chance`: each touch holds or drops (rows, repetitions; a hold is a row of seconds). What the clock or the target cut
 *   off has no drop at its end, so it says only that it held as far as that
 * - `rate`: so many in so many seconds
 * - `time`: seconds of one go
 * - `share`: points of the most there are to be had
 * - `spread`: centimetres
 */
export const kinds: Readonly<Record<Measure, Kind>> = {
  row: 'chance',
  reps: 'chance',
  hold: 'chance',
  count: 'rate',
  laps: 'rate',
  'weakest part': 'rate',
  lap: 'time',
  points: 'share',
  grade: 'share',
  steadiness: 'spread',
};

/** What is taken to be so of levels of one kind, on their scale. */
export interface Assumptions {
  /** How far players who come to a step lie apart, standard deviation. */
  readonly apart: number;
  /** What a level gains in a week of practice to begin with: mean and standard deviation; less is better for times. */
  readonly gain: number;
  readonly gainApart: number;
  /** How far a level wanders in a week besides, standard deviation. */
  readonly wander: number;
  /** How far the form of a day lies from the level, standard deviation. */
  readonly form: number;
  /**
   * Spread of one observation: of a rate, its variance as a share of Poisson's; of a time, the standard deviation of one
   * go; of a share, the variance as a share of hit-or-miss; 1 elsewhere.
   */
  readonly noise: number;
}

/**
 * Ours, chosen so that ranges hold on logs made by rules that know nothing of this model (`npm run bench -- skill`).
 * A gain fades by half in about six weeks: practice follows a law of falling returns (Newell and Rosenbloom 1981, from
 * memory).
 */
export const assumptions: Readonly<Record<Kind, Assumptions>> = {
  chance: { apart: 0.9, gain: 0.12, gainApart: 0.14, wander: 0.14, form: 0.3, noise: 1 },
  rate: { apart: 0.3, gain: 0.02, gainApart: 0.03, wander: 0.04, form: 0.08, noise: 0.35 },
  time: { apart: 0.3, gain: -0.015, gainApart: 0.02, wander: 0.03, form: 0.04, noise: 0.12 },
  share: { apart: 0.8, gain: 0.06, gainApart: 0.08, wander: 0.1, form: 0.25, noise: 0.5 },
  spread: { apart: 0.4, gain: -0.01, gainApart: 0.02, wander: 0.03, form: 0.12, noise: 1 },
};

/** A gain falls to 1/e in so many weeks of practice. Ours: half in about six. */
const fadeWeeks = 8.5;
/** Longer without practice than this is a break: nothing is gained then, and the level wanders more. Days; ours. */
const breakDays = 10;
/** How much more a level wanders in a break, as a factor of the variance. Ours. */
const breakWander = 3;

/** What some days without counts come to. */
export interface Passage {
  /** What is left of a gain. */
  readonly fade: number;
  /** How many weeks' worth of the gain the level has taken. */
  readonly reach: number;
  /** By how much the level may have wandered, as a variance. */
  readonly loose: number;
}

/**
 * Some days later: the level goes on gaining, ever less, and wanders. In a break longer than ten days nothing is gained,
 * and the level wanders three times as much.
 */
export function passage(kind: Kind, days: number): Passage {
  const { wander } = assumptions[kind];
  const practised = Math.min(days, breakDays) / 7;
  const away = Math.max(0, days - breakDays) / 7;
  const fade = Math.exp(-practised / fadeWeeks);
  return { fade, reach: fadeWeeks * (1 - fade), loose: wander ** 2 * (practised + breakWander * away) };
}
