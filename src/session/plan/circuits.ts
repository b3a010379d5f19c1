import { circuitLimits, matesOf, type CircuitShape } from '@/core/plan/circuit/circuit';
import { grouped, type Grouping } from '@/core/plan/circuit/groups';
import { fitToVisit, type TimeSetting } from './fit-time';
import { workOf, type PlanBlock, type PlanPlayer } from '../base/plan';
import { alone, settled, stationsOf } from './settled';

/** What the edits of a circuit change of a plan. */
interface Parts {
  readonly playerIds: readonly string[];
  readonly blocks: readonly PlanBlock[];
}

const settledIn = <D extends Parts>(doc: D, blocks: readonly PlanBlock[]): D => ({
  ...doc,
  blocks: settled(blocks, doc.playerIds),
});

/** Who comes, from the furthest on to the least: by where they stand on the ladders of these blocks, then by age. */
export function byLevel(
  { book }: Pick<TimeSetting, 'book'>,
  blocks: readonly PlanBlock[],
  players: readonly PlanPlayer[],
): string[] {
  const heights = new Map(
    players.map(({ id }) => {
      const places = blocks.flatMap((block) => {
        const work = workOf(book, block, id);
        return work ? [work.drill.steps.indexOf(work.step) / work.drill.steps.length] : [];
      });
      return [id, places.reduce((sum, one) => sum + one, 0) / Math.max(1, places.length)];
    }),
  );
  return [...players]
    .sort((a, b) => heights.get(b.id)! - heights.get(a.id)! || b.age - a.age)
    .map(({ id }) => id);
}

/** A visit is so long where nothing says how long, seconds, and so long a walk. Ours. */
const usualS = { stationS: 180, changeS: 30 } as const;

/**
 * Makes blocks of a plan the stations of one circuit, at the place of the first of them: groups by level, as many as there
 * are stations, and doses that fill a visit.
 * @param ids of 2 to 6 blocks
 * @param circuitId a new name for it
 */
export function makeCircuit<D extends Parts>(
  setting: TimeSetting,
  doc: D,
  ids: readonly string[],
  circuitId: string,
): D {
  const stations = doc.blocks.filter((block) => ids.includes(block.id));
  const { min, max } = circuitLimits.stations;
  if (stations.length < min || stations.length > max) return doc;
  const shape: CircuitShape = {
    of: stations.length,
    ...usualS,
    times: 1,
    order: 'balanced',
    groups: grouped(byLevel(setting, stations, setting.players), stations.length, 'level'),
  };
  const joined = doc.blocks.map((block) => {
    const at = stations.indexOf(block);
    return at < 0 ? block : { ...block, circuit: { ...shape, id: circuitId, at, helper: '' } };
  });
  return fitted(setting, settledIn(doc, joined), circuitId);
}

/** Changes what holds for all stations of a circuit; their doses fill the visit again where its length has changed. */
export function changeCircuit<D extends Parts>(
  setting: TimeSetting,
  doc: D,
  circuitId: string,
  change: Partial<Omit<CircuitShape, 'of'>>,
): D {
  const blocks = doc.blocks.map((block) =>
    block.circuit?.id === circuitId ? { ...block, circuit: { ...block.circuit, ...change } } : block,
  );
  const next = settledIn(doc, blocks);
  return change.stationS === undefined ? next : fitted(setting, next, circuitId);
}

/** The doses of a circuit's stations at the size that fills a visit best. */
export function fitted<D extends Parts>(setting: TimeSetting, doc: D, circuitId: string): D {
  const stations = stationsOf(doc.blocks, circuitId);
  const blocks = doc.blocks.map((block) =>
    block.circuit?.id === circuitId ? fitToVisit(setting, stations, block) : block,
  );
  return { ...doc, blocks };
}

/** New groups for a circuit. @param count how many, at most one more than stations */
export function regroup<D extends Parts>(
  setting: TimeSetting,
  doc: D,
  circuitId: string,
  count: number,
  how: Grouping,
): D {
  const stations = stationsOf(doc.blocks, circuitId);
  const groups = grouped(
    byLevel(setting, stations, setting.players),
    Math.min(count, stations.length + 1),
    how,
  );
  return changeCircuit(setting, doc, circuitId, { groups });
}

/** Puts one child into a group, by its number from 0; into a new one where that is one more than there are. */
export function moveToGroup<D extends Parts>(doc: D, circuitId: string, playerId: string, group: number): D {
  const stations = stationsOf(doc.blocks, circuitId);
  const part = stations[0]?.circuit;
  if (!part || group > stations.length) return doc;
  const all = group === part.groups.length ? [...part.groups, []] : part.groups;
  const groups = all.map((ids, index) => {
    const others = ids.filter((id) => id !== playerId);
    return index === group ? [...others, playerId] : others;
  });
  const blocks = doc.blocks.map((block) =>
    block.circuit?.id === circuitId ? { ...block, circuit: { ...block.circuit, groups } } : block,
  );
  return settledIn(doc, blocks);
}

/** Names who feeds, holds or watches at a station. */
export function setHelperAt<D extends Parts>(doc: D, blockId: string, helper: string): D {
  const blocks = doc.blocks.map((block) =>
    block.id === blockId && block.circuit ? { ...block, circuit: { ...block.circuit, helper } } : block,
  );
  return { ...doc, blocks };
}

/** Makes another block of the plan a station, the last one. */
export function addStation<D extends Parts>(
  setting: TimeSetting,
  doc: D,
  circuitId: string,
  blockId: string,
): D {
  const stations = stationsOf(doc.blocks, circuitId);
  const joins = doc.blocks.find((block) => block.id === blockId);
  const part = stations[0]?.circuit;
  if (!part || !joins || joins.circuit || stations.length >= circuitLimits.stations.max) return doc;
  const joined: PlanBlock = { ...joins, circuit: { ...part, helper: '' } };
  const others = doc.blocks.filter((block) => block !== joins);
  const end = others.findLastIndex((block) => block.circuit?.id === circuitId) + 1;
  const next = settledIn(doc, [...others.slice(0, end), joined, ...others.slice(end)]);
  return fitted(setting, next, circuitId);
}

/** Takes a station out of its circuit: it is done by everybody, after the circuit. */
export function leaveCircuit<D extends Parts>(doc: D, blockId: string): D {
  const mates = matesOf(doc.blocks, blockId);
  const leaves = mates.find((block) => block.id === blockId);
  if (!leaves?.circuit) return doc;
  const others = doc.blocks.filter((block) => block !== leaves);
  const last = mates.findLast((block) => block !== leaves);
  const end = last ? others.indexOf(last) + 1 : others.length;
  return settledIn(doc, [...others.slice(0, end), alone(leaves), ...others.slice(end)]);
}

/** The stations of a circuit one after the other again, each done by everybody. */
export function endCircuit<D extends Parts>(doc: D, circuitId: string): D {
  const blocks = doc.blocks.map((block) => (block.circuit?.id === circuitId ? alone(block) : block));
  return { ...doc, blocks };
}
