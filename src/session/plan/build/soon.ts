import type { PlanSetting } from '../evaluate';
import type { StandsOn } from '../place-block';
import { built, quickly, type Session } from './build';
import type { ChildFacts } from './needs';
import { evenDials, prepare } from './options';

/** Number the quick search draws with: the same children and day give the same session. */
const seed = 20;

/** What has a rest may leave this share of what would be done without: ours. A short session is worse than the same again. */
const enough = 0.8;

/**
 * A session built quickly and without anybody looking on: what these children need, some drills in it for sure.
 * @param rested drills that are left out where enough is left without them: what was done the time before
 * @returns null where nothing keeps its limits, or nothing fits
 */
export function soonBuilt(
  setting: PlanSetting,
  facts: readonly ChildFacts[],
  standsOn: (drillId: string) => StandsOn,
  must: readonly string[],
  rested: readonly string[],
): Session | null {
  const solve = (banned: readonly string[]): Session | null => {
    const wish = { must, banned, dials: evenDials, kept: [], begun: [], retest: null };
    const { session } = built(prepare(setting, facts, standsOn, wish), setting, quickly(seed));
    return session && session.blocks.length > 0 ? session : null;
  };
  const lengthOf = (session: Session | null) => session?.evaluation.time.totalS ?? 0;
  const other = solve(rested);
  if (rested.length === 0 || lengthOf(other) >= enough * 60 * setting.bookedMin) return other;
  const all = solve([]);
  return lengthOf(other) >= enough * lengthOf(all) ? other : all;
}
