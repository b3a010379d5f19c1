import { courtChanges } from '@/core/court/court-changes';
import { bringsBack, leftBlock } from '@/core/court/left-block';
import { matesOf } from '@/core/plan/circuit/circuit';
import type { RunBlock } from '@/server/views/session-run';
import type { BlockRun } from './use-block';
import type { Court } from './use-court';

/** The block that was left for the open one, until that is begun; and what logs that it goes on. */
export interface Left {
  /** Of a circuit its first station. */
  readonly blockId: string;
  readonly bringBack: () => void;
}

export function leftFor(
  blocks: readonly RunBlock[],
  run: BlockRun | null,
  { log, clock, view }: Court,
): Left | null {
  if (!run || view.helper || run.clock.state !== 'ready' || run.lastMark !== null) return null;
  const logOf = (id: string) => ({ id, events: log.events(id, null) });
  const left = leftBlock(
    blocks
      .filter(({ id }) => !run.mates.includes(id) && !courtChanges(log.events(id, null)).out)
      .map(({ id }) => logOf(id)),
  );
  if (!left) return null;
  const mates = matesOf(blocks, left.blockId);
  const bringBack = () => {
    for (const { id } of mates) {
      const mate = leftBlock([logOf(id)]);
      if (mate) void log.log(bringsBack(mate, clock.now()));
    }
  };
  return { blockId: mates[0]!.id, bringBack };
}
