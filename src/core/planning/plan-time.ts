import type { Dose } from '../dose/dose';
import { addLoads, loadOf, noLoadSum, type Load, type LoadSum } from '../dose/load';
import { doseWork, type DoseTime, type DoseWork, type Pace } from '../dose/time';
import { stationS, turnsOf } from './turns';

/** One player's way through a block: their own dose, pace and load. */
export interface PlannedPlayer {
  readonly playerId: string;
  readonly dose: Dose;
  readonly pace: Pace;
  readonly load: Load;
}

export interface PlannedBlock {
  readonly id: string;
  readonly players: readonly PlannedPlayer[];
  /** Who is there and sits it out: they wait as long as the others work. */
  readonly sitting?: readonly string[];
  /** How many can work at once at all stations together, >= 1. */
  readonly holds: number;
  /** Does a helper feed, hold or call for every try? */
  readonly helped: boolean;
  /** Seconds of drink break after the block, >= 0. */
  readonly breakS: number;
}

export interface BlockTime extends DoseTime {
  readonly id: string;
  /** Seconds from the session's start. */
  readonly startS: number;
  readonly breakS: number;
  /** Turns at the stations: 1 when everybody works at once. */
  readonly turns: number;
  /** Seconds the stations are in use: work, rest and collecting of all turns. */
  readonly activeS: number;
  /** Touches to expect, per player. */
  readonly touchesOf: Readonly<Record<string, number>>;
  /** Seconds each player works. */
  readonly workOf: Readonly<Record<string, number>>;
  /** Seconds each player waits: for a turn, for the others to be done, or sitting it out. */
  readonly waitOf: Readonly<Record<string, number>>;
  readonly loadOf: Readonly<Record<string, LoadSum>>;
  /** What a helper has to do: feeds (or holds, calls), and seconds of it. Nothing when none is needed. */
  readonly helper: { readonly feeds: number; readonly busyS: number };
  /** The player whose work takes longest: their turn lasts as long as they need. */
  readonly slowestId: string;
}

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
>;

/** A plan's time as far as it is drawn: its blocks, and how they fill the booking. */
export interface DrawnTime extends Pick<PlanTime, 'totalS' | 'bookedS' | 'overrunS'> {
  readonly blocks: readonly DrawnBlock[];
}

export function drawnTime({ totalS, bookedS, overrunS, blocks }: PlanTime): DrawnTime {
  return {
    ...{ totalS, bookedS, overrunS },
    blocks: blocks.map((block) => {
      const { id, startS, setUpS, showS, activeS, restS, collectS, changeoverS, breakS, turns } = block;
      return {
        ...{ id, startS, totalS: block.totalS, setUpS, showS, activeS, restS, collectS, changeoverS },
        ...{ breakS, turns },
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
 * wait. The last block has no changeover and no break.
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
  const timed = blocks.map((block, index) => {
    const time = blockTime(block, index === blocks.length - 1);
    for (const { playerId } of block.players) {
      touchesOf[playerId] = (touchesOf[playerId] ?? 0) + time.touchesOf[playerId]!;
      loads[playerId] = addLoads(loads[playerId] ?? noLoadSum, time.loadOf[playerId]!);
    }
    for (const [playerId, waitS] of Object.entries(time.waitOf))
      waitOf[playerId] = (waitOf[playerId] ?? 0) + waitS;
    feeds += time.helper.feeds;
    busyS += time.helper.busyS;
    const placed = { ...time, startS };
    startS += time.totalS;
    return placed;
  });
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

interface Timed {
  readonly player: PlannedPlayer;
  readonly work: DoseWork;
}
const slowestOf = (players: readonly Timed[]): Timed =>
  players.reduce((so, next) => (next.work.workS > so.work.workS ? next : so));

function blockTime(block: PlannedBlock, last: boolean): Omit<BlockTime, 'startS'> {
  if (block.players.length === 0) throw new RangeError('A block has at least one player.');
  const timed = block.players.map<Timed>((player) => ({ player, work: doseWork(player.dose, player.pace) }));
  const turns = turnsOf(timed, block.holds);
  const leaders = turns.map(slowestOf);
  const activeS = stationS(leaders.map((leader) => leader.work));
  const slowest = slowestOf(leaders);

  const touchesOf: Record<string, number> = {};
  const workOf: Record<string, number> = {};
  const waitOf: Record<string, number> = {};
  const loads: Record<string, LoadSum> = {};
  let feeds = 0;
  for (const [index, turn] of turns.entries()) {
    const longest = leaders[index]!.work;
    for (const { player, work } of turn) {
      const { playerId, load, dose } = player;
      const beginsAgain = dose.kind === 'row' && work.workS > 0;
      const { workS, restS, collectS } = beginsAgain ? longest : work;
      const goesOn = beginsAgain ? workS / work.workS : 1;
      touchesOf[playerId] = work.touches * goesOn;
      loads[playerId] = loadOf(load, work.tries * goesOn);
      workOf[playerId] = workS;
      waitOf[playerId] = Math.max(0, activeS - workS - restS - collectS);
      feeds += work.tries * goesOn;
    }
  }
  for (const playerId of block.sitting ?? []) waitOf[playerId] = activeS;
  const { setUpS, changeoverS } = slowest.player.pace;
  // Everybody's step is shown side by side: it takes as long as the longest of them.
  const showS = Math.max(...timed.map(({ player }) => player.pace.showS));
  const afterS = last ? 0 : changeoverS;
  const breakS = last ? 0 : block.breakS;
  return {
    id: block.id,
    ...slowest.work,
    setUpS,
    showS,
    changeoverS: afterS,
    breakS,
    turns: turns.length,
    activeS,
    totalS: setUpS + showS + activeS + afterS + breakS,
    touchesOf,
    workOf,
    waitOf,
    loadOf: loads,
    helper: block.helped ? { feeds, busyS: activeS } : { feeds: 0, busyS: 0 },
    slowestId: slowest.player.playerId,
  };
}
