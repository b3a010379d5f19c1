import { blockClock } from '@/core/run/block-clock';
import type { RunLog } from './run-log';

/** The block to open with: the one that is running or paused, else the first that has not ended. */
export function firstBlock(blockIds: readonly string[], log: Pick<RunLog, 'events'>): number {
  const states = blockIds.map((id) => blockClock(log.events(id, null)).state);
  const open = states.findIndex((state) => state === 'running' || state === 'paused');
  if (open !== -1) return open;
  const next = states.findIndex((state) => state !== 'ended');
  return next === -1 ? Math.max(0, blockIds.length - 1) : next;
}
