import type { BuildOption } from './option';

/** Work between drinks: at most so many stretches of at most so many seconds. */
export interface Stretches {
  readonly count: number;
  readonly seconds: number;
}

/**
 * Where an option stands in the order blocks are run in: lower is sooner, equal may be either way round. What was begun
 * keeps its own order; then by phase, what needs nothing warm first.
 */
export function ranksOf(options: readonly BuildOption[]): readonly number[] {
  const begun = options.filter((one) => one.begun);
  return options.map((one) =>
    one.begun ? begun.indexOf(one) - begun.length : 2 * one.phase + (one.asks.length > 0 ? 1 : 0),
  );
}

/** A block longer than a stretch has one to itself: nobody drinks in the middle of a block. */
export const ofStretch = ({ seconds }: BuildOption, { seconds: most }: Stretches): number =>
  Math.min(seconds, most);

/** How far a row of blocks has come: the stretch it is in, from 0, and the seconds of that. */
type Reached = readonly [stretch: number, seconds: number];
const isSooner = (a: Reached, b: Reached): boolean => a[0] < b[0] || (a[0] === b[0] && a[1] < b[1]);

/**
 * Puts options in an order they may be run in with the fewest drinks between them.
 * @param options at most 20 of one rank
 * @returns null where no order has room in the stretches there are
 */
export function inStretches(
  options: readonly BuildOption[],
  stretches: Stretches,
): readonly BuildOption[] | null {
  const ranks = ranksOf(options);
  const ordered: BuildOption[] = [];
  let at: Reached = [0, 0];
  for (const rank of [...new Set(ranks)].sort((a, b) => a - b)) {
    const equals = options.filter((_, n) => ranks[n] === rank);
    const best = soonest(equals, at, stretches);
    ordered.push(...best.order);
    at = best.reached;
  }
  return at[0] < stretches.count ? ordered : null;
}

/**
 * The order of options of one rank that has come least far in the end. Where a set of them has come sooner is never worse
 * for the rest, so the best way to each set is all that has to be kept.
 */
function soonest(
  options: readonly BuildOption[],
  from: Reached,
  stretches: Stretches,
): { readonly order: readonly BuildOption[]; readonly reached: Reached } {
  const sets = 2 ** options.length;
  const reached = Array<Reached | null>(sets).fill(null);
  const last = new Int32Array(sets);
  reached[0] = from;
  for (let set = 0; set < sets; set++)
    for (const [n, option] of options.entries()) {
      const with_ = set | (1 << n);
      if (with_ === set) continue;
      const next = after(reached[set]!, ofStretch(option, stretches), stretches);
      if (reached[with_] && !isSooner(next, reached[with_])) continue;
      reached[with_] = next;
      last[with_] = n;
    }
  const order: BuildOption[] = [];
  for (let set = sets - 1; set > 0; set ^= 1 << last[set]!) order.unshift(options[last[set]!]!);
  return { order, reached: reached[sets - 1]! };
}

const after = ([stretch, seconds]: Reached, more: number, { seconds: most }: Stretches): Reached =>
  seconds + more > most ? [stretch + 1, more] : [stretch, seconds + more];
