import { stepAfter } from '@/catalogue';
import { gateFor, judgedOn } from '@/catalogue/gate';
import { workOf, type PlanBlock } from '@/catalogue/plan';
import { better } from '@/core/counting/measure';
import { summaryOf, type Summary } from '@/core/counting/tally';
import { groupBy } from '@/core/group-by';
import type { Dose } from '@/core/dose/dose';
import { nextTargets, type Gate, type NextTarget, type Verdict } from '@/core/skill/next-target';
import { attemptsOfBlocks } from '@/data/log';
import { evidenceOn } from '@/data/results';
import { getSession, playersOfSessions } from '@/data/session';
import { decisionsOfBlocks, getPlayers } from '@/data/squad';
import type { Context } from '../context';
import { plannedBlocks } from '../blocks';
import { bookFor } from '../book';
import { judgedKey, judgedSteps } from '../decisions';
import { recentSince } from '../days';
import { refreshAttempts } from '../results';
import { playerFacts, type PlayerFacts } from './player-facts';
import { sessionFacts, type SessionFacts } from './session-facts';

/** What one player did in one block, and what comes next. */
export interface ReviewLine {
  readonly playerId: string;
  /** The step they were on, and how much of it. */
  readonly stepId: string;
  readonly dose: Dose;
  /** The step's mark under that dose. */
  readonly gate: Gate;
  readonly tally: Summary & { readonly results: readonly (number | null)[] };
  /** Best on this step before this session's day; null when there was none. */
  readonly bestBefore: number | null;
  readonly bestEver: boolean;
  readonly byDefault: NextTarget;
  readonly other: NextTarget;
  /** Where up and back lead, and the gate there. */
  readonly leads: Readonly<Record<Verdict, { readonly stepId: string; readonly target: number }>>;
  readonly decided: {
    readonly verdict: Verdict;
    readonly target: number;
    readonly overridden: boolean;
  } | null;
}

export interface ReviewBlock extends PlanBlock {
  readonly lines: readonly ReviewLine[];
}

export interface SessionReviewView {
  readonly session: SessionFacts;
  readonly players: readonly PlayerFacts[];
  readonly blocks: readonly ReviewBlock[];
}

export async function sessionReviewView(context: Context, id: string): Promise<SessionReviewView | null> {
  const { db } = context;
  const session = await getSession(db, id);
  if (!session) return null;
  await refreshAttempts(db);
  const [planned, playersOf, book] = await Promise.all([
    plannedBlocks(db, [id]),
    playersOfSessions(db, [id]),
    bookFor(db, session.coach),
  ]);
  const playerIds = playersOf.get(id) ?? [];
  const blockIds = planned.map((block) => block.id);
  const [people, attempts, evidence, decisions] = await Promise.all([
    getPlayers(db, playerIds),
    attemptsOfBlocks(db, blockIds),
    evidenceOn(db, judgedSteps(book, planned, playerIds), session, recentSince(session.day)),
    decisionsOfBlocks(db, blockIds),
  ]);
  const done = groupBy(attempts, (attempt) => `${attempt.blockId} ${attempt.playerId}`);

  const reviewBlock = (block: PlanBlock): ReviewBlock => {
    const lines = playerIds.flatMap<ReviewLine>((playerId) => {
      const own = done.get(`${block.id} ${playerId}`);
      const work = workOf(book, block, playerId);
      if (!own || !work) return [];
      const { drill, step, dose } = work;
      const gate = gateFor(step, dose);
      const summary = summaryOf(own, step.measure);
      const shown = evidence.find((one) => one.key === judgedKey(block.id, playerId));
      const bestBefore = shown?.bestBefore ?? null;
      const lead = (verdict: Verdict) => {
        const next = stepAfter(drill, step.id, verdict);
        return { stepId: next.id, target: next.id === step.id ? gate.result : next.gate.result };
      };
      const decided = decisions.find((d) => d.blockId === block.id && d.playerId === playerId);
      return [
        {
          playerId,
          stepId: step.id,
          dose,
          gate,
          tally: { ...summary, results: own.map((attempt) => attempt.result) },
          bestBefore,
          bestEver:
            summary.best !== bestBefore && better(step.measure, bestBefore, summary.best) === summary.best,
          ...nextTargets(judgedOn(drill, step, dose, shown)),
          leads: { up: lead('up'), hold: lead('hold'), back: lead('back') },
          decided: decided
            ? { verdict: decided.verdict, target: decided.target, overridden: decided.overridden }
            : null,
        },
      ];
    });
    return { ...block, lines };
  };
  const facts = new Map(people.map((player) => [player.id, playerFacts(player, context.today)]));
  return {
    session: sessionFacts(session),
    players: playerIds.flatMap((player) => facts.get(player) ?? []),
    blocks: planned.map(reviewBlock),
  };
}
