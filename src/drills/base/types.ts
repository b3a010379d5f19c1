import { surenesses } from '@/core/skill/transfer';
import type { CallSet } from '@/core/counting/call-sets';
import type { CallPace } from '@/core/court/calls/schedule';
import type { Shot } from '@/core/ballistics/wall/setup';
import type { FitKey } from '@/core/players/fit';
import type { KitNeed, Space } from '@/core/venues/needs';
import type { Measure } from '@/core/counting/measure';
import type { Dose } from '@/core/dose/dose';
import type { Load } from '@/core/dose/load';
import type { Origin, Sourced } from '@/core/base/origin';
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
export type Change = Spice | Easing;

export const feedHows = ['none', 'self', 'hand', 'many-ball', 'machine'] as const;
export const predictabilities = surenesses;

export interface Feed {
  readonly how: (typeof feedHows)[number];
  readonly predictability: (typeof predictabilities)[number];
}

export const holds = [
  'no racket',
  'hammer',
  'forehand',
  'two-hand backhand',
  'one-hand backhand',
  'shake-hand',
  'any',
] as const;
export type Hold = (typeof holds)[number];
export const stances = ['any', 'ready position', 'side-on', 'closed', 'open', 'beside the table'] as const;
export type Stance = (typeof stances)[number];
export const dropRules = ['go on from the spot', 'back to the start'] as const;
export type DropRule = (typeof dropRules)[number];
export const bounceRules = ['first bounce counts', 'any bounce', 'must stay in'] as const;
export type BounceRule = (typeof bounceRules)[number];

/** What a drill trains, as a coach would look for it. */
export const focuses = [
  'soft hands',
  'tracking',
  'racket face',
  'balance',
  'first step',
  'spacing',
  'recovery',
  'rhythm',
  'contact',
  'racket path',
  'toss',
  'throwing',
  'spin',
  'aim',
  'decisions',
  'warm-up',
] as const;
export type Focus = (typeof focuses)[number];

export { kitPers, spaceNeeds, type KitNeed, type Space, type SpaceNeed } from '@/core/venues/needs';

/** Ways of moving that need care of their own. */
export const moves = ['sprint', 'backwards', 'jump'] as const;
export type Move = (typeof moves)[number];

/** What a drill makes ready for harder work. */
export const warmths = ['forearm', 'shoulder', 'legs'] as const;
export type Warmth = (typeof warmths)[number];

/** What somebody besides the players has to do. */
export const helpers = ['none', 'feeds', 'holds', 'calls'] as const;
export type Helper = (typeof helpers)[number];

/** A limit of a step's own, harder than those for everybody. */
export interface StepLimit {
  readonly triesASession: number;
  readonly daysApart: number;
  readonly fromAge: number;
  readonly origin: Origin;
}

export type { FitKey } from '@/core/players/fit';

/** Two orders of one ladder, where practitioners differ. */
export const orders = ['swing first', 'feet first'] as const;
export type Order = (typeof orders)[number];

/** Questions of schools that say what is looked at. */
export const checkpointQuestions = ['backhand', 'takeBack', 'ballBehind', 'volleyHold', 'tired'] as const;

/** Checkpoints that hold for one answer of a school only. */
export interface SchoolCheckpoint {
  readonly question: (typeof checkpointQuestions)[number];
  readonly answer: string;
  readonly text: string;
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

/** What a step is called with, so that nobody has to think up an order. */
export interface StepCalls {
  readonly set: CallSet;
  /** Seconds an answer takes, until the player is ready again: no call comes sooner. */
  readonly moveS: number;
  readonly pace: CallPace;
  /** Metres a ball is fed above the hand when it is called at the top of its flight. */
  readonly tossM?: number;
  readonly origin: Origin;
}

/** The rally with a wall a step is made of: hits that come back. Metres. */
export interface StepRally {
  readonly shot: Shot;
  readonly distanceM: number;
  /** Height of the mark on the wall. */
  readonly markM: number;
  /** Topspin of the hits, turns a second; negative is slice. None where it is left out. */
  readonly spinRps?: number;
  /** Hits to a counted touch, where the ball is then trapped and restarted; left out where the rally goes on. */
  readonly each?: number;
}

/** What is noted beside a mark, one press, and counts for nothing: a question and its short answers. */
export interface Beside {
  readonly question: string;
  readonly answers: readonly string[];
}

/** Laps that are counted in parts: so many to a lap, and what one of them is called. */
export interface LapParts {
  readonly parts: number;
  readonly noun: string;
}

/** Repetitions until it is a habit: such a step is never passed by a number, the coach moves on. */
export interface Habit {
  readonly reps: number;
  readonly origin: Origin;
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
  /** Marks of ages, where they are said and not worked out from the gate. */
  readonly marks?: Partial<Readonly<Record<AgeBand, Gate>>>;
  readonly doses: Readonly<Record<AgeBand, Dose>>;
  readonly doseOrigin: Origin;
  /** Seconds from one touch to the next; where ages differ, of who is 10 to 12. */
  readonly perTouchS: Sourced;
  /** Seconds from one touch to the next at each age, where a way on the floor says how they differ. */
  readonly paces?: Readonly<Record<AgeBand, number>>;
  /** Seconds a drop costs. */
  readonly dropCostS: Sourced;
  /** Share of touches that usually succeed for a player who has just reached this step. */
  readonly usualRate: Sourced;
  /** One positive sentence to say. */
  readonly cue: string;
  /** Scoring zones, for points; quality marks, for grade. Best first. */
  readonly zones?: readonly Zone[];
  /** True where the zones are a target on the floor, so that the coach's own way of scoring applies. */
  readonly target?: boolean;
  /** True for a stretch: its hold follows the coach's school. */
  readonly stretch?: boolean;
  /** What one try asks of the body. */
  readonly load: Load;
  readonly moves: readonly Move[];
  readonly limit?: StepLimit;
  readonly calls?: StepCalls;
  readonly rally?: StepRally;
  readonly beside?: Beside;
  readonly lapParts?: LapParts;
  readonly habit?: Habit;
  /** Claps under its toss. */
  readonly claps?: number;
}

export interface Drill {
  readonly id: string;
  readonly title: string;
  readonly family: Family;
  readonly sports: readonly Sport[];
  /** Ages it suits: a guide, not a gate. */
  readonly ages: { readonly from: number; readonly to: number };
  readonly trains: readonly Focus[];
  readonly purpose: string;
  readonly setUp: string;
  readonly feed: Feed;
  readonly hold: Hold;
  readonly stance: Stance;
  readonly dropRule: DropRule;
  readonly bounceRule?: BounceRule;
  readonly space: Space;
  readonly kit: readonly KitNeed[];
  /** Fewest players it needs, and how many one station holds at once. */
  readonly players: { readonly min: number; readonly max: number };
  readonly helper: Helper;
  /** Starting-point cards it builds on. */
  readonly cards: readonly string[];
  readonly warms: readonly Warmth[];
  /** Numbers of the fit it is set up with. */
  readonly fit: readonly FitKey[];
  /** Seconds to set out and brief, and to change over afterwards. */
  readonly setUpS: Sourced;
  readonly changeoverS: Sourced;
  readonly checkpoints: readonly string[];
  /** Further checkpoints that come with a school; they count towards the five. */
  readonly schoolCheckpoints?: readonly SchoolCheckpoint[];
  readonly faults: readonly Fault[];
  readonly care: readonly CareNote[];
  readonly spices: readonly Spice[];
  readonly easings: readonly Easing[];
  readonly recap: { readonly questions: readonly string[]; readonly homeChallenge: string };
  /** Easiest first. */
  readonly steps: readonly Step[];
  /** Where practitioners order the ladder differently: the step ids in each order, and which is usual here. */
  readonly orders?: Readonly<Record<Order, readonly string[]>> & {
    readonly usual: Order;
    readonly why: string;
  };
}
