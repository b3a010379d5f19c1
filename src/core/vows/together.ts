import { cappedKinds, cappedWords, homeMinutes, sessionCap, weekCaps, type Capped } from '../care/limits';
import { addLoads, type LoadSum } from '../dose/load';
import { hair } from './schedule';
import { nothingBooked, weekdayOf, type Booked } from './vow';

/** One day of one vow. */
export interface PromisedDay {
  readonly vowId: string;
  /** When the vow was made: of two that give the same, the newer gives way. */
  readonly madeAtMs: number;
  readonly title: string;
  readonly day: number;
  readonly seconds: number;
  /** Good repetitions to expect. */
  readonly good: number;
  readonly load: LoadSum;
}

export interface WeekTotal {
  /** Its Monday. */
  readonly monday: number;
  readonly homeS: number;
  readonly courtS: number;
  readonly good: number;
  readonly load: LoadSum;
}

/** A line that all vows of a child together go over, and which of them gives way. */
export interface TooMuch {
  readonly what: Capped | 'home minutes';
  /** The day, or the last day of the seven. */
  readonly day: number;
  readonly span: 'day' | 'week';
  readonly total: number;
  readonly line: number;
  readonly vowId: string;
  /** One sentence. */
  readonly text: string;
}

/** Everything a child does at home and on court, week by week, from Monday. */
export function weekTotals(
  promised: readonly PromisedDay[],
  sessions: ReadonlyMap<number, Booked>,
): WeekTotal[] {
  const weeks = new Map<number, WeekTotal>();
  const add = (day: number, more: Omit<WeekTotal, 'monday'>) => {
    const monday = day - weekdayOf(day) + 1;
    const week = weeks.get(monday) ?? { monday, homeS: 0, courtS: 0, good: 0, load: nothingBooked.load };
    weeks.set(monday, {
      monday,
      homeS: week.homeS + more.homeS,
      courtS: week.courtS + more.courtS,
      good: week.good + more.good,
      load: addLoads(week.load, more.load),
    });
  };
  for (const { day, seconds, good, load } of promised) add(day, { homeS: seconds, courtS: 0, good, load });
  for (const [day, { load, courtS }] of sessions) add(day, { homeS: 0, courtS, good: 0, load });
  return [...weeks.values()].sort((a, b) => a.monday - b.monday);
}

/**
 * Where all vows of a child, with the sessions, go over a line: the first day of each line, and which vow gives way: the
 * one that gives the most of it; of equals the newest.
 * @param words how a day is named in the sentence
 */
export function tooMuch(
  promised: readonly PromisedDay[],
  sessions: ReadonlyMap<number, Booked>,
  { age, name }: { readonly age: number; readonly name: string },
  words: (day: number) => string,
): TooMuch[] {
  const days = [...new Set(promised.map(({ day }) => day))].sort((a, b) => a - b);
  const found: TooMuch[] = [];
  const say = (
    what: TooMuch['what'],
    day: number,
    span: TooMuch['span'],
    [total, line]: readonly [number, number],
    share: (one: PromisedDay) => number,
  ) => {
    const within = promised.filter((one) => one.day <= day && one.day > day - (span === 'day' ? 1 : 7));
    const giver = heaviest(within, share);
    if (!giver || found.some((one) => one.what === what)) return;
    const unit =
      what === 'home minutes'
        ? `${Math.ceil(total)} minutes at home`
        : `${Math.round(total)} ${cappedWords[what]}`;
    const when = span === 'day' ? `on ${words(day)}` : `in the seven days to ${words(day)}`;
    const text = `${name} would do ${unit} ${when}; at ${age} the line is ${line}. “${giver.title}” gives way: it asks for the most of it.`;
    found.push({ what, day, span, total, line, vowId: giver.vowId, text });
  };
  for (const day of days) {
    const own = promised.filter((one) => one.day === day);
    const minutes = own.reduce((sum, { seconds }) => sum + seconds, 0) / 60;
    if (minutes > homeMinutes + hair)
      say('home minutes', day, 'day', [minutes, homeMinutes], ({ seconds }) => seconds);
    for (const what of cappedKinds) {
      const cap = sessionCap(age, what);
      const share = ({ load }: PromisedDay) => load[what];
      const home = own.reduce((sum, one) => sum + share(one), 0);
      if (home === 0) continue;
      const total = home + (sessions.get(day) ?? nothingBooked).load[what];
      if (total > cap + hair) say(what, day, 'day', [total, cap], share);
      let week = 0;
      for (let other = day - 6; other <= day; other++)
        week += (sessions.get(other) ?? nothingBooked).load[what];
      for (const one of promised) if (one.day <= day && one.day > day - 7) week += share(one);
      if (week > cap * weekCaps + hair) say(what, day, 'week', [week, cap * weekCaps], share);
    }
  }
  return found;
}

function heaviest(days: readonly PromisedDay[], share: (one: PromisedDay) => number): PromisedDay | null {
  const sums = new Map<string, { readonly one: PromisedDay; readonly sum: number }>();
  for (const one of days) sums.set(one.vowId, { one, sum: (sums.get(one.vowId)?.sum ?? 0) + share(one) });
  let most: { readonly one: PromisedDay; readonly sum: number } | null = null;
  for (const next of sums.values())
    if (
      next.sum > 0 &&
      (!most ||
        next.sum > most.sum + hair ||
        (next.sum > most.sum - hair && next.one.madeAtMs > most.one.madeAtMs))
    )
      most = next;
  return most?.one ?? null;
}
