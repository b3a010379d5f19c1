import type { Explanation } from '../base/explain';
import { counted, inMinutes, percent } from '../base/words';

/** What the good repetitions of a vow are made of. */
export interface VowSums {
  /** Good repetitions of all its days. */
  readonly good: number;
  readonly days: number;
  /** Seconds of the longest day. */
  readonly longestS: number;
  /** By how much it may grow from week to week. */
  readonly growth: number;
  readonly rested: number;
}

/** How many good repetitions a vow brings, opened. */
export function explainVow({ good, days, longestS, growth, rested }: VowSums): Explanation {
  return {
    title: 'Good ones to expect',
    value: String(Math.round(good)),
    formula:
      'Each day’s dose by the plan’s own arithmetic: what succeeds of late (the step’s usual rate where nothing is counted yet) times the tries its time or its number gives, summed over all days.',
    inputs: [
      { label: 'Days', value: counted(days, 'day'), from: 'ticked, and borne by the lines of care' },
      { label: 'Longest day', value: inMinutes(longestS) },
      { label: 'Grows at most', value: `${percent(growth)} a week`, from: 'set on this vow' },
      ...(rested > 0
        ? [
            {
              label: 'Free days',
              value: counted(rested, 'day'),
              from: 'a line of care is full there, with all sessions and vows',
            },
          ]
        : []),
    ],
    source:
      'The doses are those of the drill; the days are chosen for the most good ones under the lines of care (ours; landings after strength-and-conditioning handbooks, from memory).',
  };
}
