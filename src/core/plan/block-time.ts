import type { Dose } from '../dose/dose';
import { loadOf, type Load, type LoadSum } from '../dose/load';
import { doseWork, type DoseTime, type DoseWork, type Pace } from '../dose/time';
import type { CircuitPart } from './circuit/circuit';
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
  /** Its part in a circuit; left out where it is done alone. */
  readonly circuit?: CircuitPart | null;
}

/** A station of a circuit in time: all seconds. */
export interface StationTime extends Pick<CircuitPart, 'id' | 'at' | 'of' | 'stationS' | 'changeS'> {
  /** How often the whole circuit changes over, and once more. */
  readonly rounds: number;
  /** What the group that takes longest needs for its dose: over `stationS`, the signal cuts it short. */
  readonly needS: number;
}

export interface BlockTime extends DoseTime {
  readonly id: string;
  /** Seconds from the session's start. */
  readonly startS: number;
  readonly breakS: number;
  /** Turns at the stations: 1 when everybody works at once. */
  readonly turns: number;
  /** Seconds the stations are in use: work, rest and collecting of all turns; of a circuit, from its first signal to its last. */
  readonly activeS: number;
  /** Seconds at a stretch in which all turns are through: of a circuit one visit, else all of {@link activeS}. */
  readonly visitS: number;
  /** What of the session's time is this block's own: all of it, or a station's share of its circuit. They add up to the session. */
  readonly ownS: number;
  /** Set where it is a station of a circuit: stations side by side begin and end together. */
  readonly station?: StationTime;
  /** Of a station: how often each player comes, and how much of their dose the signal leaves each time. */
  readonly visitsOf?: Readonly<Record<string, { readonly times: number; readonly share: number }>>;
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

/** A player's own part of a block, timed. */
export interface Timed {
  readonly player: PlannedPlayer;
  readonly work: DoseWork;
}
export const slowestOf = (players: readonly Timed[]): Timed =>
  players.reduce((so, next) => (next.work.workS > so.work.workS ? next : so));

/**
 * A block done alone: a turn lasts as long as its slowest player.
 * @param last is it the last of the session? Then nothing is cleared away, and nobody drinks.
 * @throws RangeError when it has no players
 */
export function blockTime(block: PlannedBlock, last: boolean): Omit<BlockTime, 'startS'> {
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
  const totalS = setUpS + showS + activeS + afterS + breakS;
  return {
    id: block.id,
    ...slowest.work,
    setUpS,
    showS,
    changeoverS: afterS,
    breakS,
    turns: turns.length,
    activeS,
    visitS: activeS,
    ownS: totalS,
    totalS,
    touchesOf,
    workOf,
    waitOf,
    loadOf: loads,
    helper: block.helped ? { feeds, busyS: activeS } : { feeds: 0, busyS: 0 },
    slowestId: slowest.player.playerId,
  };
}
