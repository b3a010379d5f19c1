import { normal, type Random } from '../../base/random';
import type { Tapped, Told } from '../honest';

/*
 * Seasons of counting, honest and not: what the checks of core/skill/honest are measured on.
 */

/** Counts of a season: ten weeks of four days, eight each. */
const counts = 320;

/** What can be counted and told, each with the end its dose sets. */
export const toldKinds = ['open rows', 'rows to 20', 'sets of ten', 'against the clock', 'laps'] as const;
export type ToldKind = (typeof toldKinds)[number];

/** Counts of a kind as honest children tell them: one after the other, each with its place in the season, 0 to 1. */
function honestCounts(kind: ToldKind, random: Random): (place: number) => number {
  /** Touches until the ball falls: it falls as easily at each. */
  const row = (expected: number) => Math.round(-Math.log(1 - random()) * expected);
  const level = 8 + 22 * random();
  switch (kind) {
    case 'open rows':
      // Rows end when they end: anything from nothing to long.
      return (place) => Math.max(1, row(level * (1 + place) * Math.exp(normal(random, 0, 0.3))));
    case 'rows to 20':
      return (place) => Math.min(20, row(level * (1 + place)));
    case 'sets of ten': {
      const good = 0.5 + 0.4 * random();
      return () => Array.from({ length: 10 }, random).filter((at) => at < good).length;
    }
    case 'against the clock': {
      // Nearly the same every time: nobody is twice as fast as yesterday.
      const [usual, spread, gain] = [10 + 35 * random(), 0.8 + 2 * random(), 0.3 * random()];
      return (place) => Math.max(0, Math.round(normal(random, usual * (1 + gain * place), spread)));
    }
    case 'laps': {
      const [usual, spread] = [8 + 8 * random(), 0.2 + 0.4 * random()];
      return () => Math.round(10 * normal(random, usual, spread)) / 10;
    }
  }
}

const ends: Readonly<Record<ToldKind, number>> = {
  'open rows': Infinity,
  'rows to 20': 20,
  'sets of ten': 10,
  'against the clock': Infinity,
  laps: Infinity,
};

/**
 * A season of counts told, honestly or with some rounded up to the next five.
 * @param roundedUp the share that is
 */
export function toldSeason(random: Random, roundedUp: number, kind: ToldKind = 'open rows'): Told[] {
  const next = honestCounts(kind, random);
  // Enough to pass: somewhere in what comes anyway.
  const aim = Math.round(next(0.5));
  return Array.from({ length: counts }, (_, n) => {
    const count = next(n / counts);
    const result = random() < roundedUp ? Math.ceil(count / 5) * 5 : count;
    return { step: kind, result, end: ends[kind], aim };
  });
}

export interface Habits {
  /** Chance that a touch is counted twice. */
  readonly twice?: number;
  /** Chance that a drop is let pass. */
  readonly pass?: number;
}

/** A month of tapping: some thousand touches, with a laugh or a shoelace now and then. */
export function tappedMonth(random: Random, { twice = 0, pass = 0 }: Habits = {}): Tapped[] {
  return Array.from({ length: 24 }, () => {
    const beatS = 0.5 + random();
    const dropCostS = 2 + 3 * random();
    const drop = 0.02 + 0.15 * random();
    const gaps: number[] = [];
    let drops = 0;
    for (let n = 0; n < 60; n++) {
      const gap = Math.max(0.2, normal(random, beatS, beatS * 0.15));
      if (random() < drop) {
        if (random() < pass) gaps.push(gap + dropCostS * (0.8 + 0.6 * random()));
        else drops += 1;
        continue;
      }
      gaps.push(random() < 0.003 ? gap + 5 * random() : gap);
      if (random() < twice) gaps.push(0.04 + 0.04 * random());
      // The screen itself is touched twice once in a while.
      else if (random() < 0.0008) gaps.push(0.06);
    }
    return { gaps, drops, dropCostS, ballS: 0 };
  });
}
