import type { Random } from '@/core/base/random';

/** Calls are dealt in hands of at most so many: shares are equal in each, and longer than anybody counts. Ours. */
const handSize = 24;

/** The longest run of one call that is let through: with two calls a run of four is still chance, five looks like a habit. Ours. */
export const longestRun = (options: number): number => (options === 2 ? 4 : 3);

/**
 * A random order of calls that is fair and cannot be guessed: every call comes equally often (or once more than another),
 * none comes more often in a row than {@link longestRun}, and within that every order is equally likely.
 * Orders with a longer run are thrown away and dealt again, rather than mended: mending would make patterns.
 * @param options how many different calls there are, 1 to 12
 * @param count how many calls are made, >= 0
 */
export function dealCalls(options: number, count: number, random: Random): number[] {
  if (options <= 1) return Array.from({ length: count }, () => 0);
  const dealt: number[] = [];
  // Which calls come once more than the others is chance too.
  let left = shuffled(equalShares(options, count, random), random);
  while (left.length > 0) {
    const hands = Math.ceil(left.length / handSize);
    const size = Math.ceil(left.length / hands);
    const share = handOf(left, size, options, random);
    dealt.push(...inOrder(share.hand, dealt, options, random));
    left = share.rest;
  }
  return dealt;
}

/** `count` calls, each option as often as the others or once more. */
function equalShares(options: number, count: number, random: Random): number[] {
  const each = Math.floor(count / options);
  const extras = shuffled(
    Array.from({ length: options }, (_, option) => option),
    random,
  ).slice(0, count % options);
  return [...Array.from({ length: each * options }, (_, index) => index % options), ...extras];
}

/** A hand with shares as equal as can be, and what is left for the next ones. */
function handOf(
  calls: readonly number[],
  size: number,
  options: number,
  random: Random,
): { hand: number[]; rest: number[] } {
  const want = Array.from({ length: options }, () => 0);
  for (const option of equalShares(options, size, random)) want[option]! += 1;
  const hand: number[] = [];
  const rest: number[] = [];
  for (const call of calls) {
    if (want[call]! > 0) {
      want[call]! -= 1;
      hand.push(call);
    } else rest.push(call);
  }
  // Where the calls that are left cannot give equal shares, chance fills the hand.
  while (hand.length < size && rest.length > 0) hand.push(rest.pop()!);
  return { hand, rest };
}

/** One of the orders of a hand without too long a run, counting on from what came before. */
function inOrder(
  hand: readonly number[],
  before: readonly number[],
  options: number,
  random: Random,
): number[] {
  const longest = longestRun(options);
  for (let tries = 0; tries < 2000; tries++) {
    const order = shuffled(hand, random);
    if (runIn([...before.slice(-longest), ...order]) <= longest) return order;
  }
  // Only a hand of hardly anything but one call comes here; chance alone then decides.
  return shuffled(hand, random);
}

/** The longest run of equal calls in a row. */
export function runIn(calls: readonly number[]): number {
  let longest = 0;
  let run = 0;
  for (const [index, call] of calls.entries()) {
    run = index > 0 && call === calls[index - 1] ? run + 1 : 1;
    longest = Math.max(longest, run);
  }
  return longest;
}

/** Fisher and Yates: every order equally likely. */
function shuffled<T>(values: readonly T[], random: Random): T[] {
  const order = [...values];
  for (let i = order.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [order[i], order[j]] = [order[j]!, order[i]!];
  }
  return order;
}
