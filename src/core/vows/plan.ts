import { homeMinutes } from '../care/limits';
import { atMost, bestDays, hair, wantedSizes, type Rules } from './schedule';
import { vowLimits, weekdayOf, type VowAsk, type VowDay, type VowLimit } from './vow';

/** What is in the way of an aim, and the nearest that can be done. */
export interface VowShort {
  /** The limit that alone keeps it from being done; `days` where it is simply the time until its last day. */
  readonly limit: VowLimit;
  /** Good repetitions missing. */
  readonly missing: number;
  /** The same until a later day; null where even half a year is not enough. */
  readonly later: number | null;
  /** The same with more minutes a day; null where no number up to a vow's most is enough. */
  readonly longer: number | null;
}

export interface VowPlan {
  readonly days: readonly VowDay[];
  /** Good repetitions and seconds, all days together. */
  readonly good: number;
  readonly seconds: number;
  /** The size it begins at; -1 where no day bears even the smallest. */
  readonly start: number;
  /** Days that were ticked and get none, because a limit of care is full. */
  readonly rested: readonly number[];
  /** Null where the aim is met, as far as repetitions say. */
  readonly short: VowShort | null;
}

/** Longest a vow lasts, and how far ahead a later end is looked for, days: twenty-six weeks. Ours. */
export const longestVowDays = 182;

type Found = Omit<VowPlan, 'rested' | 'short'>;

interface Start {
  readonly start: number;
  readonly wanted: Int32Array;
  /** The most it can give. */
  readonly most: number;
}

/** What a vow may begin with, the smallest first; sizes that come to the same on every day are looked at once. */
function startsOf(rules: Rules, days: readonly number[]): Start[] {
  const seen = new Set<string>();
  const starts: Start[] = [];
  for (let start = 0; start < rules.sizes.length; start++) {
    const wanted = wantedSizes(rules, days, start);
    const key = wanted.join(' ');
    if (seen.has(key)) continue;
    seen.add(key);
    starts.push({ start, wanted, most: atMost(rules, days, wanted) });
  }
  return starts;
}

/** The smallest size at which a number of repetitions is reached; the one that gives most where none is. */
function sizedFor(rules: Rules, days: readonly number[], reps: number): Found {
  let best: Found = { days: [], good: 0, seconds: 0, start: -1 };
  const starts = startsOf(rules, days);
  for (const { start, wanted, most } of starts) {
    if (most + hair < reps) continue;
    const one = planAt(rules, days, start, wanted);
    if (one.good + hair >= reps) return one;
    if (one.good > best.good + hair) best = one;
  }
  // None reaches it: those that could give most are looked at first, and the others only while they could give more.
  const others = starts.filter(({ most }) => most + hair < reps).sort((a, b) => b.most - a.most);
  for (const { start, wanted, most } of others) {
    if (most <= best.good + hair) break;
    const one = planAt(rules, days, start, wanted);
    if (one.good > best.good + hair) best = one;
  }
  return best;
}

/** Can a number of repetitions be reached at all? */
const reaches = (rules: Rules, days: readonly number[], reps: number): boolean =>
  startsOf(rules, days).some(
    ({ wanted, most }) => most + hair >= reps && bestDays(rules, days, wanted, reps).reachedOn !== null,
  );

function planAt(rules: Rules, days: readonly number[], start: number, wanted: Int32Array): Found {
  const { sizes } = rules;
  const chosen = bestDays(rules, days, wanted);
  return {
    days: chosen.days,
    good: chosen.good,
    start: chosen.days.length === 0 ? -1 : start,
    seconds: chosen.days.reduce((sum, { size }) => sum + sizes[size]!.seconds, 0),
  };
}

/**
 * A vow on its days. Deterministic; what it cannot do is said with the limit it fails at and the nearest that can be done.
 * - for repetitions: the smallest dose that reaches them, on as many of the days as care allows
 * - for a mark or a habit: the usual dose, or the largest below it that every week bears
 * @throws RangeError where there are no sizes
 */
export function planVow(ask: VowAsk): VowPlan {
  const { days, sizes, usual, aim } = ask;
  if (sizes.length === 0) throw new RangeError('A vow needs at least one size of its dose.');
  const rules: Rules = aim.kind === 'habit' ? { ...ask, growth: 0 } : ask;
  const found = aim.kind === 'reps' ? sizedFor(rules, days, aim.reps) : mostDays(rules, days, usual);
  const done = new Set(found.days.map(({ day }) => day));
  const rested = days.filter((day) => !done.has(day));
  const missing = aim.kind === 'reps' ? aim.reps - found.good : 0;
  const failed = missing > hair || found.days.length === 0;
  return { ...found, rested, short: failed ? whatIsShort(rules, ask, missing) : null };
}

/** The size from the usual one down that is done on the most days; of equals the largest. */
function mostDays(rules: Rules, days: readonly number[], usual: number): Found {
  const at = (start: number) => planAt(rules, days, start, wantedSizes(rules, days, start));
  let best = at(usual);
  for (let start = usual - 1; start >= 0 && best.days.length < days.length; start--) {
    const one = at(start);
    if (one.days.length > best.days.length) best = one;
  }
  return best;
}

function whatIsShort(rules: Rules, { days, aim, usual, minutes }: VowAsk, missing: number): VowShort {
  // A mark or a habit is short only where not one day bears it: anything at all is enough, and nothing is not.
  const reps = aim.kind === 'reps' ? aim.reps : 2 * hair;
  const met = (tried: Rules): boolean =>
    aim.kind === 'reps' ? reaches(tried, days, reps) : mostDays(tried, days, usual).days.length > 0;
  const limit = vowLimits.find((one) => inTheWay(rules, one) && met({ ...rules, without: new Set([one]) }));
  return {
    limit: limit ?? 'days',
    missing,
    later: laterDay(rules, days, reps),
    longer: longerMinutes(minutes, (more) => met({ ...rules, minutes: more })),
  };
}

/** Can a limit be in the way at all? */
function inTheWay({ sizes, limit }: Rules, what: VowLimit): boolean {
  if (what === 'days') return false;
  if (what === 'days apart') return limit !== null;
  if (what === 'forearm' || what === 'contacts' || what === 'overheads') return sizes.at(-1)!.load[what] > 0;
  return true;
}

/** The first day by which it can be done on the same days of the week. */
function laterDay(rules: Rules, days: readonly number[], reps: number): number | null {
  const [first, last] = [days[0], days.at(-1)];
  if (first === undefined || last === undefined) return null;
  const ticked = new Set(days.map(weekdayOf));
  const more = [...days];
  for (let day = last + 1; day <= first + longestVowDays; day++)
    if (ticked.has(weekdayOf(day))) more.push(day);
  let soonest: number | null = null;
  const starts = startsOf(rules, more).filter(({ most }) => most + hair >= reps);
  for (const { wanted } of starts) {
    // A size that is later than the soonest known is of no interest.
    const tried: number[] = soonest === null ? more : more.filter((day) => day < soonest!);
    if (atMost(rules, tried, wanted) + hair < reps) continue;
    soonest = bestDays(rules, tried, wanted, reps).reachedOn ?? soonest;
  }
  return soonest;
}

/** The fewest minutes a day that are enough: more never give less. */
function longerMinutes(minutes: number, enough: (minutes: number) => boolean): number | null {
  let [low, high] = [minutes + 1, homeMinutes];
  if (low > high || !enough(high)) return null;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (enough(middle)) high = middle;
    else low = middle + 1;
  }
  return low;
}
