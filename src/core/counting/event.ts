/** A mark a player's count is made of. */
export const countKinds = ['touch', 'drop', 'zone', 'hold', 'grade', 'lap'] as const;
/** A mark of the block's own clock: it belongs to no player. */
export const clockKinds = ['start', 'pause', 'end'] as const;
export const eventKinds = [...countKinds, ...clockKinds, 'undo'] as const;

export type CountKind = (typeof countKinds)[number];
export type ClockKind = (typeof clockKinds)[number];
export type EventKind = (typeof eventKinds)[number];

/**
 * One line of the log of a session. The log only ever grows: taking a touch back is another event.
 * Events are ordered by `id` (a ULID whose time part never runs backwards on one device),
 * never by arrival.
 */
export interface TouchEvent {
  readonly id: string;
  readonly blockId: string;
  /** Null for clock marks. */
  readonly playerId: string | null;
  readonly kind: EventKind;
  /** The round, set or side it belongs to, from 1. */
  readonly attempt: number;
  /** Points of a zone, seconds of a hold or lap, a grade; null for a plain touch. */
  readonly value: number | null;
  /** For an undo: the id of the event it takes back (an undo can be taken back too). */
  readonly ref: string | null;
  /** Wall clock of the device, UTC milliseconds. */
  readonly atMs: number;
  /** The device's monotonic clock since its page opened, milliseconds. */
  readonly monoMs: number;
  readonly device: string;
}
