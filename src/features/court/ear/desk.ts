import type { CourtView } from '../court-view';
import type { BlockRun } from '../use-block';
import type { Court } from '../use-court';

/** Who is listened to, and in which block: at a circuit several go on at once. */
export interface Listened {
  readonly blockId: string;
  readonly playerId: string;
}

/** The court an ear counts on. */
export interface Desk {
  readonly court: Court<CourtView>;
  /** What is on now: the block, or the station whose clock is everybody's. */
  readonly lead: BlockRun;
  readonly numberOf: (playerId: string) => number;
  /** Whether this device sounds signals and calls. */
  readonly sounds: boolean;
}
