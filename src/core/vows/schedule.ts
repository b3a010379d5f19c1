import { cappedKinds, homeMinutes, sessionCap, weekCaps, type Capped } from '../care/limits';
import { nothingBooked, type Booked, type VowAsk, type VowDay, type VowSize } from './vow';

const weekLong = 7;
/** What rounding may leave over a line. */
export const hair = 1e-9;

/** What a vow is asked with, and which of its limits count. All of them, unless one is looked at by leaving it out. */
export type Rules = Pick<
  VowAsk,
  'sizes' | 'growth' | 'minutes' | 'age' | 'booked' | 'limit' | 'limitedOn'
> & {
  readonly without?: ReadonlySet<string>;
};

const counts = ({ without }: Rules, what: string): boolean => !without?.has(what);
const on = ({ booked }: Rules, day: number): Booked => booked.get(day) ?? nothingBooked;

/** May a size be done on a day, as far as that day by itself says? */
function fitsTheDay(rules: Rules, day: number, size: VowSize): boolean {
  const { age, minutes, limit, limitedOn } = rules;
  const there = on(rules, day);
  if (counts(rules, 'minutes') && size.seconds > minutes * 60 + hair) return false;
  if (counts(rules, 'home minutes') && there.homeS + size.seconds > homeMinutes * 60 + hair) return false;
  for (const what of cappedKinds) {
    if (!counts(rules, what) || size.load[what] === 0) continue;
    if (there.load[what] + size.load[what] > sessionCap(age, what) + hair) return false;
  }
  if (limit && counts(rules, 'days apart')) {
    if (size.load.tries > limit.tries + hair) return false;
    if (limitedOn.some((other) => Math.abs(other - day) < limit.daysApart)) return false;
  }
  return true;
}

/** The largest size the weeks passed have grown to: never more than the coach lets it grow. */
function grownTo(rules: Rules, start: number, week: number): number {
  const { sizes, growth } = rules;
  if (!counts(rules, 'growth')) return sizes.length - 1;
  const most = sizes[start]!.good * (1 + growth) ** week + hair;
  let size = start;
  while (size + 1 < sizes.length && sizes[size + 1]!.good <= most) size += 1;
  return size;
}

/** The size each day would have: as far as it has grown, or the largest below it that the day bears; -1 for none. */
export function wantedSizes(rules: Rules, days: readonly number[], start: number): Int32Array {
  const first = days[0] ?? 0;
  return Int32Array.from(days, (day) => {
    let size = grownTo(rules, start, Math.floor((day - first) / weekLong));
    while (size >= 0 && !fitsTheDay(rules, day, rules.sizes[size]!)) size -= 1;
    return size;
  });
}

/**
 * What later days may do hangs on the days done behind them: the last six as bits (the lowest is the day before), or, where
 * a step wants more than a week between, how many days ago it was done last.
 */
interface Memory {
  readonly states: number;
  readonly first: number;
  /** The last six days of a state, as bits. */
  readonly recent: (state: number) => number;
  readonly rested: (state: number) => boolean;
  readonly after: (state: number, done: boolean) => number;
}

const weekBits = (1 << (weekLong - 1)) - 1;

function memoryFor(apart: number): Memory {
  if (apart <= weekLong) {
    const close = apart > 1 ? (1 << (apart - 1)) - 1 : 0;
    return {
      states: weekBits + 1,
      first: 0,
      recent: (state) => state,
      rested: (state) => (state & close) === 0,
      after: (state, done) => ((state << 1) | (done ? 1 : 0)) & weekBits,
    };
  }
  return {
    states: apart + 1,
    first: apart,
    recent: (ago) => (ago < weekLong ? 1 << (ago - 1) : 0),
    rested: (ago) => ago >= apart,
    after: (ago, done) => (done ? 1 : Math.min(apart, ago + 1)),
  };
}

const rollingSums = new WeakMap<ReadonlyMap<number, Booked>, Map<string, number>>();

/** What others have booked of a load in the seven days that end with a day. */
function bookedUntil(booked: ReadonlyMap<number, Booked>, what: Capped, end: number): number {
  let sums = rollingSums.get(booked);
  if (!sums) rollingSums.set(booked, (sums = new Map()));
  const key = `${what} ${end}`;
  let sum = sums.get(key);
  if (sum === undefined) {
    sum = 0;
    for (let day = end - weekLong + 1; day <= end; day++) sum += booked.get(day)?.load[what] ?? 0;
    sums.set(key, sum);
  }
  return sum;
}

/**
 * The most a vow can give: each seven days by themselves, as much as is wanted of them or their lines leave. Never less
 * than {@link bestDays} finds, and far cheaper.
 */
export function atMost(rules: Rules, days: readonly number[], wanted: Int32Array): number {
  const { sizes, age, booked } = rules;
  const watched = cappedKinds.filter((what) => counts(rules, what) && sizes.at(-1)!.load[what] > 0);
  const perLoad = watched.map((what) =>
    Math.max(...sizes.map(({ good, load }) => (load[what] > 0 ? good / load[what] : Infinity))),
  );
  let [total, week, until] = [0, 0, -Infinity];
  const close = () => {
    if (week === 0) return;
    const most = watched.map((what, w) => {
      const left = sessionCap(age, what) * weekCaps - bookedUntil(booked, what, until);
      return Math.max(0, left) * perLoad[w]!;
    });
    total += Math.min(week, ...most);
  };
  for (const [i, day] of days.entries()) {
    if (day > until) {
      close();
      [week, until] = [0, day + weekLong - 1];
    }
    if (wanted[i]! >= 0) week += sizes[wanted[i]!]!.good;
  }
  close();
  return total;
}

/**
 * The days on which a vow is kept, for the most good repetitions, when its dose begins at a size. Exact: what later days
 * may do hangs on the days done in the span behind them only, so the best way to each such pattern is kept, day by day.
 * Where two ways give the same, the one with the earlier days is taken.
 * @param days the days it may fall on, in order
 * @param wanted the size each of them would have, as {@link wantedSizes} says
 * @param until stops at the first day by which so many good repetitions are reached
 */
export function bestDays(
  rules: Rules,
  days: readonly number[],
  wanted: Int32Array,
  until = Infinity,
): { readonly days: readonly VowDay[]; readonly good: number; readonly reachedOn: number | null } {
  const { sizes, age, limit, booked } = rules;
  const watched = cappedKinds.filter(
    (what) => counts(rules, what) && sizes.some(({ load }) => load[what] > 0),
  );
  const apart = limit && counts(rules, 'days apart') ? limit.daysApart : 0;
  if (watched.length === 0 && apart <= 1) {
    const all: VowDay[] = [];
    let good = 0;
    for (const [i, day] of days.entries()) {
      if (good + hair >= until) break;
      const size = wanted[i]!;
      if (size < 0) continue;
      all.push({ day, size });
      good += sizes[size]!.good;
    }
    return { days: all, good, reachedOn: good + hair >= until ? (all.at(-1)?.day ?? null) : null };
  }
  const first = days[0] ?? 0;
  /** Each load watched, by the day counted from the first one; and what is left of each week that ends with a day. */
  const lines = watched.map((what) => {
    const own = new Float64Array((days.at(-1) ?? 0) - first + 1);
    for (const [i, day] of days.entries())
      if (wanted[i]! >= 0) own[day - first] = sizes[wanted[i]!]!.load[what];
    const cap = sessionCap(age, what) * weekCaps + hair;
    const left = Float64Array.from(
      { length: own.length + weekLong },
      (_, i) => cap - bookedUntil(booked, what, first + i),
    );
    return { own, left };
  });

  const { states, first: from, recent, rested, after } = memoryFor(apart);
  // The most repetitions by the state they lead to (-1 where nothing does), and the state before it on each day.
  let best = new Float64Array(states).fill(-1);
  best[from] = 0;
  const before: Int16Array[] = [];
  let reachedOn: number | null = null;
  let at = first;
  for (const [i, day] of days.entries()) {
    // Days in between that are not asked for only pass.
    const asleep = Int16Array.from({ length: states }, (_, state) => {
      let now = state;
      for (let gone = Math.min(day - at, states); gone > 0; gone--) now = after(now, false);
      return now;
    });
    at = day + 1;
    const next = new Float64Array(states).fill(-1);
    const came = new Int16Array(states).fill(-1);
    const size = wanted[i]!;
    const keep = (state: number, good: number, by: number) => {
      if (good <= next[state]! + hair) return;
      next[state] = good;
      came[state] = by;
    };
    for (let state = 0; state < states; state++) {
      const good = best[state]!;
      if (good < 0) continue;
      const now = asleep[state]!;
      if (size >= 0 && rested(now) && mayFollow(recent(now), day - first))
        keep(after(now, true), good + sizes[size]!.good, state);
      keep(after(now, false), good, state);
    }
    best = next;
    before.push(came);
    if (Math.max(...best) + hair >= until) {
      reachedOn = day;
      break;
    }
  }
  let state = best.reduce((most, good, one) => (good > best[most]! + hair ? one : most), 0);
  const good = Math.max(0, best[state]!);
  const chosen: VowDay[] = [];
  for (let i = before.length - 1; i >= 0; i--) {
    const last = before[i]![state]!;
    // Only a day that was done leads to a state whose day before was done.
    if ((recent(state) & 1) === 1) chosen.unshift({ day: days[i]!, size: wanted[i]! });
    state = last;
  }
  return { days: chosen, good, reachedOn };

  /** May a day be done after the recent ones? Every week it falls into is looked at, as far as others have booked it. */
  function mayFollow(done: number, day: number): boolean {
    for (const { own, left } of lines) {
      let sum = own[day]!;
      if (sum === 0) continue;
      // The further ahead a week ends, the fewer of its own days it has: from the longest ahead to the one that ends today.
      for (let ahead = weekLong - 1; ahead >= 0; ahead--) {
        if (sum > left[day + ahead]!) return false;
        const ago = weekLong - ahead;
        if (((done >> (ago - 1)) & 1) === 1) sum += own[day - ago]!;
      }
    }
    return true;
  }
}
