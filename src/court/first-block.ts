import { blockClock } from '@/core/run/block-clock';
import { courtChanges, runOrder } from '@/core/run/court-changes';
import type { RunLog } from './run-log';

type Log = Pick<RunLog, 'events'>;

/** The blocks in the order they are run: as planned, with what changed places on court. */
export function blocksInOrder<B extends { readonly id: string }>(blocks: readonly B[], log: Log): B[] {
  const ids = blocks.map((block) => block.id);
  return runOrder(
    ids,
    ids.flatMap((id) => log.events(id, null)),
  ).flatMap((id) => blocks.find((block) => block.id === id) ?? []);
}

/** The block to open with: the one that is running or paused, else the first that has not ended and is not left out. */
export function blockToOpen(blocks: readonly { readonly id: string }[], log: Log): string | undefined {
  const order = blocksInOrder(blocks, log).map(({ id }) => {
    const events = log.events(id, null);
    return { id, state: blockClock(events).state, out: courtChanges(events).out };
  });
  const open = order.find(({ state }) => state === 'running' || state === 'paused');
  const next = order.find(({ state, out }) => state !== 'ended' && !out);
  return (open ?? next ?? order.at(-1))?.id;
}
