import { findDrill, findStep } from '@/catalogue';
import { gateFor, judgedOn } from '@/catalogue/gate';
import type { PlanBlock } from '@/catalogue/plan';
import { better } from '@/core/counting/measure';
import type { Tally } from '@/core/counting/tally';
import { nextTargets, type NextTarget, type Verdict } from '@/core/skill/next-target';
import { eventsOfBlocks } from '@/data/log';
import { dayResults } from '@/data/results';
import { blocksOfSessions, getSession, playersOfSessions } from '@/data/session';
import { decisionsOfBlocks, getPlayers } from '@/data/squad';
import type { Context } from '../context';
import { dayBests, stepAfter } from '../decisions';
import { refreshAttempts, talliesOf } from '../results';
import { playerFacts, type PlayerFacts } from './player-facts';
import { planBlock, sessionFacts, type SessionFacts } from './session-plan';

/** What one player did in one block, and what comes next. */
export interface ReviewLine {
  readonly playerId: string;
  readonly tally: Omit<Tally, 'attempts'> & { readonly results: readonly (number | null)[] };
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
  const [rows, playersOf] = await Promise.all([blocksOfSessions(db, [id]), playersOfSessions(db, [id])]);
  const playerIds = playersOf.get(id) ?? [];
  const blockIds = rows.map((row) => row.id);
  const drillIds = [...new Set(rows.map((row) => row.drillId))];
  const [people, events, results, decisions] = await Promise.all([
    getPlayers(db, playerIds),
    eventsOfBlocks(db, blockIds),
    dayResults(db, playerIds, drillIds, session.day),
    decisionsOfBlocks(db, blockIds),
  ]);

  const reviewBlock = (block: PlanBlock): ReviewBlock => {
    const drill = findDrill(block.drillId);
    const step = findStep(block.drillId, block.stepId);
    if (!drill || !step) return { ...block, lines: [] };
    const tallies = talliesOf(
      events.filter((event) => event.blockId === block.id),
      step.measure,
    );
    const gate = gateFor(step, block.dose);
    const lines = playerIds.flatMap<ReviewLine>((playerId) => {
      const tally = tallies.get(playerId);
      if (!tally || tally.attempts.length === 0) return [];
      const days = dayBests(results, playerId, step, drill.id);
      const bestBefore = days
        .filter(({ day }) => day < session.day)
        .reduce<number | null>((so, { best }) => better(step.measure, so, best), null);
      const { attempts, ...totals } = tally;
      const lead = (verdict: Verdict) => {
        const next = stepAfter(drill, step.id, verdict);
        return { stepId: next.id, target: next.id === step.id ? gate.result : next.gate.result };
      };
      const decided = decisions.find((d) => d.blockId === block.id && d.playerId === playerId);
      return [
        {
          playerId,
          tally: { ...totals, results: attempts.map((attempt) => attempt.result) },
          bestBefore,
          bestEver:
            tally.best !== null &&
            tally.best !== bestBefore &&
            better(step.measure, bestBefore, tally.best) === tally.best,
          ...nextTargets(judgedOn(drill, step, block.dose, days)),
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
    blocks: rows.map(planBlock).map(reviewBlock),
  };
}
