import type { Dose } from '@/core/dose/dose';
import { doseProblems, isDoseKind } from '@/core/dose/limits';
import { ruleOf, type TouchEvent } from '@/core/counting/event';
import { liveEvents } from '@/core/counting/live';
import { fingerprint } from '@/core/base/fingerprint';
import { isFiniteNumber, isText } from '@/core/base/guards';
import { amountOf } from '@/core/dose/amount';
import { isCircuit, type CircuitPart } from '@/core/plan/circuit/circuit';
import type { BlockTime } from '@/core/plan/block-time';
import type { Book } from '@/drills/book';
import { heldUnder, isHeld, type Held, type HeldAt } from '../base/held';
import type { Scoring } from '../base/scoring';
import { workOf, type OwnWork, type PlanBlock } from '../base/plan';
import type { Zone } from '@/drills/base/types';

/** One player in a block that was begun: their part, what they were to reach, and the stage of their ball. */
export interface BegunPlayer extends OwnWork {
  readonly target: number | null;
  readonly ball: string | null;
}

/**
 * What a block is when it is begun on court. It is written into the log, and everything counted in the block is read
 * under it: a plan that changes afterwards, or on another device, changes nothing that was done.
 */
export interface Begun extends Pick<
  PlanBlock,
  'drillId' | 'stepId' | 'dose' | 'changes' | 'stations' | 'setting' | 'circuit'
> {
  readonly scoring: Scoring;
  readonly players: readonly BegunPlayer[];
  /** Turns at the stations, the seconds one of them works, and how many work at once. */
  readonly turns: number;
  readonly turnS: number;
  readonly atOnce: number;
  /** What it was held under; null in records of an earlier version that nobody has completed. */
  readonly held: Held | null;
}

/** A block under what it was when it was begun; the very same block while it was not. */
export function asBegun<B extends PlanBlock>(block: B, begun: Begun | null): B {
  if (!begun) return block;
  const { drillId, stepId, dose, changes, stations, setting, scoring, held, players } = begun;
  const own = players.map(({ playerId, stepId: step, amount, out }) => ({
    playerId,
    stepId: step,
    amount,
    out,
  }));
  const circuit = begun.circuit ? withLater(begun.circuit, block.circuit) : null;
  return { ...block, drillId, stepId, dose, changes, stations, setting, circuit, scoring, held, own };
}

/** A circuit as it was begun; who came later goes with the group the plan puts them into. */
function withLater(begun: CircuitPart, planned: PlanBlock['circuit']): CircuitPart {
  const known = new Set(begun.groups.flat());
  const later = (index: number) => (planned?.groups[index] ?? []).filter((id) => !known.has(id));
  if (!planned || planned.groups.flat().every((id) => known.has(id))) return begun;
  return { ...begun, groups: begun.groups.map((group, index) => [...group, ...later(index)]) };
}

/** What a player brings into a block that is being begun. */
export interface BeginsWith {
  readonly id: string;
  readonly age: number;
  readonly target: number | null;
  readonly ball: string | null;
}

/** How a block's clock is cut: turns at the stations (of a circuit, in one visit), the seconds of one, and how many of those who work do so at once. */
export type Shape = Pick<Begun, 'turns' | 'turnS' | 'atOnce'>;

/** @param comers how many come to it at a time: all who work in it, or the largest group of its circuit */
export function shapeOf(timed: Pick<BlockTime, 'turns' | 'visitS'> | undefined, comers: number): Shape {
  const turns = timed?.turns ?? 1;
  return { turns, turnS: (timed?.visitS ?? 0) / turns, atOnce: Math.max(1, Math.ceil(comers / turns)) };
}

/** What a block is as it is being begun: everybody's own part in it, the points of every step of its ladder, and its marks. */
export function beginBlock(
  book: Book,
  block: PlanBlock,
  players: readonly BeginsWith[],
  shape: Shape,
  at: HeldAt,
): Begun {
  const { drillId, stepId, dose, changes, stations, setting, circuit } = block;
  const works = players.flatMap(({ id, target, ball }) => {
    const work = workOf(book, block, id);
    return work ? [{ id, work, target, ball }] : [];
  });
  // On court a player can be moved to any step of the ladder.
  const steps = works.flatMap(({ work }) => work.drill.steps);
  const zones = Object.fromEntries(steps.flatMap(({ id, zones: own }) => (own ? [[id, own]] : [])));
  return {
    drillId,
    stepId,
    dose,
    changes,
    stations,
    setting,
    ...shape,
    ...(circuit && { circuit }),
    scoring: { zones, bounceRule: book.drill(drillId)?.bounceRule ?? null },
    held: heldUnder(book, drillId, players, at),
    players: works.map(({ id, work, target, ball }) => ({
      playerId: id,
      stepId: block.own.find((one) => one.playerId === id)?.stepId ?? work.step.id,
      amount: block.own.find((one) => one.playerId === id)?.amount ?? amountOf(block.dose),
      out: work.out,
      target,
      ball,
    })),
  };
}

export const writeBegun = (begun: Begun): string => JSON.stringify(begun);

/** What a record says; null for one that cannot be read. It comes from a device, so nothing in it is taken on trust. */
export function readBegun(text: string | null | undefined): Begun | null {
  if (!text) return null;
  let one: Partial<Begun>;
  try {
    one = JSON.parse(text) as Partial<Begun>;
  } catch {
    return null;
  }
  if (typeof one !== 'object' || one === null) return null;
  const { drillId, stepId, dose, changes, stations, setting = null, scoring, players } = one;
  const { turns, turnS, atOnce } = one;
  const sound =
    isText(drillId) &&
    isText(stepId) &&
    isDose(dose) &&
    Array.isArray(changes) &&
    changes.every(isText) &&
    [stations, turns, turnS, atOnce].every(isFiniteNumber) &&
    typeof setting === 'object' &&
    isScoring(scoring) &&
    Array.isArray(players) &&
    players.every(isPlayer);
  if (!sound) return null;
  const { circuit = null, ...rest } = one as Begun;
  return { ...rest, ...(isCircuit(circuit) && { circuit }), held: isHeld(one.held) ? one.held : null };
}

const isDose = (dose: unknown): dose is Dose =>
  isDoseKind((dose as { kind?: unknown } | null)?.kind) && doseProblems(dose as Dose).length === 0;

function isScoring(scoring: unknown): scoring is Scoring {
  const zones = (scoring as Partial<Scoring> | null)?.zones;
  return (
    typeof zones === 'object' &&
    zones !== null &&
    Object.values(zones).every(
      (list) =>
        Array.isArray(list) &&
        (list as Partial<Zone>[]).every((zone) => isText(zone?.label) && isFiniteNumber(zone.points)),
    )
  );
}

function isPlayer(player: Partial<BegunPlayer> | null): boolean {
  return (
    isText(player?.playerId) &&
    isText(player.stepId) &&
    (player.amount === null || isFiniteNumber(player.amount)) &&
    typeof player.out === 'boolean' &&
    (player.target === null || isFiniteNumber(player.target))
  );
}

/** Records that were read: screens ask for them with every count. */
const read = new WeakMap<TouchEvent, Begun | null>();

/**
 * What a block was begun as; null while it was not. Where two devices have begun it, the record with the lowest id
 * holds; the server takes no second one that means something else. What an earlier version did not write down is said by
 * a later record. A correction that stands takes the place of all before it.
 */
export function begunOf(blockEvents: Iterable<TouchEvent>): Begun | null {
  const records: TouchEvent[] = [];
  let corrected = false;
  for (const event of blockEvents) {
    if (event.playerId !== null || !isRecord(event)) continue;
    records.push(event);
    corrected ||= event.kind === 'correct';
  }
  if (records.length === 0) return null;
  const standing = corrected ? liveEvents(records) : records.sort((a, b) => (a.id < b.id ? -1 : 1));
  return standing.reduce<Begun | null>((begun, event) => {
    const one = event.kind === 'undo' ? null : recordIn(event);
    if (!one) return begun;
    if (!begun || event.kind === 'correct') return one;
    return begun.held || !one.held ? begun : { ...begun, held: one.held };
  }, null);
}

/** Can an event say what a block is, or take back what was said? */
export const isRecord = ({ kind }: TouchEvent): boolean => ruleOf(kind).group === 'record' || kind === 'undo';

function recordIn(event: TouchEvent): Begun | null {
  const known = read.get(event);
  if (known !== undefined) return known;
  const begun = readBegun(event.text);
  read.set(event, begun);
  return begun;
}

/** The part of a plan that makes a player's count what it is: drill, step and changes, under one short name. */
export function underOf(
  { drillId, stepId, changes, own }: Pick<PlanBlock, 'drillId' | 'stepId' | 'changes' | 'own'>,
  playerId: string | null,
): string {
  const step = own.find((one) => one.playerId === playerId)?.stepId ?? stepId;
  return fingerprint([drillId, step, ...[...changes].sort()].join(' '));
}
