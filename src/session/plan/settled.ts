import { circuitLimits, slotsOf, type CircuitPart } from '@/core/plan/circuit/circuit';
import { regrouped } from '@/core/plan/circuit/groups';
import type { PlanBlock } from '../base/plan';

/* What every edit of a plan needs of its circuits: that they stay together. What makes and changes them is in circuits.ts. */

/**
 * Blocks with their circuits in order: stations of one stand together, are numbered, say the same, and everybody who comes
 * is in one group. What is left alone of a circuit is no circuit. The very same blocks where there is nothing to do.
 */
export function settled(blocks: readonly PlanBlock[], playerIds: readonly string[]): readonly PlanBlock[] {
  if (!blocks.some((block) => block.circuit)) return blocks;
  const done = new Set<string>();
  return blocks.flatMap((block) => {
    const { circuit } = block;
    if (!circuit) return [block];
    if (done.has(circuit.id)) return [];
    done.add(circuit.id);
    const stations = blocks.filter((one) => one.circuit?.id === circuit.id);
    if (stations.length < circuitLimits.stations.min) return stations.map(alone);
    const groups = atMost(regrouped(circuit.groups, playerIds), stations.length + 1);
    return stations.map((one, at) => ({
      ...one,
      circuit: { ...circuit, at, of: stations.length, groups, helper: one.circuit!.helper },
    }));
  });
}

/** As few groups as can go through: the last ones join the smallest of the others. */
function atMost(groups: readonly (readonly string[])[], most: number): string[][] {
  const kept = groups.slice(0, most).map((group) => [...group]);
  for (const ids of groups.slice(most))
    kept.reduce((so, next) => (next.length < so.length ? next : so)).push(...ids);
  return kept;
}

export const alone = (block: PlanBlock): PlanBlock => ({ ...block, circuit: null });

/** The stations of a circuit in a plan. */
export const stationsOf = (blocks: readonly PlanBlock[], circuitId: string): PlanBlock[] =>
  blocks.filter((block) => block.circuit?.id === circuitId);

/** A shorter circuit: a share of every visit, and of what is done in it. */
export function shortenCircuit<D extends { readonly blocks: readonly PlanBlock[] }>(
  doc: D,
  circuitId: string,
  share: number,
): D {
  const shorter = ({ stationS }: CircuitPart) =>
    Math.max(circuitLimits.stationS.min, Math.round((stationS * share) / 5) * 5);
  const blocks = doc.blocks.map((block) =>
    block.circuit?.id === circuitId
      ? { ...block, circuit: { ...block.circuit, stationS: shorter(block.circuit) } }
      : block,
  );
  return { ...doc, blocks };
}

/** Puts a slot, a block or a whole circuit, at the place of another block's. */
export function moveSlot(blocks: readonly PlanBlock[], id: string, to: number): readonly PlanBlock[] {
  const slots = slotsOf(blocks);
  const at = (blockId: string | undefined) =>
    slots.findIndex((slot) => slot.some((one) => one.id === blockId));
  const from = at(id);
  const target = at(blocks[Math.min(blocks.length - 1, Math.max(0, to))]?.id);
  if (from < 0 || target < 0 || from === target) return blocks;
  slots.splice(target, 0, ...slots.splice(from, 1));
  return slots.flat();
}
