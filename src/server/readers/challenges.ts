import { boardOf, pairsOf, type Board, type Challenger, type PairLine } from '@/core/challenges/challenge';
import type { Measure } from '@/core/counting/measure';
import {
  challengers,
  courtResults,
  listChallenges,
  typedResults,
  type ChallengeRow,
} from '@/data/challenges';
import type { Book } from '@/drills';
import type { BounceRule } from '@/drills/base/types';
import { ageBandOf } from '@/drills/base/age-band';
import { rulesByAge, type AgeRule } from '@/session/challenges/challenge-rules';
import { dayNumber } from '@/core/base/days';
import { goalOf } from '@/session/skill/levels';
import type { Context } from '../base/context';
import { bookFor } from './book';

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
  /** Which bounce counts, where the drill says so. */
  readonly bounceRule: BounceRule | null;
}

export function factsOf(book: Book, row: ChallengeRow, today: string): ChallengeFacts | null {
  const step = book.step(row.drillId, row.stepId);
  const drill = book.drill(row.drillId);
  if (!step || !drill) return null;
  const { id, title, kind, drillId, stepId, rules, fromDay, untilDay, attempts, goal, ranked } = row;
  return {
    id,
    title,
    kind,
    drillId,
    stepId,
    rules,
    fromDay,
    untilDay,
    attempts,
    goal,
    ranked,
    drill: drill.title,
    step: step.title,
    measure: step.measure,
    bounceRule: drill.bounceRule ?? null,
    removed: row.removedAtMs !== null,
    daysLeft: Math.max(0, dayNumber(untilDay) - dayNumber(today < fromDay ? fromDay : today) + 1),
  };
}

/** As old as somebody was when a challenge began. */
const ageAtStart = ({ fromDay }: Pick<ChallengeFacts, 'fromDay'>, birthYear: number): number =>
  Number(fromDay.slice(0, 4)) - birthYear;

/** The rules of a challenge by the ages that are in it. */
export function ageRulesOf(
  book: Book,
  facts: ChallengeFacts,
  all: Awaited<ReturnType<typeof challengers>>,
): AgeRule[] {
  return rulesByAge(
    book.drill(facts.drillId)!,
    book.step(facts.drillId, facts.stepId)!,
    all.map(({ birthYear, sport, stage }) => ({ age: ageAtStart(facts, birthYear), sport, stage })),
  );
}

/** The board as it stands: what was counted on court on its days, and what was typed in. */
export async function boardFor(context: Context, book: Book, facts: ChallengeFacts) {
  const { db } = context;
  const { id, kind, measure, attempts, goal } = facts;
  const [all, typed, court] = await Promise.all([
    challengers(db, id),
    typedResults(db, id),
    courtResults(db, facts, facts.fromDay, facts.untilDay),
  ]);
  const step = book.step(facts.drillId, facts.stepId)!;
  const lines = all.map<Challenger>(({ playerId, birthYear, best, level, variance }) => {
    // As old as they were when it began: everybody under the dose of their own age.
    const band = ageBandOf(ageAtStart(facts, birthYear));
    const own = court.filter(([who]) => who === playerId);
    const told =
      kind === 'pairs' ? [] : typed.filter((one) => one.playerId === playerId).map(({ result }) => result);
    return {
      playerId,
      best,
      level: level === null || variance === null ? null : { mean: level, variance },
      goal: goalOf(step, step.doses[band], { result: 0 }),
      results: [...own.flatMap(([, result]) => (result === null ? [] : [result])), ...told],
      // Typed results of rows, counts and repetitions are so many touches.
      touches:
        own.reduce((sum, [, , touches]) => sum + touches, 0) +
        (measure === 'row' || measure === 'count' || measure === 'reps'
          ? told.reduce((sum, result) => sum + result, 0)
          : 0),
    };
  });
  const board = boardOf({ kind, measure, attempts, goal }, lines);
  const here = new Set(all.map(({ playerId }) => playerId));
  const pairs = pairsOf(
    facts,
    typed.flatMap(({ playerId, partnerId, result }) =>
      playerId !== null && partnerId !== null && here.has(playerId) && here.has(partnerId)
        ? [{ players: [playerId, partnerId] as const, result }]
        : [],
    ),
  );
  return { board, pairs, typed, all };
}

/** A challenge with how it stands. */
export interface StandingChallenge extends ChallengeFacts {
  readonly board: Board;
  readonly pairs: readonly PairLine[];
  readonly names: Readonly<Record<string, string>>;
}

/** All challenges on the list, the newest first, with how each stands. */
export async function standingChallenges(context: Context): Promise<StandingChallenge[]> {
  const { db, today } = context;
  const [rows, book] = await Promise.all([listChallenges(db), bookFor(db)]);
  const all = await Promise.all(
    rows.map(async (row) => {
      const facts = factsOf(book, row, today);
      if (!facts) return null;
      const { board, pairs, all: people } = await boardFor(context, book, facts);
      const names = Object.fromEntries(people.map(({ playerId, name }) => [playerId, name]));
      return { ...facts, board, pairs, names };
    }),
  );
  return all.filter((one) => one !== null);
}
