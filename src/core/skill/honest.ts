import { groupBy } from '../base/group-by';
import { normalBelow } from './expect/normal';
import { binomialAtMost } from './expect/normal';
import { heaping } from './heaping';

/*
 * Do the counts look like counts? What is found is a friendly word to the coach, never to the child, and changes nothing.
 * Every finding carries the chance of the same under honest counting.
 */

/** Taps nearer to each other than this are one finger's, seconds. Common practice in timing: no source. */
export const fingerS = 0.1;
/** Tapped on purpose one cannot be so fast, on a screen or with a ball of any height: seconds. */
const leastOfGaps = 0.01;
/** Fewer of a kind than this are an accident. Ours. */
const leastFound = 6;
/** Honest counting brings what is said to the coach less often than this. Ours. */
const seldom = 0.002;
/** An honest row has a pause in it, for a laugh or a shoelace, at one touch in so many. Ours. */
const honestPause = 0.01;

export const doubts = [
  'doubled',
  'passed drops',
  'round numbers',
  'always the aim',
  'home far above court',
  'faster than the ball',
] as const;
export type Doubt = (typeof doubts)[number];

export interface Finding {
  readonly doubt: Doubt;
  readonly n: number;
  readonly of: number;
  /** Chance of as much, or more, under honest counting. */
  readonly chance: number;
}

/** Chance of at least `n` of `of` at an honest share. */
const atLeast = (n: number, of: number, share: number): number => 1 - binomialAtMost(n - 1, of, share);

/** Touches of one player, on steps as they were done: the gaps from one to the next within a try. */
export interface Tapped {
  /** Gaps between touches with no drop between them, seconds. */
  readonly gaps: readonly number[];
  readonly drops: number;
  /** Seconds a drop costs on this step. */
  readonly dropCostS: number;
  /** The shortest time the ball allows from one touch to the next; 0 where no ball sets it. */
  readonly ballS: number;
}

/** Taps of one block that are closer together than a finger. */
export const doubledIn = ({ gaps }: Tapped): number => gaps.filter((gap) => gap < fingerS).length;

const sumOf = (all: readonly Tapped[], of: (one: Tapped) => number): number =>
  all.reduce((sum, one) => sum + of(one), 0);

/** Taps closer together than a finger: each touch counted twice now and then. */
export function doubled(all: readonly Tapped[]): Finding | null {
  const gaps = all.flatMap((one) => one.gaps);
  const n = sumOf(all, doubledIn);
  const chance = n === 0 ? 1 : atLeast(n, gaps.length, leastOfGaps / 2);
  return n >= leastFound && n / gaps.length > leastOfGaps && chance < seldom
    ? { doubt: 'doubled', n, of: gaps.length, chance }
    : null;
}

/** Gaps a finger and a ball can make, the shortest first; none where they are too few to know what is usual. */
function realGaps({ gaps, dropCostS }: Tapped): number[] {
  const real = gaps.filter((gap) => gap >= fingerS).sort((a, b) => a - b);
  return real.length < 8 || dropCostS < 0.5 ? [] : real;
}

/** Pauses in the rows of one block that are as long as fetching the ball takes. */
export function pausesIn(one: Tapped): number {
  const real = realGaps(one);
  const usual = real[Math.floor(real.length / 2)] ?? 0;
  return real.filter((gap) => gap > Math.max(usual + 0.7 * one.dropCostS, 1.8 * usual)).length;
}

/** Rows that go on over a pause as long as a drop takes: the ball was fetched, and no drop was counted. */
export function passedDrops(all: readonly Tapped[]): Finding | null {
  const readable = all.filter((one) => realGaps(one).length > 0);
  const n = sumOf(readable, pausesIn);
  const of = sumOf(readable, (one) => realGaps(one).length);
  const drops = sumOf(readable, (one) => one.drops);
  const chance = n === 0 ? 1 : atLeast(n, of, honestPause);
  return n >= leastFound && n > 0.5 * drops && chance < seldom
    ? { doubt: 'passed drops', n, of, chance }
    : null;
}

/** Touches of one block that came faster than its ball can bounce. */
export const fasterIn = ({ gaps, ballS }: Tapped): number =>
  gaps.filter((gap) => gap >= fingerS && gap < ballS).length;

/** Touches faster than the ball can bounce: they were not all of them the ball's. */
export function fasterThanTheBall(all: readonly Tapped[]): Finding | null {
  const n = sumOf(all, fasterIn);
  const of = sumOf(all, ({ gaps, ballS }) => (ballS > 0 ? gaps.length : 0));
  const chance = n === 0 ? 1 : atLeast(n, of, leastOfGaps);
  return n >= leastFound && n / of > 3 * leastOfGaps && chance < seldom
    ? { doubt: 'faster than the ball', n, of, chance }
    : null;
}

/**
 * Whipple's index of some counts: the share that ends in 0 or 5, times 5, times 100. 100 is none, 500 is all; under 105
 * very accurate, 105 to 110 fairly, 110 to 125 approximate, 125 to 175 rough, over 175 very rough.
 * Source: United Nations, quality of demographic data (from memory).
 */
export function whipple(counts: readonly number[]): number {
  const round = counts.filter((count) => count % 5 === 0).length;
  return counts.length === 0 ? 100 : (500 * round) / counts.length;
}

/** A count told, in whole numbers. */
export interface Told {
  /** The step it was counted on; one step's counts make one curve. */
  readonly step: string;
  readonly result: number;
  /** Where the dose ends, and the counting with it; Infinity where nothing sets an end. */
  readonly end: number;
  /** What was to be reached; null where nobody said. */
  readonly aim: number | null;
}

/** Counts that end in 0 or 5 more often than their own spread brings. Small ones say nothing; what a dose ends at is left out. */
export function roundNumbers(told: readonly Told[]): Finding | null {
  const series = groupBy(told, ({ step, end }) => `${step} ${end}`);
  const { of, n, chance } = heaping(
    [...series.values()].map((own) => ({ counts: own.map(({ result }) => result), end: own[0]!.end })),
    (count) => count % 5 === 0,
  );
  return of >= leastCounts && chance < seldomRound ? { doubt: 'round numbers', n, of, chance } : null;
}
/** Fewer counts show nothing. Ours. */
const leastCounts = 40;
/** Round numbers are a habit of the tongue, and are said sooner. Ours: fewer than one honest season in a hundred. */
const seldomRound = 0.007;

/** Every day exactly the aim, where more could have been counted: a dose that ends at its aim says nothing. */
export function alwaysTheAim(told: readonly Told[]): Finding | null {
  const open = told.filter(({ aim, end }) => aim !== null && aim < end);
  const [n, of] = [open.filter(({ result, aim }) => result === aim).length, open.length];
  const chance = n === 0 ? 1 : atLeast(n, of, honestHits);
  return of >= 8 && chance < seldom ? { doubt: 'always the aim', n, of, chance } : null;
}
/** An honest count is exactly the aim at most so often: as often as one that varies by a single touch about it. Ours. */
const honestHits = 0.4;

/** A level with how sure it is, at home and on court, on one scale. */
export interface Place {
  readonly mean: number;
  readonly variance: number;
}

/**
 * Counts at home that lie far above those on court.
 * @param n what is reached at home on every second day, in the result's own unit
 * @param of the same on court
 */
export function homeFarAbove(home: Place, court: Place, n: number, of: number): Finding | null {
  const chance = 1 - normalBelow(homeAbove(home, court));
  return chance < seldom ? { doubt: 'home far above court', n, of, chance } : null;
}

/** How many standard deviations counts at home lie above those on court, beyond what another place may bring (ours: 0.5). */
export const homeAbove = (home: Place, court: Place): number =>
  (home.mean - court.mean - 0.5) / Math.sqrt(home.variance + court.variance);

const words: Readonly<Record<Doubt, (finding: Finding) => string>> = {
  doubled: ({ n, of }) =>
    `${n} of ${of} touches came closer together than a finger can tap: perhaps the screen was touched twice.`,
  'passed drops': ({ n }) =>
    `${n} pauses in the middle of rows were as long as fetching the ball takes: perhaps some drops were let pass.`,
  'round numbers': ({ n, of }) =>
    `${n} of ${of} counts end in 0 or 5: perhaps they were told from memory. Counting aloud together helps.`,
  'always the aim': ({ n, of }) =>
    `${n} of ${of} counts are exactly the aim: perhaps counting stops there. Ask for the best, not for the aim.`,
  'home far above court': ({ n, of }) =>
    `At home it is about ${n}, on court about ${of}: perhaps it is easier there, or drops are let pass. Do it once together.`,
  'faster than the ball': ({ n, of }) =>
    `${n} of ${of} touches came faster than the ball can bounce: perhaps two were counting.`,
};

/** A finding as a friendly word to the coach. */
export const findingInWords = (finding: Finding): string => words[finding.doubt](finding);

/** All that is found in what was tapped and told. */
export function findings(tapped: readonly Tapped[], told: readonly Told[]): Finding[] {
  return [
    doubled(tapped),
    passedDrops(tapped),
    fasterThanTheBall(tapped),
    roundNumbers(told),
    alwaysTheAim(told),
  ].filter((one) => one !== null);
}
