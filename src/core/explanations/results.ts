import { measures, resultInWords, type Measure } from '../counting/measure';
import type { Summary } from '../counting/tally';
import type { Explanation } from '../base/explain';
import type { FourSchools } from '../skill/four-schools';
import type { Gate, School, Verdict } from '../skill/next-target';
import { successRate, type TouchRecord } from '../skill/success-rate';
import { percent, inThousands } from '../base/words';

const bestOf: Record<'row' | 'round' | 'single', string> = {
  row: 'The longest run of touches between two drops.',
  round: 'The best round. Everything in one round (time box, set, shots) adds up.',
  single: 'The best single mark.',
};

/** Opens a best, beside the best of all other sessions where that is known. */
export function explainBest(
  measure: Measure,
  best: number,
  results: readonly (number | null)[],
  before: number | null = null,
): Explanation {
  const attempts = results.map((result, index) => ({
    label: `Attempt ${index + 1}`,
    value: result === null ? 'no result' : resultInWords(measure, result),
  }));
  return {
    title: 'Best',
    value: resultInWords(measure, best),
    formula: `${bestOf[measures[measure].gathering]} A drop ends a row, it never lowers a best.`,
    inputs:
      before === null
        ? attempts
        : [
            ...attempts,
            { label: 'Best before', value: resultInWords(measure, before), from: 'all other sessions' },
          ],
    source: 'Counted from the log of touches; what was undone is left out.',
  };
}

/** Opens a total of touches with the success rate that follows from it. */
export function explainTouches(record: TouchRecord, since: string): Explanation {
  const { interval, tries } = successRate(record, 1);
  return {
    title: 'Touches',
    value: inThousands(record.touches),
    formula: 'Every good touch counts one. Success rate: touches ÷ (touches + drops).',
    inputs: [
      { label: 'Touches', value: inThousands(record.touches), from: since },
      { label: 'Drops', value: inThousands(record.drops), from: since },
      ...(tries > 0
        ? [
            {
              label: 'Success rate',
              value: percent(record.touches / tries),
              from: `95\u00a0% range ${percent(interval.low)} to ${percent(interval.high)}`,
            },
          ]
        : []),
    ],
    source: 'Counted from the log. Range: E. B. Wilson 1927.',
  };
}

/** Opens a rate of touches a minute. */
export function explainRate({ ratePerMin, gaps, touchingMs }: Rated): Explanation {
  return {
    title: 'Touches a minute',
    value: `${Math.round(ratePerMin)} a minute`,
    formula: 'Gaps ÷ their time. Waits after a drop and between rounds are left out.',
    inputs: [
      { label: 'Gaps between touches', value: String(gaps), from: 'this block' },
      { label: 'Their time', value: `${(touchingMs / 1000).toFixed(1)} s` },
    ],
    source: 'From the times of the touches on the device’s own clock.',
  };
}

/** A rate with what it is made of. */
type Rated = Pick<Summary, 'gaps' | 'touchingMs'> & { readonly ratePerMin: number };

/** The schools by name, as a coach calls them. */
export const schoolNames: Readonly<Record<School, string>> = {
  row: 'In a row, on so many days',
  clock: 'Against the clock',
  best: 'Own best plus one',
  sweet: 'Sweet spot',
};

const verdictNames: Readonly<Record<Verdict, string>> = { up: 'up', hold: 'stay', back: 'one back' };

/** Opens a next target: all four schools, each with its evidence and what would change its mind. */
export function explainTarget(measure: Measure, gate: Gate, { byDefault, all }: FourSchools): Explanation {
  return {
    title: 'Next target',
    value:
      byDefault.verdict === 'hold'
        ? resultInWords(measure, byDefault.target)
        : verdictNames[byDefault.verdict],
    formula:
      'In a row: the step’s mark on enough different days of the last twelve weeks. Against the clock: the mark in its time, once. Own best plus one: any new best is success, up when it passes the mark. Sweet spot: the chance to reach the mark on a day, worked out from everything logged in those weeks.',
    inputs: [
      {
        label: 'The step’s mark',
        value: `${resultInWords(measure, gate.result)} on ${gate.days} ${gate.days === 1 ? 'day' : 'days'}`,
      },
      ...all.map(({ school, verdict, reason, wouldChange }) => ({
        label: `${schoolNames[school]}${school === byDefault.school ? ' (proposes)' : ''}`,
        value: verdictNames[verdict],
        from: `${reason} Would change its mind: ${lowerFirst(wouldChange)}`,
      })),
    ],
    source:
      'Four teaching styles of the trade, common practice. Which one proposes is a coach’s choice (Schools); left to the drill, rows are judged in a row and all else by own best plus one.',
  };
}

const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);
