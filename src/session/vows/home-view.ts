import type { TouchEvent } from '@/core/counting/event';
import type { Dose } from '@/core/dose/dose';
import type { Card } from './card';
import type { PartEars } from './ears';

/** One part of a day at home: where its counts go, and how much is asked. */
export interface HomeDayPart {
  readonly part: number;
  readonly blockId: string;
  readonly stepId: string;
  readonly dose: Dose;
  /** The dose of this day as a child reads it. */
  readonly words: string;
}

export interface HomeDay {
  readonly day: string;
  /** Promised; where it is not, it can be done all the same. */
  readonly asked: boolean;
  readonly parts: readonly HomeDayPart[];
}

export interface HomeVow {
  /** Short and of no use elsewhere. */
  readonly key: string;
  readonly card: Card;
  /** What may be counted by ear, part by part. */
  readonly ears: readonly PartEars[];
  readonly days: readonly HomeDay[];
  /** Spans in which it rests, local days. */
  readonly rests: readonly (readonly [from: string, until: string | null])[];
  /** What the coach said. */
  readonly thanks: string;
}

/** All a family's page or file is given: written out, so that nothing comes along because somebody added it elsewhere. */
export interface HomeView {
  /** First name. */
  readonly name: string;
  /** Whose counts they are, as the log names it. */
  readonly playerId: string;
  /** The coach's day when this was made, local ISO, and when that was, UTC milliseconds. */
  readonly today: string;
  readonly madeAtMs: number;
  readonly vows: readonly HomeVow[];
  /** What was counted at home on these days. */
  readonly events: readonly TouchEvent[];
  readonly by: string;
  readonly sign: string;
}
