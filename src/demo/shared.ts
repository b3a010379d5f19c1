import type { Outcome } from '@/core/base/outcome';
import type { Context } from '@/server/base/context';
import type { Character } from './people';

/** The value of something that must work, because the demo asks for nothing the application would refuse. */
export function must<T>(outcome: Outcome<T>): T {
  if (outcome.ok) return outcome.value;
  throw new Error(
    `The demo data was refused: ${outcome.problems.map((p) => `${p.field}: ${p.message}`).join(' ')}`,
  );
}

export interface DemoOptions {
  readonly today: string;
  readonly seed: number;
  /** Weeks of history before today. */
  readonly weeks: number;
}

export interface Member {
  readonly id: string;
  readonly character: Character;
  /** The step they stand on, by drill. */
  readonly steps: Map<string, string>;
  /** Sessions on a step so far: what they have learned from. */
  readonly practised: Map<string, number>;
}

/** A context at a moment of the demo's days. */
export type At = (day: string, time: string) => Context;
