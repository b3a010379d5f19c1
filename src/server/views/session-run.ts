import { findStep } from '@/catalogue';
import { gateFor } from '@/catalogue/gate';
import type { PlanBlock, Records } from '@/catalogue/plan';
import type { TouchEvent } from '@/core/counting/event';
import { eventsOfBlocks } from '@/data/log';
import { evidenceOn } from '@/data/results';
import { blockPlayers, blocksOfSessions, getSession, playersOfSessions } from '@/data/session';
import { getPlayers } from '@/data/squad';
import type { Context } from '../context';
import { judgedSteps } from '../decisions';
import { recentSince } from '../days';
import { refreshAttempts } from '../results';
import { playerFacts, type PlayerFacts } from './player-facts';
import { planBlock, recentRecords, sessionFacts, type SessionFacts } from './session-plan';

/** What a player brings into a block: their own target and the best they ever did on its step. */
export interface RunPlayer {
  readonly playerId: string;
  readonly target: number;
  readonly bestEver: number | null;
}

export interface RunBlock extends PlanBlock {
  readonly players: readonly RunPlayer[];
}

export interface SessionRunView {
  readonly session: SessionFacts;
  readonly players: readonly PlayerFacts[];
  readonly blocks: readonly RunBlock[];
  readonly events: readonly TouchEvent[];
  readonly records: Records;
}

export async function sessionRunView(context: Context, id: string): Promise<SessionRunView | null> {
  const { db } = context;
  const session = await getSession(db, id);
  if (!session) return null;
  await refreshAttempts(db);
  const [rows, playersOf] = await Promise.all([blocksOfSessions(db, [id]), playersOfSessions(db, [id])]);
  const playerIds = playersOf.get(id) ?? [];
  const planned = rows.map(planBlock);
  const blockIds = rows.map((row) => row.id);
  const [people, own, events, evidence, records] = await Promise.all([
    getPlayers(db, playerIds),
    blockPlayers(db, blockIds),
    eventsOfBlocks(db, blockIds),
    evidenceOn(db, playerIds, judgedSteps(planned), session, recentSince(session.day)),
    recentRecords(db, playerIds, planned, session.day),
  ]);

  const blocks = planned.map<RunBlock>((block) => {
    const step = findStep(block.drillId, block.stepId);
    const players = playerIds.map((playerId) => {
      const bestEver =
        evidence.find((one) => one.key === block.id && one.playerId === playerId)?.bestBefore ?? null;
      const target = own.find((row) => row.blockId === block.id && row.playerId === playerId)?.target;
      return { playerId, bestEver, target: target ?? (step ? gateFor(step, block.dose).result : 0) };
    });
    return { ...block, players };
  });
  const facts = new Map(people.map((player) => [player.id, playerFacts(player, context.today)]));
  return {
    session: sessionFacts(session),
    players: playerIds.flatMap((player) => facts.get(player) ?? []),
    blocks,
    events,
    records,
  };
}
