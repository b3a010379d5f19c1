import type { SteadyClock } from '@/core/run/steady-clock';
import type { RunLog } from '@/court/run-log';
import type { CourtPlayer } from '../court-view';
import type { BlockRun } from '../use-block';

/** The court an ear counts on. */
export interface Desk {
  readonly run: BlockRun;
  readonly players: readonly CourtPlayer[];
  readonly numberOf: (playerId: string) => number;
  readonly log: RunLog;
  readonly clock: SteadyClock;
  /** Whether this device sounds signals and calls. */
  readonly sounds: boolean;
}
