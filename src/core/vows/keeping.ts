import { weekdayOf } from './vow';

/** A span in which a vow rests: holidays, a sick day. */
export interface Pause {
  readonly from: number;
  /** Null while nobody knows until when. */
  readonly until: number | null;
}

/** What was done on a day: the share of that day's dose. */
export interface DayDone {
  readonly day: number;
  /** 0 for nothing, 1 and more for the whole dose. */
  readonly share: number;
}

export interface Keeping {
  /** Days with the whole dose, and days that were begun. Any day counts, asked for or not. */
  readonly kept: number;
  readonly started: number;
  /** Days asked for until today that are over, today too once it is kept; of them those kept, and those without a touch. */
  readonly asked: number;
  readonly keptOfAsked: number;
  readonly missed: number;
  /** Kept days in a row until now, of those asked for; and the longest ever. */
  readonly run: number;
  readonly longestRun: number;
  /** Kept of this week, of what it asks for, 0 to 1; null in a week that asks for nothing. */
  readonly week: { readonly kept: number; readonly asked: number } | null;
  /** Missed days in a row until now. */
  readonly missedNow: number;
  /** After three of them a smaller one is offered. */
  readonly offerSmaller: boolean;
}

/** A dose done to this much counts as done: a child that lost count by one did it. Ours. */
const wholeShare = 0.95;
/** After so many missed days in a row a smaller vow is offered. */
const missesToOffer = 3;

export const isKept = (share: number): boolean => share >= wholeShare;

export const rests = (pauses: readonly Pause[], day: number): boolean =>
  pauses.some(({ from, until }) => day >= from && (until === null || day <= until));

/**
 * How a vow was kept until a day. Missed days do not pile up: each day asks for its own dose and no more. A day that
 * rests asks for nothing and breaks no run, and today is missed only once it is over.
 * @param planned days that ask for a dose, in order
 */
export function keepingOf(
  planned: readonly number[],
  done: readonly DayDone[],
  pauses: readonly Pause[],
  today: number,
): Keeping {
  const byDay = new Map(done.map((one) => [one.day, one]));
  const kept = done.filter(({ share }) => isKept(share));
  const asked = planned.filter((day) => day <= today && !rests(pauses, day));
  let [run, longestRun, missedNow, missed] = [0, 0, 0, 0];
  for (const day of asked) {
    const one = byDay.get(day);
    const whole = one !== undefined && isKept(one.share);
    if (day === today && !whole) continue;
    run = whole ? run + 1 : 0;
    longestRun = Math.max(longestRun, run);
    const nothing = !one || one.share <= 0;
    missedNow = nothing ? missedNow + 1 : 0;
    if (nothing) missed += 1;
  }
  const monday = today - weekdayOf(today) + 1;
  const ofWeek = planned.filter((day) => day >= monday && day < monday + 7 && !rests(pauses, day));
  const keptThisWeek = kept.filter(({ day }) => day >= monday && day < monday + 7).length;
  return {
    kept: kept.length,
    started: done.filter((one) => one.share > 0 && !isKept(one.share)).length,
    asked: asked.filter((day) => day < today || (byDay.has(day) && isKept(byDay.get(day)!.share))).length,
    keptOfAsked: asked.filter((day) => isKept(byDay.get(day)?.share ?? 0)).length,
    missed,
    run,
    longestRun,
    week: ofWeek.length === 0 ? null : { kept: Math.min(keptThisWeek, ofWeek.length), asked: ofWeek.length },
    missedNow,
    offerSmaller: missedNow >= missesToOffer,
  };
}
