import { seededRandom, type Random } from '../../base/random';
import { foresee } from '../expect/forecast';
import { assumptions, type Kind } from '../level/assumptions';
import type { Dated } from '../level/follow';
import { waysOn } from '../level/ways';

/*
 * Players who learn by rules the model does not know: what its forecasts are measured on. Their results are made in
 * the result's own unit, not on the model's scale, with days that are good or bad by so many in a hundred.
 */

/** How they learn: not at all, a little every week, soon and then no more, or all at once on some day. */
export const worlds = ['none', 'little', 'plateau', 'sudden'] as const;
export type World = (typeof worlds)[number];

/** What is measured in these worlds: counts against the clock, and rows. */
export type WorldKind = Extract<Kind, 'rate' | 'chance'>;

export interface Lived {
  readonly dated: readonly Dated[];
  /** The best result of each day so far. */
  readonly best: number;
  /** Where players who come to this step usually are, on the model's scale. */
  readonly usual: number;
  /** What the days to come bring: the best result of each. */
  readonly ahead: readonly number[];
  readonly daysAhead: readonly number[];
  /** What is usual for them on the last day with counts. */
  readonly now: number;
}

const roundsADay = 3;
export const worldBoxS = 20;
/** Rows are begun anew so often on a day. */
const rowsADay = 6;

/** Twice a week. */
const dayAt = (n: number): number => Math.floor(n / 2) * 7 + (n % 2) * 3;

/** By how much better somebody is after some weeks, as a factor of what they could at first. */
function learnt(world: World, countedWeeks: number, random: Random): (week: number) => number {
  switch (world) {
    case 'none':
      return () => 1;
    case 'little':
      return (week) => 1 + 0.01 * week;
    case 'plateau': {
      const soon = 1.5 + 2.5 * random();
      return (week) => 1 + 0.3 * (1 - Math.exp(-week / soon));
    }
    case 'sudden': {
      const on = countedWeeks * random();
      return (week) => (week >= on ? 1.25 : 1);
    }
  }
}

/** Around a middle by up to so much of it, each as likely. */
const about = (random: Random, share: number): number => 1 + share * (2 * random() - 1);

/**
 * One player of a world: some days with counts, and the days that follow.
 * @param sessions days with counts; @param more days to come
 */
export function livedIn(
  world: World,
  kind: WorldKind,
  sessions: number,
  more: number,
  random: Random,
): Lived {
  const usualCount = kind === 'rate' ? 12 + 18 * random() : 6 + 9 * random();
  const first = usualCount * about(random, 0.45);
  const days = Array.from({ length: sessions + more }, (_, n) => dayAt(n));
  const better = learnt(world, days[sessions - 1]! / 7, random);
  const dated: Dated[] = [];
  const bests: number[] = [];
  for (const day of days) {
    const today = first * better(day / 7) * about(random, 0.12);
    const { results, evidence } = kind === 'rate' ? counted(today, random) : rows(today, random);
    bests.push(Math.max(...results));
    dated.push({ day, evidence });
  }
  return {
    dated: dated.slice(0, sessions),
    best: Math.max(...bests.slice(0, sessions)),
    usual: levelOf(kind, usualCount),
    ahead: bests.slice(sessions),
    daysAhead: days.slice(sessions),
    now: first * better(days[sessions - 1]! / 7),
  };
}

/** A usual result as a level on the model's scale: of rows the odds of a touch. */
const levelOf = (kind: WorldKind, result: number): number =>
  kind === 'rate' ? Math.log(result / worldBoxS) : Math.log(result);

/** Touches in a time box come one after the other with gaps that vary, and a slip now and then costs two of them. */
function counted(expected: number, random: Random) {
  const gap = worldBoxS / expected / 1.08;
  const results = Array.from({ length: roundsADay }, () => {
    let [atS, n] = [0, 0];
    for (;;) {
      atS += gap * about(random, 0.6) + (random() < 0.04 ? 2 * gap : 0);
      if (atS > worldBoxS) return n;
      n += 1;
    }
  });
  const sum = results.reduce((all, one) => all + one, 0);
  return { results, evidence: { kind: 'rate' as const, sum, of: roundsADay * worldBoxS } };
}

/** Rows end at a touch that drops, as easily at each. */
function rows(expected: number, random: Random) {
  const holds = expected / (expected + 1);
  const results = Array.from({ length: rowsADay }, () => {
    let n = 0;
    while (random() < holds) n += 1;
    return n;
  });
  const sum = results.reduce((all, one) => all + one, 0);
  return { results, evidence: { kind: 'chance' as const, sum, of: sum + rowsADay } };
}

/** How forecasts held in a world. */
export interface Held {
  /** Share of players whose day of passing lay in the range of 80 %. */
  readonly inside: number;
  /** Chance to pass that was said on average, and the share that did. */
  readonly said: number;
  readonly came: number;
}

/** Days to come, six weeks. */
const more = 12;
/** The mark is to be reached on so many days. */
const markDays = 2;

/** A mark to be foreseen: one more than ever, or so many times what is usual by now. */
export type WorldMark = 'best plus one' | 'a little more' | 'much more';
export const worldMarks: readonly WorldMark[] = ['best plus one', 'a little more', 'much more'];
const marks: Readonly<Record<WorldMark, (lived: Lived, kind: WorldKind) => number>> = {
  'best plus one': ({ best }) => best + 1,
  'a little more': ({ now }, kind) => Math.round(now * (kind === 'rate' ? 1.1 : 2)),
  'much more': ({ now }, kind) => Math.round(now * (kind === 'rate' ? 1.25 : 3)),
};

/**
 * Foresees so many players of a world, each seen on 8 to 19 days. Where a day of passing lies among those foreseen is a
 * number from 0 to 1, each as likely where forecasts are right; who does not pass lies somewhere in what was left over
 * (Rosenblatt 1952, the probability integral transform; from memory).
 */
export function heldIn(
  world: World,
  kind: WorldKind,
  markOf: WorldMark,
  players: number,
  seed: number,
): Held {
  const random = seededRandom(seed);
  let [inside, said, came] = [0, 0, 0];
  for (let n = 0; n < players; n++) {
    const lived = livedIn(world, kind, 8 + Math.floor(12 * random()), more, random);
    const { dated, usual, daysAhead, ahead } = lived;
    const mark = marks[markOf](lived, kind);
    const ways = waysOn(kind, { mean: usual, variance: assumptions[kind].apart ** 2 }, dated);
    const goal = { kind, mark, inARow: kind === 'chance', tries: 1, boxS: worldBoxS, mostEach: 1 };
    const attempts = kind === 'rate' ? roundsADay : rowsADay;
    const by = (days: number): number =>
      days < markDays
        ? 0
        : foresee(
            ways,
            dated.at(-1)!.day,
            goal,
            { days: daysAhead.slice(0, days), attempts, missingDays: markDays },
            seededRandom(n),
          ).byTheEnd;
    const reached = ahead.flatMap((best, day) => (best >= mark ? [day] : []));
    const passed = reached[markDays - 1];
    const [low, high] = passed === undefined ? [by(more), 1] : [by(passed), by(passed + 1)];
    const place = low + (high - low) * random();
    if (place > 0.1 && place < 0.9) inside += 1;
    said += by(more);
    if (passed !== undefined) came += 1;
  }
  return { inside: inside / players, said: said / players, came: came / players };
}
