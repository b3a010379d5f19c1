import { measures } from '@/core/counting/measure';
import {
  clubResults,
  clubScore,
  type Board,
  type ChallengeKind,
  type PairLine,
} from '@/core/challenges/challenge';
import { groupBy } from '@/core/base/group-by';
import { getChallenge, type ChallengeResultRow } from '@/data/challenges';
import { listPlayers } from '@/data/squad';
import type { AgeRule } from '@/session/challenges/challenge-rules';
import type { Context } from '../base/context';
import { resultsReady } from '../court/results';
import { bookFor } from '../readers/book';
import {
  ageRulesOf,
  boardFor,
  factsOf,
  standingChallenges,
  type ChallengeFacts,
  type StandingChallenge,
} from '../readers/challenges';
import { playerName, type PlayerName } from '../readers/player-facts';

export type { ChallengeFacts };

export interface ChallengesView {
  readonly today: string;
  readonly challenges: readonly StandingChallenge[];
  readonly squad: readonly PlayerName[];
}

export interface BoardView {
  readonly challenge: ChallengeFacts;
  readonly board: Board;
  /** What holds for which ages. */
  readonly ageRules: readonly AgeRule[];
  /** Of a challenge of pairs; none elsewhere. */
  readonly pairs: readonly PairLine[];
  readonly names: Readonly<Record<string, string>>;
  /** Results typed in, which can be taken back. */
  readonly typed: readonly {
    readonly id: string;
    readonly playerId: string;
    readonly partnerId: string | null;
    readonly result: number;
    readonly day: string;
  }[];
  /** Other clubs, and ourselves first where there are any: each as one number. */
  readonly clubs: readonly { readonly name: string; readonly players: number; readonly score: number }[];
  readonly today: string;
}

/** All challenges on the list, with how they stand. */
export async function challengesView(context: Context): Promise<ChallengesView> {
  const { db, today } = context;
  await resultsReady(db);
  const [challenges, squad] = await Promise.all([standingChallenges(context), listPlayers(db)]);
  return { today, challenges, squad: squad.map(playerName) };
}

/** Clubs side by side: what each brought, and ours as it would be taken away. */
function clubsOf(
  kind: ChallengeKind,
  board: Board,
  typed: readonly ChallengeResultRow[],
  pairs: readonly PairLine[],
): BoardView['clubs'] {
  const theirs = groupBy(
    typed.filter(({ club }) => club !== null),
    ({ club }) => club!,
  );
  if (theirs.size === 0) return [];
  const own = clubResults(kind, board, pairs);
  return [
    { name: 'We', players: own.length, score: clubScore(kind, own) },
    ...[...theirs].map(([name, rows]) => ({
      name,
      players: rows.length,
      score: clubScore(
        kind,
        rows.map(({ result }) => result),
      ),
    })),
  ];
}

/** One challenge's board. */
export async function boardView(context: Context, id: string): Promise<BoardView | null> {
  const { db, today } = context;
  await resultsReady(db);
  const [row, book] = await Promise.all([getChallenge(db, id), bookFor(db)]);
  const facts = row && factsOf(book, row, today);
  if (!facts) return null;
  const { board, pairs, typed, all } = await boardFor(context, book, facts);
  const names = Object.fromEntries(all.map(({ playerId, name }) => [playerId, name]));
  const { lowerIsBetter } = measures[facts.measure];
  const ranked = [...board.lines].sort((a, b) => {
    if (facts.kind === 'level' || facts.kind === 'together') return b.progress - a.progress;
    if (a.result === null || b.result === null) return a.result === null ? 1 : -1;
    return lowerIsBetter ? a.result - b.result : b.result - a.result;
  });
  return {
    challenge: facts,
    board: facts.ranked ? { ...board, lines: ranked } : board,
    names,
    ageRules: ageRulesOf(book, facts, all),
    pairs: facts.ranked ? [...pairs].sort((a, b) => b.result - a.result) : pairs,
    clubs: clubsOf(facts.kind, board, typed, pairs),
    typed: typed.flatMap(({ id: resultId, playerId, partnerId, result, day }) =>
      playerId === null ? [] : [{ id: resultId, playerId, partnerId, result, day }],
    ),
    today,
  };
}
