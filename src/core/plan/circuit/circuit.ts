import { isFiniteNumber, isText } from '@/core/base/guards';

/** In which order groups go through the stations. */
export const rotationOrders = ['balanced', 'one on'] as const;
export type RotationOrder = (typeof rotationOrders)[number];

/** What a coach may set of a circuit: from, to. Ours. */
export const circuitLimits = {
  stations: { min: 2, max: 6 },
  /** Seconds at a station, one visit. */
  stationS: { min: 30, max: 900 },
  /** Seconds to walk on and stand ready. */
  changeS: { min: 5, max: 180 },
  /** How often the whole round is gone through. */
  times: { min: 1, max: 3 },
} as const;

/** What holds for all stations of a circuit. */
export interface CircuitShape {
  /** Stations side by side, 2 to 6. */
  readonly of: number;
  /** Seconds of one visit to a station. */
  readonly stationS: number;
  /** Seconds to walk to the next one and stand ready. */
  readonly changeS: number;
  /** How often every group is at every station, 1 to 3. */
  readonly times: number;
  readonly order: RotationOrder;
  /** Who goes together, by player ids: at most one group more than there are stations, and that one rests. */
  readonly groups: readonly (readonly string[])[];
}

/**
 * A block's part in a circuit: blocks that follow each other and name the same circuit are its stations, done side by
 * side. What holds for all of them is written on each, so that a block says by itself who is at it and when.
 */
export interface CircuitPart extends CircuitShape {
  readonly id: string;
  /** The number of this station, from 0. */
  readonly at: number;
  /** Who feeds, holds or watches here, as the coach wrote it; empty for nobody. */
  readonly helper: string;
}

/** Is it a part in a circuit? It comes from a device or a file, so nothing in it is taken on trust. */
export function isCircuit(part: unknown): part is CircuitPart {
  const one = part as Partial<CircuitPart> | null;
  return (
    isText(one?.id) &&
    [one.at, one.of, one.stationS, one.changeS, one.times].every(isFiniteNumber) &&
    rotationOrders.includes(one.order!) &&
    Array.isArray(one.groups) &&
    one.groups.every((group) => Array.isArray(group) && group.every(isText))
  );
}

/** Anything that may be a station of a circuit. */
export interface InCircuit {
  readonly circuit?: Pick<CircuitPart, 'id'> | null;
}

/** Things that follow each other, and of which some are done side by side: each slot has one, or the stations of a circuit. */
export function slotsOf<B extends InCircuit>(blocks: readonly B[]): B[][] {
  const slots: B[][] = [];
  for (const block of blocks) {
    const before = slots.at(-1)?.[0]?.circuit;
    if (block.circuit && before?.id === block.circuit.id) slots.at(-1)!.push(block);
    else slots.push([block]);
  }
  return slots;
}

/** The stations of a block's circuit, itself among them; only itself where it is done alone. */
export function matesOf<B extends InCircuit & { readonly id: string }>(
  blocks: readonly B[],
  id: string,
): B[] {
  return slotsOf(blocks).find((slot) => slot.some((one) => one.id === id)) ?? [];
}
