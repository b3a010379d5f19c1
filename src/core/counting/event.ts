/**
 * A mark a player's count is made of. A `result` is a whole attempt that somebody counted aloud and typed in;
 * it is marked as reported wherever it shows. A `done` is a whole dose that was done and not counted: what is run by the
 * clock has no result, only the tries it asked of the body.
 */
export const countKinds = ['touch', 'drop', 'zone', 'hold', 'grade', 'lap', 'result', 'done'] as const;
/** A change of what is counted: it holds from the next attempt on. Without a player it is for everybody in the block. */
export const adjustKinds = ['step', 'change', 'breathless', 'ball', 'feed'] as const;
/** What was seen of a checkpoint, or said; `beside` answers in `text` what is noted beside the mark that `ref` names. */
export const remarkKinds = ['held', 'broke', 'note', 'beside'] as const;
/** A mark of the block's own clock: it belongs to no player. */
export const clockKinds = ['start', 'pause', 'end'] as const;
/**
 * Court decisions about a block's time: `skip` and `back` move the clock by `value` seconds, `extend` lengthens stretch
 * number `attempt` by `value` seconds, `share` shortens the dose to `value` of it, `out` leaves the block out (1) or
 * takes it back in (0), `swap` changes places with the block named in `text`.
 */
export const courtKinds = ['skip', 'back', 'extend', 'share', 'out', 'swap'] as const;
/**
 * What a block is when it is begun, in `text`: from then on it is read from here, whatever becomes of the plan. A
 * `correct` says afterwards what it really was.
 */
export const recordKinds = ['begun', 'correct'] as const;
/** Corrections name an event in `ref`: an undo takes it back, a fix gives its attempt another result. */
export const correctionKinds = ['undo', 'fix'] as const;
export const eventKinds = [
  ...countKinds,
  ...adjustKinds,
  ...remarkKinds,
  ...clockKinds,
  ...courtKinds,
  ...recordKinds,
  ...correctionKinds,
] as const;

export type CountKind = (typeof countKinds)[number];
export type AdjustKind = (typeof adjustKinds)[number];
export type RemarkKind = (typeof remarkKinds)[number];
export type ClockKind = (typeof clockKinds)[number];
export type CourtKind = (typeof courtKinds)[number];
export type EventKind = (typeof eventKinds)[number];

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

/**
 * Kinds that say under which step and changes they were made: all that makes a count what it is. An undo says it where
 * what it takes back does: the two belong together, wherever they are counted in the end.
 */
export const isMadeUnder = (kind: EventKind): boolean => madeUnder.has(kind);
const madeUnder: ReadonlySet<EventKind> = new Set<EventKind>([...countKinds, ...adjustKinds, 'fix']);
