import { balls, ballParameters, type BallKind, type BallParameter } from './balls';

/** How far results may be off because physical numbers are only known within a range. */
export interface RangeSpread<K extends string> {
  readonly spread: Readonly<Record<K, number>>;
  /** Ends of ranges at which there was no result at all: what stands does so on the lucky half. */
  readonly failing: number;
}

/**
 * The spread of results: each number is put to both ends of its range, the results recomputed, and the changes added
 * as independent errors (root of the sum of squares; the larger of both ends counts).
 * @param evaluate the results with one number in another's place; null where there is none
 */
export function spreadOver<I, K extends string>(
  nominal: Readonly<Record<K, number>>,
  pairs: readonly (readonly [low: I, high: I])[],
  evaluate: (instead: I) => Readonly<Record<K, number>> | null,
): RangeSpread<K> {
  const keys = Object.keys(nominal) as K[];
  const squares = Object.fromEntries(keys.map((key) => [key, 0])) as Record<K, number>;
  let failing = 0;
  for (const ends of pairs) {
    const found = ends.flatMap((instead) => evaluate(instead) ?? []);
    failing += ends.length - found.length;
    for (const key of keys)
      squares[key] += Math.max(0, ...found.map((one) => Math.abs(one[key] - nominal[key]))) ** 2;
  }
  const spread = Object.fromEntries(keys.map((key) => [key, Math.sqrt(squares[key])])) as Record<K, number>;
  return { spread, failing };
}

/** One number of a ball in another's place. */
export type BallInstead = Partial<Readonly<Record<BallParameter, number>>>;

/** Both ends of every range of a ball. */
export const ballEnds = (ball: BallKind): readonly (readonly [BallInstead, BallInstead])[] =>
  ballParameters.map((name) => {
    const { low, high } = balls[ball][name];
    return [{ [name]: low }, { [name]: high }];
  });
