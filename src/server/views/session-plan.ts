import { catalogue } from '@/catalogue';
import type { PlanBlock, Records } from '@/catalogue/plan';
import type { Dose } from '@/core/dose/dose';
import {
  blocksOfSessions,
  getSession,
  playersOfSessions,
  type BlockRow,
  type SessionRow,
} from '@/data/session';
import { getPlayers, listPlayers, placesOf } from '@/data/squad';
import { recordsSince } from '@/data/results';
import type { Executor } from '@/data/client';
import { loggedPairs } from '@/data/session';
import type { Context } from '../context';
import { recentSince } from '../days';
import { refreshAttempts } from '../results';
import { playerFacts, type PlayerFacts } from './player-facts';

/** Recent touches and drops of players on some steps. */
export function recentRecords(
  db: Executor,
  playerIds: readonly string[],
  steps: readonly StepRef[],
  day: string,
): Promise<Records> {
  return recordsSince(db, playerIds, steps, recentSince(day));
}

type StepRef = Pick<PlanBlock, 'drillId' | 'stepId'>;

/** Every step of the catalogue: any of them can be put into a plan. */
const allSteps: readonly StepRef[] = catalogue.flatMap((drill) =>
  drill.steps.map((step) => ({ drillId: drill.id, stepId: step.id })),
);

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
  /** The step each player stands on, and what they aim at there: player, drill, step, target. */
  readonly places: readonly (readonly [string, string, string, number])[];
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
  const [records, places] = await Promise.all([
    recentRecords(db, ids, allSteps, session.day),
    placesOf(db, ids),
  ]);
  return {
    session: sessionFacts(session),
    playerIds,
    blocks: rows.map(planBlock),
    squad: everyone.map((player) => playerFacts(player, context.today)),
    records,
    places: places.map((place) => [place.playerId, place.drillId, place.stepId, place.target]),
    counted: [...new Set(logged.map((pair) => pair.blockId))],
    year: Number(context.today.slice(0, 4)),
  };
}
