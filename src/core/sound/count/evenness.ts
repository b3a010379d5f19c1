import { BounceSpread, earMs } from '../../counting/bounce-spread';
import type { HeardRow } from './rows';

/** How even the heights of heard bounces are, cm; null with too few. What was not heard, and pauses, say nothing. */
export function evennessCm(rows: readonly HeardRow[]): number | null {
  const spread = new BounceSpread(earMs);
  for (const { touches } of rows) {
    spread.drop();
    for (const { atS, heard } of touches)
      if (heard) spread.touch(1000 * atS);
      else spread.drop();
  }
  return spread.spreadCm();
}
