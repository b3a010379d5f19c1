import { amountOf, withAmount } from '@/core/dose/amount';
import type { Dose } from '@/core/dose/dose';
import type { CircuitPart } from '@/core/plan/circuit/circuit';
import type { BlockSetting } from '@/core/calculators/setting';
import type { TouchRecord } from '@/core/skill/success-rate';
import { ageBandOf } from '@/drills/base/age-band';
import { drillAsHeld, type Held } from './held';
import type { Scoring } from './scoring';
import type { Book } from '@/drills/book';
import { changedDose } from '@/drills/base/changes';
import type { Drill, Step } from '@/drills/base/types';

/** One player's own way through a block: the step they stand on, and how much of it. */
export interface OwnWork {
  readonly playerId: string;
  readonly stepId: string;
  /** The amount of the dose (see core/dose/amount); null where the dose has none of its own. */
  readonly amount: number | null;
  /** True when the player sits the block out. */
  readonly out: boolean;
}

/** A block of a plan: so much of one step of a drill, and each player's own part in it. */
export interface PlanBlock {
  readonly id: string;
  readonly drillId: string;
  readonly stepId: string;
  readonly dose: Dose;
  /** Spices and easings put on it. */
  readonly changes: readonly string[];
  /** How many stations are set up, >= 1. */
  readonly stations: number;
  /** Seconds of drink break after it, >= 0. */
  readonly breakS: number;
  /** True when it opens the session as a retest of an earlier one. */
  readonly retest: boolean;
  /** How it is set out, where a bench has worked it out; null for the drill's own way. */
  readonly setting: BlockSetting | null;
  /** Players who do not simply do what the block says. */
  readonly own: readonly OwnWork[];
  /** Its part in a circuit, where it is a station of one; null where it is done alone. */
  readonly circuit?: CircuitPart | null;
  /** How points were given when it was begun; left out while the drill says it. */
  readonly scoring?: Scoring;
  /** What it was held under; left out while it was not begun. */
  readonly held?: Held | null;
}

/** A block as it is before anything is put on it. */
export function blockOf(
  core: Pick<PlanBlock, 'id' | 'drillId' | 'stepId' | 'dose'> & Partial<PlanBlock>,
): PlanBlock {
  return {
    changes: [],
    stations: 1,
    breakS: 0,
    retest: false,
    setting: null,
    circuit: null,
    own: [],
    ...core,
  };
}

export interface PlanPlayer {
  readonly id: string;
  readonly age: number;
}

/** What one player does in a block. */
export interface Work {
  readonly drill: Drill;
  readonly step: Step;
  /** Under the changes of the block. */
  readonly dose: Dose;
  readonly out: boolean;
}

/** Steps of a ladder that can share a block: counted the same way, dosed in the same shape. */
export function sameShape(a: Step, b: Step): boolean {
  return a.measure === b.measure && a.doses['13-16'].kind === b.doses['13-16'].kind;
}

const ownMaps = new WeakMap<PlanBlock['own'], Map<string, OwnWork>>();

/** A player's own part in a block, looked up and not searched: groups are read whole, again and again. */
function ownOf({ own }: PlanBlock, playerId: string): OwnWork | undefined {
  let map = ownMaps.get(own);
  if (!map) {
    map = new Map(own.map((one) => [one.playerId, one]));
    ownMaps.set(own, map);
  }
  return map.get(playerId);
}

/** A player's own step and dose in a block; the block's where theirs does not fit into it. Undefined for an unknown drill. */
export function workOf(book: Book, block: PlanBlock, playerId?: string): Work | undefined {
  const now = book.drill(block.drillId, playerId);
  const drill = now && block.held ? drillAsHeld(now, block.held, block.scoring, playerId) : now;
  const shared = drill?.steps.find((step) => step.id === block.stepId);
  if (!drill || !shared) return undefined;
  const own = playerId === undefined ? undefined : ownOf(block, playerId);
  const stood = own && drill.steps.find((step) => step.id === own.stepId);
  const standing = stood && sameShape(stood, shared) ? stood : shared;
  const zones = block.scoring?.zones[standing.id];
  const step = zones ? { ...standing, zones } : standing;
  const dose = own && standing === stood ? withAmount(block.dose, own.amount) : block.dose;
  return { drill, step, dose: changedDose(dose, block.changes), out: own?.out ?? false };
}

/** A player's part in a new block: the step they stand on if it can share the block, at the dose of their age. */
export function ownWorkFor(
  book: Book,
  block: Pick<PlanBlock, 'drillId' | 'stepId' | 'dose'>,
  player: PlanPlayer,
  standsOn: string | undefined,
): OwnWork {
  const drill = book.drill(block.drillId, player.id)!;
  const shared = drill.steps.find((step) => step.id === block.stepId)!;
  const at = drill.steps.findIndex((step) => step.id === standsOn);
  // Standing on a step of another shape: the highest below it that can share the block.
  const step = drill.steps.slice(0, at + 1).findLast((one) => sameShape(one, shared)) ?? shared;
  return {
    playerId: player.id,
    stepId: step.id,
    amount: amountOf(step.doses[ageBandOf(player.age)]),
    out: false,
  };
}

/** Touches and drops of players by drill and step, as one flat list: it travels to the screen as it is. */
export type Records = readonly (readonly [
  playerId: string,
  drillId: string,
  stepId: string,
  touches: number,
  drops: number,
])[];

const recordMaps = new WeakMap<Records, Map<string, TouchRecord>>();

/** One player's record on one step. */
export function recordOf(
  records: Records,
  playerId: string,
  drillId: string,
  stepId: string,
): TouchRecord | undefined {
  let map = recordMaps.get(records);
  if (!map) {
    map = new Map(records.map(([p, d, s, touches, drops]) => [`${p} ${d} ${s}`, { touches, drops }]));
    recordMaps.set(records, map);
  }
  return map.get(`${playerId} ${drillId} ${stepId}`);
}
