import type { PlanBlock } from '@/catalogue/plan';
import type { BlockSetting } from '@/core/setting';
import type { Dose } from '@/core/dose/dose';
import { groupBy } from '@/core/group-by';
import type { Executor } from '@/data/client';
import {
  blockPlayers,
  blocksByIds,
  blocksOfSessions,
  type BlockPlayerRow,
  type BlockRow,
} from '@/data/session';

/** A block as planned, and the session it belongs to. */
export interface PlannedRow extends PlanBlock {
  readonly sessionId: string;
}

function planBlock(row: BlockRow, players: readonly BlockPlayerRow[]): PlannedRow {
  const { id, sessionId, drillId, stepId, stations, breakS, retest } = row;
  return {
    id,
    sessionId,
    drillId,
    stepId,
    stations,
    breakS,
    retest,
    dose: JSON.parse(row.dose) as Dose,
    changes: JSON.parse(row.changes) as string[],
    setting: row.setting === null ? null : (JSON.parse(row.setting) as BlockSetting),
    own: players.flatMap(({ playerId, stepId: own, amount, sitsOut }) =>
      own === null ? [] : [{ playerId, stepId: own, amount, out: sitsOut }],
    ),
  };
}

async function withPlayers(db: Executor, rows: readonly BlockRow[]): Promise<PlannedRow[]> {
  const players = await blockPlayers(
    db,
    rows.map((row) => row.id),
  );
  const byBlock = groupBy(players, (one) => one.blockId);
  return rows.map((row) => planBlock(row, byBlock.get(row.id) ?? []));
}

/** The blocks of sessions as planned, in their order. */
export async function plannedBlocks(db: Executor, sessionIds: readonly string[]): Promise<PlannedRow[]> {
  return withPlayers(db, await blocksOfSessions(db, sessionIds));
}

export async function plannedBlocksByIds(db: Executor, ids: readonly string[]): Promise<PlannedRow[]> {
  return withPlayers(db, await blocksByIds(db, ids));
}
