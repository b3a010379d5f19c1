import type { LoadSum } from '../dose/load';
import type { Origin } from '../base/origin';
import type { Place } from '../venues/place';

export type Severity = 'note' | 'caution' | 'stop';

/** What can be done about a warning with one press. */
export type Mend =
  /** Put a drill in before a block. */
  | { readonly kind: 'insert'; readonly drillId: string; readonly before: string }
  | { readonly kind: 'move'; readonly blockId: string; readonly before: string }
  /** Do a share of the dose: everybody, or one player of theirs. */
  | { readonly kind: 'scale'; readonly blockId: string; readonly share: number; readonly playerId?: string }
  | { readonly kind: 'break'; readonly blockId: string; readonly seconds: number }
  | { readonly kind: 'remove'; readonly blockId: string }
  /** One player sits a block out. */
  | { readonly kind: 'sit-out'; readonly blockId: string; readonly playerId: string }
  | { readonly kind: 'other hand'; readonly blockId: string };

export interface Warning {
  readonly rule: string;
  readonly severity: Severity;
  /** One plain sentence. */
  readonly text: string;
  readonly blockId: string | null;
  readonly playerId: string | null;
  readonly mend: Mend | null;
  /** The mend as a button reads it: "Put the forearm series before it". */
  readonly mendText: string | null;
  readonly origin: Origin;
  /** The source, where there is one to name. */
  readonly source?: string;
}

/** Every warning ends with this: no rule here knows the child. */
export const deferral = 'Local rules and licensed practice come first.';

/** One player's part in a piece of work. */
export interface CarePlayerWork {
  readonly playerId: string;
  readonly load: LoadSum;
  /** The step's own limit, where it has one. */
  readonly limit: {
    readonly key: string;
    readonly triesASession: number;
    readonly daysApart: number;
    readonly fromAge: number;
  } | null;
}

/** One piece of work: a block of a plan, what is left of a running one, or one day's vow. */
export interface CareWork {
  readonly id: string;
  readonly title: string;
  /** Seconds from the start, and how long it takes with everything round it; of a circuit its own share. */
  readonly startS: number;
  readonly totalS: number;
  /** The circuit it is a station of: its stations are done at the same time. */
  readonly circuit?: { readonly id: string } | null;
  /** Seconds of drink break after it. */
  readonly breakS: number;
  readonly players: readonly CarePlayerWork[];
  readonly warms: readonly string[];
  readonly moves: readonly string[];
  /** Ages it suits: a guide, not a gate. */
  readonly ages: { readonly from: number; readonly to: number };
  readonly hitting: boolean;
  readonly ceilingM: number;
  readonly wall: boolean;
  /** Each works in a lane of this size, length by width. */
  readonly lane: { readonly lengthM: number; readonly widthM: number };
  /** How many the place lets work at once; null when nobody said where. */
  readonly roomFor: number | null;
  readonly atOnce: number;
}

export interface CarePlayer {
  readonly id: string;
  readonly name: string;
  readonly age: number;
  /** An open care note; empty when there is none. */
  readonly careNote: string;
  /** Load of the six days before and of the day itself, without what is looked at. */
  readonly weekLoad: LoadSum;
  /** The day's own share of it: other sessions of the same day. */
  readonly dayLoad: LoadSum;
  /** Days since each limited step was last done, by its key. */
  readonly lastDone: Readonly<Record<string, number>>;
}

export interface CareInput {
  /** What is looked at: a plan, a session on court, or a vow at home. */
  readonly kind: 'plan' | 'running' | 'vow';
  readonly work: readonly CareWork[];
  readonly players: readonly CarePlayer[];
  readonly place: Place | null;
  /** Air temperature, °C; null when nobody said. */
  readonly airC: number | null;
  /** Local start, "HH:MM". */
  readonly startTime: string;
  /** Ids of drills that mend a missing warm-up. */
  readonly warmUps: Readonly<Record<'forearm' | 'shoulder' | 'legs', string>>;
}

/** A rule of care: looks at the whole and says what it sees. */
export type Rule = (input: CareInput) => readonly Warning[];

const order: Readonly<Record<Severity, number>> = { stop: 0, caution: 1, note: 2 };

/** The gravest first; among equals the order of the rules. */
export function bySeverity(warnings: readonly Warning[]): Warning[] {
  return [...warnings].sort((a, b) => order[a.severity] - order[b.severity]);
}

/** A warning with what most of them have. */
export function warning(
  rule: string,
  severity: Severity,
  text: string,
  more: Partial<Omit<Warning, 'rule' | 'severity' | 'text'>> = {},
): Warning {
  return {
    rule,
    severity,
    text,
    blockId: null,
    playerId: null,
    mend: null,
    mendText: null,
    origin: 'ours',
    ...more,
  };
}
