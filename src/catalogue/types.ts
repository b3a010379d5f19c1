import type { Measure } from '@/core/counting/measure';
import type { Dose } from '@/core/dose/dose';
import type { Origin, Sourced } from '@/core/origin';
import type { Gate } from '@/core/skill/next-target';

export const sports = ['tennis', 'table tennis'] as const;
export type Sport = (typeof sports)[number];

/** The families, in the order a session runs through them. */
export const families = [
  'loosen',
  'feet',
  'hands',
  'touch',
  'serve base',
  'wall',
  'stroke',
  'games',
] as const;
export type Family = (typeof families)[number];

export const ageBands = ['4-6', '7-9', '10-12', '13-16'] as const;
export type AgeBand = (typeof ageBands)[number];

/** Changes that make any step harder. */
export const spices = [
  'other hand',
  'walking',
  'backwards',
  'jogging',
  'weaving',
  'higher',
  'faster',
  'smaller ball',
  'further',
  'eyes up',
] as const;
export type Spice = (typeof spices)[number];

/** Changes that make any step easier. */
export const easings = [
  'bigger ball',
  'let it bounce',
  'two hands',
  'closer',
  'drop it on',
  'fewer',
  'slower',
] as const;
export type Easing = (typeof easings)[number];

export interface Feed {
  readonly how: 'none' | 'self' | 'hand' | 'many-ball' | 'machine';
  readonly predictability: 'known' | 'random' | 'live';
}

export type Hold = 'no racket' | 'hammer' | 'forehand' | 'two-hand backhand' | 'shake-hand' | 'any';
export type Stance = 'any' | 'ready position' | 'side-on' | 'closed' | 'open' | 'beside the table';

export interface KitNeed {
  readonly item: string;
  readonly count: number;
  readonly per: 'player' | 'pair' | 'station';
  /** What stands in when it is missing, best first; empty when nothing does. */
  readonly standIns: readonly string[];
}

/** Clear space for one station, in metres. */
export interface Space {
  readonly lengthM: number;
  readonly widthM: number;
  /** Clear height needed over the floor. */
  readonly ceilingM: number;
  readonly needs: readonly ('wall' | 'table' | 'hard floor')[];
}

export interface Fault {
  readonly fault: string;
  readonly correction: string;
  /** Does this fault send the player one step back? */
  readonly stepBack: boolean;
}

export interface CareNote {
  readonly text: string;
  readonly origin: Origin;
}

/** One scoring zone of a target, the best first. */
export interface Zone {
  readonly label: string;
  readonly points: number;
}

/** One rung of a drill's ladder. */
export interface Step {
  readonly id: string;
  readonly title: string;
  /** What is done. */
  readonly task: string;
  /** What changed from the step below it. */
  readonly change: string;
  readonly measure: Measure;
  readonly gate: Gate;
  readonly gateOrigin: Origin;
  readonly doses: Readonly<Record<AgeBand, Dose>>;
  readonly doseOrigin: Origin;
  /** Seconds from one touch to the next. */
  readonly perTouchS: Sourced;
  /** Seconds a drop costs. */
  readonly dropCostS: Sourced;
  /** Share of touches that usually succeed for a player who has just reached this step. */
  readonly usualRate: Sourced;
  /** One positive sentence to say. */
  readonly cue: string;
  /** Scoring zones, for points. */
  readonly zones?: readonly Zone[];
}

export interface Drill {
  readonly id: string;
  readonly title: string;
  readonly family: Family;
  readonly sports: readonly Sport[];
  /** Ages it suits: a guide, not a gate. */
  readonly ages: { readonly from: number; readonly to: number };
  readonly purpose: string;
  readonly setUp: string;
  readonly feed: Feed;
  readonly hold: Hold;
  readonly stance: Stance;
  readonly dropRule: 'go on from the spot' | 'back to the start';
  readonly bounceRule?: 'first bounce counts' | 'any bounce' | 'must stay in';
  readonly space: Space;
  readonly kit: readonly KitNeed[];
  readonly players: { readonly min: number; readonly max: number };
  /** Seconds to set out, brief and show, and to change over afterwards. */
  readonly setUpS: Sourced;
  readonly changeoverS: Sourced;
  readonly checkpoints: readonly string[];
  readonly faults: readonly Fault[];
  readonly care: readonly CareNote[];
  readonly spices: readonly Spice[];
  readonly easings: readonly Easing[];
  readonly recap: { readonly questions: readonly string[]; readonly homeChallenge: string };
  /** Easiest first. */
  readonly steps: readonly Step[];
}
