import { blockClock } from '@/core/court/block-clock';
import { courtChanges, runOrder } from '@/core/court/court-changes';
import { slotsOf, type InCircuit } from '@/core/plan/circuit/circuit';
import type { RunLog } from './run-log';

type Log = Pick<RunLog, 'events'>;

type Block = InCircuit & { readonly id: string };

/**
 * The blocks in the order they are run: as planned, with what changed places on court. A circuit goes by its first
 * station, and its stations stay together.
 */
export function blocksInOrder<B extends Block>(blocks: readonly B[], log: Log): B[] {
  const slots = slotsOf(blocks);
  const ids = slots.map(([first]) => first!.id);
  return runOrder(
    ids,
    ids.flatMap((id) => log.events(id, null)),
  ).flatMap((id) => slots.find(([first]) => first!.id === id) ?? []);
}

/**
 * The block to open with: the one that is running or paused, else the first that has not ended and is not left out. Of a
 * circuit its first station.
 */
export function blockToOpen(blocks: readonly Block[], log: Log): string | undefined {
  const order = blocksInOrder(blocks, log).map(({ id }) => {
    const events = log.events(id, null);
    return { id, state: blockClock(events).state, out: courtChanges(events).out };
  });
  const open = order.find(({ state }) => state === 'running' || state === 'paused');
  const next = order.find(({ state, out }) => state !== 'ended' && !out);
  return (open ?? next ?? order.at(-1))?.id;
}
