/** A block that could be in the session: one drill at one size, for these children in this place. */
export interface BuildOption {
  readonly id: string;
  /** Of options of one drill at most one is taken; a block that is kept is one of its own. */
  readonly drill: string;
  readonly family: string;
  /** Place of its part of the session in the order they are run, from 0. */
  readonly phase: number;
  /** Begun already: it stands before everything else. */
  readonly begun?: boolean;
  /** All the time it takes, with set-up, showing and changeover, whole seconds > 0. */
  readonly seconds: number;
  /** What it is worth to each child, >= 0; 0 for who gets nothing of it. */
  readonly good: readonly number[];
  /** What it asks of each child, by capped kind and child. */
  readonly loads: readonly (readonly number[])[];
  /** What has to be brought or walked to: kit, the wall, the table. */
  readonly things: readonly string[];
  /** What it warms, and what has to be warm before it. */
  readonly warms: readonly string[];
  readonly asks: readonly string[];
  /** What it costs besides its time: a helper who feeds, hard landings on a calm day. */
  readonly cost: number;
}

/** Options in the order they are run: what was begun, then by phase; what needs nothing warm comes first in its phase. */
export function runsBefore(a: BuildOption, b: BuildOption): boolean {
  if ((a.begun ?? false) !== (b.begun ?? false)) return a.begun ?? false;
  return a.phase < b.phase || (a.phase === b.phase && a.asks.length === 0 && b.asks.length > 0);
}

/** Does one option make ready for another? */
export const warmsFor = (warm: BuildOption, part: string, asker: BuildOption): boolean =>
  warm.warms.includes(part) && runsBefore(warm, asker);
