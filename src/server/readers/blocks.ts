import { asBegun, begunOf, type Begun } from '@/session/court/begun';
import type { PlanBlock } from '@/session/base/plan';
import { isCircuit, type CircuitPart } from '@/core/plan/circuit/circuit';
import type { BlockSetting } from '@/core/calculators/setting';
import type { Dose } from '@/core/dose/dose';
import { groupBy } from '@/core/base/group-by';
import type { Executor } from '@/data/database';
import { recordEvents } from '@/data/log';
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
    circuit: circuitIn(row.circuit),
    own: players.flatMap(({ playerId, stepId: own, amount, sitsOut }) =>
      own === null ? [] : [{ playerId, stepId: own, amount, out: sitsOut }],
    ),
  };
}

/** What came in with a file may be anything: what is no circuit is none. */
function circuitIn(text: string | null): CircuitPart | null {
  const part: unknown = text === null ? null : JSON.parse(text);
  return isCircuit(part) ? part : null;
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

/** What blocks were when they were begun, or what they were corrected to, by id; those that were not are left out. */
export async function begunBlocks(db: Executor, ids: readonly string[]): Promise<Map<string, Begun>> {
  const records = groupBy(await recordEvents(db, ids), (event) => event.blockId);
  return new Map(
    [...records].flatMap(([id, events]) => {
      const begun = begunOf(events);
      return begun ? [[id, begun] as const] : [];
    }),
  );
}

const underRecords = async <B extends PlannedRow>(db: Executor, blocks: readonly B[]): Promise<B[]> => {
  const begun = await begunBlocks(
    db,
    blocks.map((block) => block.id),
  );
  return blocks.map((block) => asBegun(block, begun.get(block.id) ?? null));
};

/**
 * The blocks of sessions as they are or were run: what was begun is as it was then, the rest as planned. All that is
 * about what was done reads these.
 */
export async function runBlocks(db: Executor, sessionIds: readonly string[]): Promise<PlannedRow[]> {
  return underRecords(db, await plannedBlocks(db, sessionIds));
}

export async function runBlocksByIds(db: Executor, ids: readonly string[]): Promise<PlannedRow[]> {
  return underRecords(db, await plannedBlocksByIds(db, ids));
}

/** A block in the form a plan is saved in: without what only its record knows. */
export function asPlanForm({
  sessionId: _session,
  scoring: _scoring,
  held: _held,
  ...block
}: PlannedRow): PlanBlock {
  return block;
}
