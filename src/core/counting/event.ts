import type { EventKind } from './event-rules';

export type { EventRule } from './event-rule';
export {
  adjustKinds,
  clockKinds,
  countKinds,
  courtKinds,
  eventKinds,
  kindsWhere,
  ruleOf,
  type AdjustKind,
  type ClockKind,
  type CountKind,
  type EventKind,
  type RemarkKind,
} from './event-rules';

/** Longest text an event carries, letters; and what a block is, for a dozen players. */
export const longestText = 200;
export const longestRecord = 16_000;

/**
 * One line of the log of a session. The log only ever grows: taking a touch back is another event.
 * Events are ordered by `id` (a ULID whose time part never runs backwards on one device),
 * never by arrival.
 */
export interface TouchEvent {
  readonly id: string;
  readonly blockId: string;
  /** Null for what belongs to the whole block. */
  readonly playerId: string | null;
  readonly kind: EventKind;
  /** The round, set or side it belongs to, from 1. */
  readonly attempt: number;
  /**
   * Points of a zone, seconds of a hold or lap, a grade, a result, the tries of what was done, the share of a lap that is
   * counted in parts, the strokes of a whole pass of a sequence; null for a plain touch.
   */
  readonly value: number | null;
  /** For a correction or an answer beside a mark: the id of the event it is about (an undo can be taken back too). */
  readonly ref: string | null;
  /**
   * A step, change, ball, feed, block or call by its name; a note's words; what a block is; on a touch of a routine that
   * goes by its weakest part, the part: "2/4" is the second of four.
   */
  readonly text?: string | null;
  /** Who made the mark, by the name they gave; null for the coach of the session. */
  readonly by?: string | null;
  /** How it came about, where nobody pressed or typed it: see {@link ./origin}; null for a finger. */
  readonly origin?: string | null;
  /** Wall clock of the device, UTC milliseconds. */
  readonly atMs: number;
  /** The device's monotonic clock since its page opened, milliseconds. */
  readonly monoMs: number;
  readonly device: string;
  /**
   * What the player did when it was made, by a fingerprint: it travels with the event, so that the server can tell a mark
   * that was made under another plan. It is not stored.
   */
  readonly under?: string | null;
}
