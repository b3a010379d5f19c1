import { Matrix, solve } from 'ml-matrix';
import { normalBelow } from './expect/normal';

/*
 * Do counts heap on some numbers more than their own spread brings? What is usual is not a share written down: it is the
 * smooth curve through these very counts, so a child whose twenty seconds always bring 28 to 32 is not in doubt.
 */

/** Counts of one step under one end of the dose. */
export interface CountsOfOne {
  readonly counts: readonly number[];
  /** Where the dose ends, and the counting with it; Infinity where nothing sets an end. */
  readonly end: number;
}

export interface Heaping {
  /** Counts that were looked at, how many of them heap, and how many honest counting brings. */
  readonly of: number;
  readonly n: number;
  readonly expected: number;
  /** Chance of as many, or more, under honest counting. */
  readonly chance: number;
}

/** Smaller counts do not heap; and with fewer counts of one step there is no curve to see. Ours. */
const [leastCount, leastOfOne] = [4, 12];
/** A count of more times the usual one was typed wrongly: it would stretch the curve over thousands of numbers. Ours. */
const timesUsual = 10;
/** So many numbers with a count are wanted for each bend of the curve, and no more bends than this. Ours. */
const [numbersABend, mostBends] = [3, 3];

/** How often each number was counted, the end left out: counts that end where the dose ends say nothing. */
function numbersOf({ counts, end }: CountsOfOne): { at: number; often: number; beyond: boolean }[] {
  // Read off a watch or a tape: not counted.
  if (!counts.every(Number.isInteger)) return [];
  const usual = [...counts].sort((a, b) => a - b)[Math.floor(counts.length / 2)] ?? 0;
  const most = Math.max(leastCount, timesUsual * usual);
  const told = counts.filter((count) => count >= leastCount && count <= most && count !== end);
  if (told.length < leastOfOne) return [];
  const often = new Map<number, number>();
  for (const count of told) often.set(count, (often.get(count) ?? 0) + 1);
  const [low, high] = [Math.min(...told), Math.max(...told)];
  return Array.from({ length: high - low + 1 }, (_, i) => low + i)
    .filter((at) => at !== end)
    .map((at) => ({ at, often: often.get(at) ?? 0, beyond: at > end }));
}

/** The curve's terms at each number: powers of its root, in which rows and counts against the clock alike are plain curves. */
function termsOf(numbers: ReturnType<typeof numbersOf>): Matrix {
  const [low, high] = [Math.sqrt(numbers[0]!.at), Math.sqrt(numbers.at(-1)!.at)];
  const told = numbers.filter(({ often }) => often > 0).length;
  const bends = Math.min(mostBends, Math.floor(told / numbersABend));
  // Some go on past the end of the dose: how many is their own choice.
  const past = numbers.some(({ beyond }) => beyond) && numbers.some(({ beyond }) => !beyond);
  return new Matrix(
    numbers.map(({ at, beyond }) => {
      const x = high > low ? (2 * Math.sqrt(at) - low - high) / (high - low) : 0;
      const powers = Array.from({ length: bends + 1 }, (_, power) => x ** power);
      return past ? [...powers, beyond ? 1 : 0] : powers;
    }),
  );
}

/** Turns of the fit; it is there after five or six. */
const mostTurns = 30;

/**
 * What a smooth curve through the counts brings at each number: a log-linear model of how often each was counted.
 * Source: P. McCullagh and J. A. Nelder, Generalized Linear Models (1989), chapter 6 (the method; from memory).
 */
function smooth(often: readonly number[], terms: Matrix): number[] {
  const mean = often.reduce((sum, n) => sum + n, 0) / often.length;
  let fitted = often.map((n) => (n + mean) / 2 + 0.1);
  for (let turn = 0; turn < mostTurns; turn++) {
    const weighted = Matrix.columnVector(
      often.map((n, i) => fitted[i]! * Math.log(fitted[i]!) + n - fitted[i]!),
    );
    const information = terms.transpose().mmul(terms.clone().mulColumnVector(fitted));
    const coefficients = solve(information, terms.transpose().mmul(weighted));
    const next = terms
      .mmul(coefficients)
      .to1DArray()
      .map((log) => Math.exp(Math.min(12, Math.max(-20, log))));
    const moved = Math.max(...next.map((value, i) => Math.abs(value - fitted[i]!)));
    fitted = next;
    if (moved < 1e-6) break;
  }
  return fitted;
}

/** By how much the counts at some numbers exceed the curve, and the variance of that under honest counting. */
function excess(numbers: ReturnType<typeof numbersOf>, isHeap: (count: number) => boolean) {
  const terms = termsOf(numbers);
  const fitted = smooth(
    numbers.map(({ often }) => often),
    terms,
  );
  const heap = Matrix.columnVector(numbers.map(({ at }) => (isHeap(at) ? 1 : 0)));
  const weighed = terms.clone().mulColumnVector(fitted).transpose();
  const shared = weighed.mmul(heap);
  const explained = shared
    .transpose()
    .mmul(solve(weighed.mmul(terms), shared))
    .get(0, 0);
  const sum = (of: (at: number) => number) =>
    numbers.reduce((total, { at }, i) => total + (isHeap(at) ? of(i) : 0), 0);
  const expected = sum((i) => fitted[i]!);
  return { n: sum((i) => numbers[i]!.often), expected, variance: expected - explained };
}

/**
 * Do counts heap? The score test of a log-linear model, over all steps together.
 * @param isHeap the numbers they may heap on
 */
export function heaping(series: readonly CountsOfOne[], isHeap: (count: number) => boolean): Heaping {
  let [of, n, expected, variance] = [0, 0, 0, 0];
  for (const one of series) {
    const numbers = numbersOf(one);
    if (numbers.length === 0) continue;
    const found = excess(numbers, isHeap);
    of += numbers.reduce((sum, { often }) => sum + often, 0);
    n += found.n;
    expected += found.expected;
    variance += Math.max(0, found.variance);
  }
  const chance = variance < 1e-9 ? 1 : 1 - normalBelow((n - expected - 0.5) / Math.sqrt(variance));
  return { of, n, expected, chance };
}
