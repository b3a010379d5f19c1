import { addLoads, noLoadSum, type LoadSum } from '../dose/load';
import { blockTime, type BlockTime, type PlannedBlock } from './block-time';
import { slotsOf } from './circuit/circuit';
import { circuitTimes } from './circuit/circuit-time';

/** A block's time without what it means for each player: enough to draw it. */
export type DrawnBlock = Pick<
  BlockTime,
  | 'id'
  | 'startS'
  | 'totalS'
  | 'setUpS'
  | 'showS'
  | 'activeS'
  | 'restS'
  | 'collectS'
  | 'changeoverS'
  | 'breakS'
  | 'turns'
  | 'station'
>;

/** A plan's time as far as it is drawn: its blocks, and how they fill the booking. */
export interface DrawnTime extends Pick<PlanTime, 'totalS' | 'bookedS' | 'overrunS'> {
  readonly blocks: readonly DrawnBlock[];
}

export function drawnTime({ totalS, bookedS, overrunS, blocks }: PlanTime): DrawnTime {
  return {
    totalS,
    bookedS,
    overrunS,
    blocks: blocks.map((block) => {
      const { id, startS, setUpS, showS, activeS, restS, collectS, changeoverS, breakS, turns } = block;
      return {
        id,
        startS,
        totalS: block.totalS,
        setUpS,
        showS,
        activeS,
        restS,
        collectS,
        changeoverS,
        breakS,
        turns,
        ...(block.station && { station: block.station }),
      };
    }),
  };
}

export interface PlanTime {
  readonly blocks: readonly BlockTime[];
  readonly totalS: number;
  readonly bookedS: number;
  /** Seconds over the booking; negative when there is room. */
  readonly overrunS: number;
  readonly touchesOf: Readonly<Record<string, number>>;
  readonly waitOf: Readonly<Record<string, number>>;
  readonly loadOf: Readonly<Record<string, LoadSum>>;
  readonly helper: { readonly feeds: number; readonly busyS: number };
  /** The player with the fewest touches; null with one player or none. */
  readonly leastServedId: string | null;
}

/**
 * A whole session as time, touches, waiting and load. A turn lasts as long as its slowest player. Whoever has kept up
 * their row sooner begins another, so their touches grow with the turn; any other dose is done when it is done, and they
 * wait. The last block has no changeover and no break. Stations of one circuit are done side by side (see circuit-time).
 * @param bookedS seconds booked, > 0
 * @throws RangeError when a block has no players
 */
export function timeBlocks(blocks: readonly PlannedBlock[], bookedS: number): PlanTime {
  const touchesOf: Record<string, number> = {};
  const waitOf: Record<string, number> = {};
  const loads: Record<string, LoadSum> = {};
  let feeds = 0;
  let busyS = 0;
  let startS = 0;
  const slots = slotsOf(blocks);
  const timed = slots.flatMap((slot, index) => {
    const last = index === slots.length - 1;
    const times = slot[0]!.circuit ? circuitTimes(slot, last) : [blockTime(slot[0]!, last)];
    const placed = times.map((time) => ({ ...time, startS }));
    startS += times[0]!.totalS;
    return placed;
  });
  for (const time of timed) {
    for (const [playerId, touches] of Object.entries(time.touchesOf)) {
      touchesOf[playerId] = (touchesOf[playerId] ?? 0) + touches;
      loads[playerId] = addLoads(loads[playerId] ?? noLoadSum, time.loadOf[playerId]!);
    }
    for (const [playerId, waitS] of Object.entries(time.waitOf))
      waitOf[playerId] = (waitOf[playerId] ?? 0) + waitS;
    feeds += time.helper.feeds;
    busyS += time.helper.busyS;
  }
  return {
    blocks: timed,
    totalS: startS,
    bookedS,
    overrunS: startS - bookedS,
    touchesOf,
    waitOf,
    loadOf: loads,
    helper: { feeds, busyS },
    leastServedId: leastOf(touchesOf),
  };
}

function leastOf(touchesOf: Readonly<Record<string, number>>): string | null {
  const all = Object.entries(touchesOf);
  if (all.length < 2) return null;
  return all.reduce((least, next) => (next[1] < least[1] ? next : least))[0];
}
