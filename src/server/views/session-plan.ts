import type { PlanBlock, Records } from '@/catalogue/plan';
import type { Dose } from '@/core/dose/dose';
import {
  blocksOfSessions,
  getSession,
  playersOfSessions,
  type BlockRow,
  type SessionRow,
} from '@/data/session';
import { getPlayers, latestDecisions, listPlayers, placesOf } from '@/data/squad';
import { stepTotals } from '@/data/results';
import type { Executor } from '@/data/client';
import { loggedPairs } from '@/data/session';
import type { Context } from '../context';
import { dayAfter } from '../days';
import { refreshAttempts } from '../results';
import { playerFacts, type PlayerFacts } from './player-facts';

/** A player's own success rate looks this many days back: recent form, and a bounded amount of work. */
const recentDays = 84;

export async function recentRecords(
  db: Executor,
  playerIds: readonly string[],
  day: string,
): Promise<Records> {
  const totals = await stepTotals(db, playerIds, dayAfter(day, -recentDays));
  return totals.map((t) => [t.playerId, t.drillId, t.stepId, t.touches, t.drops] as const);
}

export function planBlock(row: BlockRow): PlanBlock {
  return { id: row.id, drillId: row.drillId, stepId: row.stepId, dose: JSON.parse(row.dose) as Dose };
}

/** A session's own facts, as every screen shows them. */
export type SessionFacts = Omit<SessionRow, 'createdAtMs' | 'removedAtMs'> & { readonly removed: boolean };

export function sessionFacts({ createdAtMs: _created, removedAtMs, ...rest }: SessionRow): SessionFacts {
  return { ...rest, removed: removedAtMs !== null };
}

export interface SessionPlanView {
  readonly session: SessionFacts;
  readonly playerIds: readonly string[];
  readonly blocks: readonly PlanBlock[];
  /** Everybody who could come: the squad, and who is on the list already. */
  readonly squad: readonly PlayerFacts[];
  readonly records: Records;
  /** The step each player stands on: player, drill, step. */
  readonly places: readonly (readonly [string, string, string])[];
  /** What was decided last: player, drill, step, target. */
  readonly targets: readonly (readonly [string, string, string, number])[];
  /** Blocks that have counts: they stay in the plan. */
  readonly counted: readonly string[];
  readonly year: number;
}

export async function sessionPlanView(context: Context, id: string): Promise<SessionPlanView | null> {
  const { db } = context;
  const session = await getSession(db, id);
  if (!session) return null;
  await refreshAttempts(db);
  const [rows, players, squad, logged] = await Promise.all([
    blocksOfSessions(db, [id]),
    playersOfSessions(db, [id]),
    listPlayers(db),
    loggedPairs(db, id),
  ]);
  const playerIds = players.get(id) ?? [];
  const gone = await getPlayers(
    db,
    playerIds.filter((player) => !squad.some((known) => known.id === player)),
  );
  const everyone = [...squad, ...gone];
  const ids = everyone.map((player) => player.id);
  const [records, places, decided] = await Promise.all([
    recentRecords(db, ids, session.day),
    placesOf(db, ids),
    latestDecisions(db, ids),
  ]);
  return {
    session: sessionFacts(session),
    playerIds,
    blocks: rows.map(planBlock),
    squad: everyone.map((player) => playerFacts(player, context.today)),
    records,
    places: places.map((place) => [place.playerId, place.drillId, place.stepId]),
    targets: decided.map((d) => [d.playerId, d.drillId, d.nextStepId, d.target]),
    counted: [...new Set(logged.map((pair) => pair.blockId))],
    year: Number(context.today.slice(0, 4)),
  };
}
