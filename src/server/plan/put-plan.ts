import type { Book } from '@/drills';
import { workOf, type PlanBlock } from '@/session/base/plan';
import type { Executor } from '@/data/database';
import { putBlockPlayers, putBlocks } from '@/data/session';

/** The blocks of a plan and everybody's part in them, in their order. */
export async function putPlan(
  tx: Executor,
  book: Book,
  id: string,
  playerIds: readonly string[],
  blocks: readonly PlanBlock[],
): Promise<void> {
  await putBlocks(
    tx,
    id,
    blocks.map(({ own: _own, ...block }, position) => ({
      ...block,
      sessionId: id,
      position,
      dose: JSON.stringify(block.dose),
      changes: JSON.stringify(block.changes),
      setting: block.setting ? JSON.stringify(block.setting) : null,
      circuit: block.circuit ? JSON.stringify(block.circuit) : null,
    })),
  );
  await putParts(tx, book, playerIds, blocks);
}

/** Each player's part in each block: their own step and amount, and whether they sit it out. */
async function putParts(
  tx: Executor,
  book: Book,
  playerIds: readonly string[],
  blocks: readonly PlanBlock[],
): Promise<void> {
  for (const block of blocks) {
    const parts = playerIds.map((playerId) => {
      const own = block.own.find((one) => one.playerId === playerId);
      const stepId = workOf(book, block, playerId)!.step.id;
      return {
        playerId,
        stepId: own ? stepId : null,
        amount: own?.amount ?? null,
        sitsOut: own?.out ?? false,
      };
    });
    await putBlockPlayers(tx, block.id, parts);
  }
}
