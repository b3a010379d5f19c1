import { boardOf, type Board, type Challenger } from '@/core/skill/challenge';
import { measures, type Measure } from '@/core/counting/measure';
import {
  challengers,
  courtResults,
  getChallenge,
  listChallenges,
  typedResults,
  type ChallengeRow,
} from '@/data/challenges';
import { listPlayers } from '@/data/squad';
import type { Book } from '@/drills';
import { goalOf } from '@/session/levels';
import type { Context } from '../context';
import { dayAfter } from '../days';
import { resultsReady } from '../log/results';
import { bookFor } from '../readers/book';
import { playerName, type PlayerName } from '../readers/player-facts';

/** A challenge as the list and its board show it. */
export interface ChallengeFacts extends Pick<
  ChallengeRow,
  | 'id'
  | 'title'
  | 'kind'
  | 'drillId'
  | 'stepId'
  | 'rules'
  | 'fromDay'
  | 'untilDay'
  | 'attempts'
  | 'goal'
  | 'ranked'
> {
  readonly drill: string;
  readonly step: string;
  readonly measure: Measure;
  readonly removed: boolean;
  /** Days until it ends, that one included; 0 when it is over. */
  readonly daysLeft: number;
}

export interface ChallengesView {
  readonly today: string;
  readonly challenges: readonly (ChallengeFacts & { readonly board: Board; readonly players: number })[];
  readonly squad: readonly PlayerName[];
}

export interface BoardView {
  readonly challenge: ChallengeFacts;
  readonly board: Board;
  readonly names: Readonly<Record<string, string>>;
  /** Results typed in, which can be taken back. */
  readonly typed: readonly {
    readonly id: string;
    readonly playerId: string;
    readonly result: number;
    readonly day: string;
  }[];
  readonly today: string;
}

const daysFrom = (from: string, until: string): number => {
  let days = 0;
  for (let day = from; day <= until && days < 400; day = dayAfter(day, 1)) days += 1;
  return days;
};

function factsOf(book: Book, row: ChallengeRow, today: string): ChallengeFacts | null {
  const step = book.step(row.drillId, row.stepId);
  const drill = book.drill(row.drillId);
  if (!step || !drill) return null;
  const { id, title, kind, drillId, stepId, rules, fromDay, untilDay, attempts, goal, ranked } = row;
  return {
    ...{ id, title, kind, drillId, stepId, rules, fromDay, untilDay, attempts, goal, ranked },
    drill: drill.title,
    step: step.title,
    measure: step.measure,
    removed: row.removedAtMs !== null,
    daysLeft: today > untilDay ? 0 : daysFrom(today < fromDay ? fromDay : today, untilDay),
  };
}

/** The board as it stands: what was counted on court on its days, and what was typed in. */
async function boardFor(context: Context, book: Book, facts: ChallengeFacts) {
  const { db } = context;
  const { id, kind, measure, attempts, goal } = facts;
  const [all, typed, court] = await Promise.all([
    challengers(db, id),
    typedResults(db, id),
    courtResults(db, facts, facts.fromDay, facts.untilDay),
  ]);
  const step = book.step(facts.drillId, facts.stepId)!;
  const lines = all.map<Challenger>(({ playerId, best, level, variance }) => {
    const own = court.filter(([who]) => who === playerId);
    const told = typed.filter((one) => one.playerId === playerId).map(({ result }) => result);
    return {
      playerId,
      best,
      level: level === null || variance === null ? null : { mean: level, variance },
      results: [...own.flatMap(([, result]) => (result === null ? [] : [result])), ...told],
      // Typed results of rows, counts and repetitions are so many touches.
      touches:
        own.reduce((sum, [, , touches]) => sum + touches, 0) +
        (measure === 'row' || measure === 'count' || measure === 'reps'
          ? told.reduce((sum, result) => sum + result, 0)
          : 0),
    };
  });
  const board = boardOf(
    { kind, measure, attempts, goal },
    goalOf(step, step.doses['10-12'], { result: 0 }),
    lines,
  );
  return { board, typed, all };
}

/** All challenges on the list, with how they stand. */
export async function challengesView(context: Context): Promise<ChallengesView> {
  const { db, today } = context;
  await resultsReady(db);
  const [rows, squad, book] = await Promise.all([listChallenges(db), listPlayers(db), bookFor(db)]);
  const challenges = await Promise.all(
    rows.map(async (row) => {
      const facts = factsOf(book, row, today);
      if (!facts) return null;
      const { board, all } = await boardFor(context, book, facts);
      return { ...facts, board, players: all.length };
    }),
  );
  return { today, challenges: challenges.filter((one) => one !== null), squad: squad.map(playerName) };
}

/** One challenge's board. */
export async function boardView(context: Context, id: string): Promise<BoardView | null> {
  const { db, today } = context;
  await resultsReady(db);
  const [row, book] = await Promise.all([getChallenge(db, id), bookFor(db)]);
  const facts = row && factsOf(book, row, today);
  if (!facts) return null;
  const { board, typed, all } = await boardFor(context, book, facts);
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
    typed: typed.flatMap(({ id: resultId, playerId, result, day }) =>
      playerId === null ? [] : [{ id: resultId, playerId, result, day }],
    ),
    today,
  };
}
