import { onceIn } from '@/core/skill/change/luck';
import type { LedgerForecast } from '@/core/skill/ledger';
import type { Transfer } from '@/core/skill/transfer';
import type { Odds } from '@/core/skill/four-schools';
import { shortDay } from '@/core/base/day-words';
import { counted, percent } from '@/core/base/words';
import { isoDay } from '@/core/base/days';
import { horizonDays, type RowsToExpect, type StepProgress } from './progress';

/*
 * Progress in words. One place, so that a player's page, the squad's and the family's say the same of the same number.
 */

/** "66 % of days (41 % to 80 %)". */
export const oddsWords = ({ chance, low, high }: Odds): string =>
  `${percent(chance)} of days (${percent(low)} to ${percent(high)})`;

const weeks = horizonDays / 7;

/** When the mark will be passed. */
export function forecastWords({ forecast, days, missingDays, passed }: StepProgress): string {
  if (passed) return 'The mark is passed.';
  if (days.length === 0 || !forecast) return 'No practice of it is planned, and it was hardly done lately.';
  const { early, middle, late, byTheEnd } = forecast;
  const wanted = missingDays > 1 ? `, which takes ${missingDays} days` : '';
  if (byTheEnd < 0.1) return `Hardly within ${weeks} weeks at this rate.`;
  if (early === null || middle === null)
    return `Within ${weeks} weeks with a chance of ${percent(byTheEnd)}${early === null ? '' : `, on ${shortDay(isoDay(early))} at the earliest`}.`;
  if (early === late) return `On ${shortDay(isoDay(early))}, nearly sure${wanted}.`;
  if (late === null)
    return `About ${shortDay(isoDay(middle))}, at the earliest ${shortDay(isoDay(early))}${wanted}; ${percent(byTheEnd)} within ${weeks} weeks.`;
  return `About ${shortDay(isoDay(middle))}; from ${shortDay(isoDay(early))} to ${shortDay(isoDay(late))}${wanted}.`;
}

/** What the forecast counts on. */
export function countsOnWords({ days, planned, attempts }: StepProgress): string {
  const rest = days.length - planned;
  const parts = [
    planned > 0 && `${counted(planned, 'planned day')}`,
    rest > 0 && 'the rhythm of the last five weeks',
  ].filter(Boolean);
  if (parts.length === 0) return 'Nothing planned.';
  return `Counts on ${parts.join(', then on ')}, with about ${counted(attempts, 'attempt')} a day.`;
}

/** Whether it has moved, and since when; null where the log names no change. */
export function changeWords({ change }: StepProgress): string | null {
  if (!change) return null;
  const since = shortDay(isoDay(change.fromDay));
  switch (change.kind) {
    case 'jump':
      return `A jump on about ${since}.`;
    case 'plateau':
      return `On one level since about ${since}.`;
    case 'slide':
      return `Sliding since about ${since}.`;
  }
}

/** A day this seldom is named. Ours. */
const seldom = 0.1;

/** Luck or change, of the last day; null on an ordinary one. */
export function luckWords({ luck, past }: StepProgress): string | null {
  if (luck === null) return null;
  const last = shortDay(isoDay(past.at(-1)!.day));
  if (luck < seldom) return `${last} was poor: chance alone brings such a day ${onceIn(luck, 'day')}.`;
  if (luck > 1 - seldom)
    return `${last} was brilliant: chance alone brings such a day ${onceIn(1 - luck, 'day')}.`;
  return null;
}

/** What is learned along a ladder's step; null where neither law stands out. */
export function curveWords({ curves }: StepProgress): string | null {
  if (!curves?.better) return null;
  const law =
    curves.better === 'power' ? 'slower and slower, without an end in sight' : 'towards a level of its own';
  return `Learning goes ${law} (${curves.better === 'power' ? 'power law' : 'exponential'}, ${Math.round(Math.min(curves.ratio, 100))} times as likely as the other).`;
}

/** What transfer says next. */
export function transferWords({ gap, missing, shares }: Transfer): string {
  if (gap) return gap;
  if (shares.length === 0) return 'Nothing is counted touch by touch yet.';
  if (missing) return `Little is counted on a ${missing} ball: count some, and the gap shows.`;
  return 'No gap between known, random and live balls that the counts would carry.';
}

/** Further off than this no day is named. Ours: two years. */
const mostWeeks = 104;

/** When a focus will have its repetitions, at the rate of late, and with a little more. */
export function ledgerWords({ perWeek, weeksLeft, weeksWithMore }: LedgerForecast, today: number): string {
  const at = (weeks: number) => shortDay(isoDay(today + Math.ceil(7 * weeks)));
  const more =
    weeksWithMore !== null && weeksWithMore <= mostWeeks
      ? ` Five minutes more a day would bring it to about ${at(weeksWithMore)}.`
      : '';
  if (weeksLeft === null) return `Nothing of it was counted in the last weeks.${more}`;
  if (weeksLeft.value === 0) return 'The number is reached: see whether it holds up in play.';
  const rate = `At about ${counted(Math.round(perWeek.value), 'good repetition')} a week`;
  if (weeksLeft.value > mostWeeks) return `${rate} it takes longer than two years.${more}`;
  const until = weeksLeft.high > mostWeeks ? 'open' : at(weeksLeft.high);
  return `${rate}: about ${at(weeksLeft.value)} (${at(weeksLeft.low)} to ${until}).${more}`;
}

/** More than so many tries or minutes are "many". Ours. */
const [manyTries, manyMinutes] = [200, 120];

/** What rows to expect today, as short lines: the chance, and what it is of. */
export function rowsInWords(
  { touch, oneTry, inTries, tries, inFiveMinutes, triesNeeded, minutesNeeded, best, ...rare }: RowsToExpect,
  n: number,
): readonly (readonly [what: string, says: string])[] {
  const about = ({ value, low, high }: RowsToExpect['triesNeeded'], most: number, noun: string) => {
    const whole = (one: number) => (one > most ? 'many' : String(Math.max(1, Math.round(one))));
    return value > most
      ? `more than ${most} ${noun}`
      : `about ${whole(value)} ${noun} (${whole(low)} to ${whole(high)})`;
  };
  return [
    ['The next touch holds', percent(touch)],
    [`${n} in a row in one try`, percent(oneTry)],
    [`in ${counted(tries, 'try', 'tries')}, a usual day`, percent(inTries)],
    ['in five minutes', percent(inFiveMinutes)],
    ['Tries it takes', about(triesNeeded, manyTries, 'tries')],
    ['Minutes it takes, drops and all', about(minutesNeeded, manyMinutes, 'min')],
    ['Best row of a usual day', `about ${Math.round(best)}`],
    // A row of nothing is any miss: it says no more than the first line.
    ...(rare.short > 0
      ? [
          [
            `A row of ${rare.short} or less, by chance alone`,
            onceIn(rare.shortChance, 'try', 'tries'),
          ] as const,
        ]
      : []),
  ];
}
