import { better, measures, resultInWords, type Measure } from '../counting/measure';
import { groupBy } from '../base/group-by';
import { counted } from '../base/words';
import { bestAt, chanceAt, type Goal } from '../skill/expect/mark';
import { meanOf, type Gauss } from '../skill/level/scale';

/**
 * - `best`: own best plus one, for everybody
 * - `together`: the group's touches towards one number
 * - `pairs`: the longest rally of each pair, towards one number
 * - `level`: level ground, everyone's result against what could be expected of them
 */
export const challengeKinds = ['best', 'together', 'pairs', 'level'] as const;
export type ChallengeKind = (typeof challengeKinds)[number];

export interface Challenge {
  readonly kind: ChallengeKind;
  readonly measure: Measure;
  /** Attempts each has; null where they are not counted. */
  readonly attempts: number | null;
  /** Touches wanted together. */
  readonly goal: number | null;
}

/** A player in it: their best before, what could be expected of a day, and what they have done. */
export interface Challenger {
  readonly playerId: string;
  readonly best: number | null;
  readonly level: Gauss | null;
  /** What one attempt is made of at their age. */
  readonly goal: Omit<Goal, 'mark'>;
  /** Results in the order made. */
  readonly results: readonly number[];
  readonly touches: number;
}

export interface BoardLine {
  readonly playerId: string;
  /** Results that count, of those made: attempts over the number there are count no more. */
  readonly used: number;
  readonly left: number | null;
  /** The best of those that count. */
  readonly result: number | null;
  /** Touches that count for the sum. */
  readonly touches: number;
  /** How far they are, 0 to 1: towards the own best, of the common number, or on level ground. */
  readonly progress: number;
  /** The own best is beaten, or the result is more than could be expected. */
  readonly won: boolean;
  readonly words: string;
}

export interface Board {
  readonly lines: readonly BoardLine[];
  /** Touches of all. */
  readonly together: number;
  /** Who moved most: on level ground by their own expectation, else by what they gained on their best; null when nobody. */
  readonly movedMost: string | null;
}

/**
 * The share of a player's own days that a result is better than, in as many attempts: a half is what was to be expected,
 * whatever the age. Days that bring just the same count half. 0 to 1.
 */
export function levelGround(result: number, goal: Omit<Goal, 'mark'>, day: Gauss, attempts: number): number {
  const reaching = (mark: number) =>
    meanOf(day, (level) => 1 - (1 - chanceAt({ ...goal, mark }, level)) ** attempts);
  // Times and spreads are never just the same.
  const exact = goal.kind === 'time' || goal.kind === 'spread';
  return 1 - (exact ? reaching(result) : (reaching(result) + reaching(result + 1)) / 2);
}

/** The board of a challenge. Nobody is ranked: lines stand in the order they are given. */
export function boardOf(challenge: Challenge, challengers: readonly Challenger[]): Board {
  const { kind, measure, attempts } = challenge;
  const { lowerIsBetter, increment } = measures[measure];
  const together = challengers.reduce((sum, { touches }) => sum + touches, 0);
  const moved: { readonly playerId: string; readonly by: number }[] = [];
  const lines = challengers.map<BoardLine>(({ playerId, best, level, goal, results, touches }) => {
    const counting = attempts === null ? results : results.slice(0, attempts);
    const result = counting.reduce<number | null>((so, one) => better(measure, so, one), null);
    const base = {
      playerId,
      touches,
      used: counting.length,
      left: attempts === null ? null : Math.max(0, attempts - results.length),
      result,
    };
    // Of pairs the rallies count; a player alone stands with their touches.
    if (kind === 'together' || kind === 'pairs') {
      if (touches > 0) moved.push({ playerId, by: touches });
      return {
        ...base,
        progress: together === 0 ? 0 : touches / Math.max(together, challenge.goal ?? 0),
        won: false,
        words: counted(touches, 'touch', 'touches'),
      };
    }
    if (kind === 'level') {
      if (!level)
        return {
          ...base,
          progress: 0,
          won: false,
          words: 'Nothing was counted before: no level ground yet.',
        };
      const likely = bestAt(goal, level.mean, Math.max(1, counting.length || attempts || 1));
      // Counts are whole; times and spreads have a tenth.
      const expected = lowerIsBetter ? Math.round(likely * 10) / 10 : Math.round(likely);
      if (result === null)
        return {
          ...base,
          progress: 0,
          won: false,
          words: `About ${resultInWords(measure, expected)} to be expected.`,
        };
      const share = levelGround(result, goal, level, Math.max(1, counting.length));
      moved.push({ playerId, by: share });
      return {
        ...base,
        progress: share,
        won: share > 0.5,
        words: `${resultInWords(measure, result)}; about ${resultInWords(measure, expected)} was to be expected.`,
      };
    }
    if (best === null)
      return {
        ...base,
        progress: result === null ? 0 : 1,
        won: result !== null,
        words:
          result === null
            ? 'The first result is the best there is.'
            : `A first ${resultInWords(measure, result)}.`,
      };
    const wanted = Math.round((best + (lowerIsBetter ? -increment : increment)) * 100) / 100;
    const won = result !== null && (lowerIsBetter ? result <= wanted : result >= wanted);
    if (won) moved.push({ playerId, by: Math.abs(result - best) / Math.max(1, Math.abs(best)) });
    return {
      ...base,
      progress: result === null ? 0 : Math.min(1, lowerIsBetter ? wanted / result : result / wanted),
      won,
      words: won
        ? `${resultInWords(measure, result)}: a new best, after ${best}.`
        : `${result === null ? '' : `${resultInWords(measure, result)}. `}${resultInWords(measure, wanted)} is a new best.`,
    };
  });
  const first = [...moved].sort((a, b) => b.by - a.by)[0];
  return {
    lines,
    together,
    movedMost: first && (kind !== 'level' || first.by > 0.5) ? first.playerId : null,
  };
}

/** What a pair did: their longest rally, in the order of names given. */
export interface PairLine {
  readonly players: readonly [string, string];
  readonly used: number;
  readonly left: number | null;
  readonly result: number;
  /** Of the common number, 0 to 1. */
  readonly progress: number;
}

/** A rally two had, alternately. */
export interface PairResult {
  readonly players: readonly [string, string];
  readonly result: number;
}

/** Pairs, whoever was named first; the order in which they first came. */
export function pairsOf(
  { measure, attempts, goal }: Pick<Challenge, 'measure' | 'attempts' | 'goal'>,
  results: readonly PairResult[],
): PairLine[] {
  const pairs = groupBy(results, ({ players }) => [...players].sort().join(' '));
  return [...pairs.values()].map((all) => {
    const counting = attempts === null ? all : all.slice(0, attempts);
    const result = counting.reduce<number | null>((so, one) => better(measure, so, one.result), null) ?? 0;
    return {
      players: all[0]!.players,
      used: counting.length,
      left: attempts === null ? null : Math.max(0, attempts - all.length),
      result,
      progress: goal === null || goal === 0 ? 1 : Math.min(1, result / goal),
    };
  });
}

/**
 * What a club brings to another: one number a player, or a pair. Touches (`together`), the longest rally (`pairs`), 1 or 0
 * for a new best (`best`), hundredths of own days (`level`). Who has done nothing is left out.
 */
export function clubResults(kind: ChallengeKind, { lines }: Board, pairs: readonly PairLine[]): number[] {
  if (kind === 'pairs') return pairs.map(({ result }) => result);
  return lines
    .filter(({ used, progress }) => used > 0 || progress > 0)
    .map(({ touches, won, progress }) =>
      kind === 'together' ? touches : kind === 'best' ? Number(won) : Math.round(100 * progress),
    );
}

/** A club's results as one number: touches, the share with a new best, or the mean share on level ground (0 to 1). */
export function clubScore(kind: ChallengeKind, results: readonly number[]): number {
  const sum = results.reduce((total, one) => total + one, 0);
  if (kind === 'together') return sum;
  if (kind === 'pairs') return Math.max(0, ...results);
  return results.length === 0 ? 0 : sum / results.length / (kind === 'level' ? 100 : 1);
}
