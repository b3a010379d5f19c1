import { loadOf, type LoadSum } from '@/core/dose/load';
import { doseWork } from '@/core/dose/time';
import { slowestOf, type BlockTime, type PlannedBlock, type PlannedPlayer, type Timed } from '../block-time';
import { stationS as inUseS, turnsOf } from '../turns';
import type { CircuitPart } from './circuit';
import { circuitS, groupOf, roundsOf, visitsOf as roundsAt } from './rotation';

/** One group's visit to a station: its turns, and how long they take. */
export interface Visit {
  readonly turns: readonly (readonly Timed[])[];
  /** Seconds until every turn is through. */
  readonly needS: number;
}

/** A group at a station. @param holds how many can work at once */
export function visitOf(players: readonly PlannedPlayer[], holds: number): Visit {
  const timed = players.map<Timed>((player) => ({ player, work: doseWork(player.dose, player.pace) }));
  if (timed.length === 0) return { turns: [], needS: 0 };
  const turns = turnsOf(timed, holds);
  return { turns, needS: inUseS(turns.map(slowestOf).map(({ work }) => work)) };
}

/**
 * The stations of one circuit, timed side by side. They are set up and shown one after the other, by one coach; then one
 * clock runs for all: so many visits of so many seconds, and a walk between them. A visit gives what the dose gives; where
 * the dose takes longer than the visit, as much of it as the signal leaves. Whoever has kept up their row begins again until
 * the signal; any other dose is done when it is done, and they wait. Walking on is no waiting.
 * @param blocks the stations, each with at least one player; all of one circuit
 * @param last is it the last of the session? Then nothing is cleared away, and nobody drinks.
 */
export function circuitTimes(blocks: readonly PlannedBlock[], last: boolean): Omit<BlockTime, 'startS'>[] {
  const shape = blocks[0]!.circuit!;
  const rounds = roundsOf(shape);
  const activeS = circuitS(shape);
  // Who is in a group and does not come waits for nobody.
  const here = new Set(
    blocks.flatMap(({ players, sitting = [] }) => [...players.map(({ playerId }) => playerId), ...sitting]),
  );
  const paces = blocks.map(({ players }) => players.map(({ pace }) => pace));
  const sum = (of: readonly number[]) => of.reduce((all, one) => all + one, 0);
  const setUpS = sum(paces.map((of) => Math.max(...of.map((pace) => pace.setUpS))));
  const showS = sum(paces.map((of) => Math.max(...of.map((pace) => pace.showS))));
  const changeoverS = last ? 0 : Math.max(...paces.flat().map((pace) => pace.changeoverS));
  const breakS = last ? 0 : Math.max(...blocks.map((block) => block.breakS));
  const totalS = setUpS + showS + activeS + changeoverS + breakS;
  return blocks.map((block) => {
    const part = block.circuit!;
    const { visits, touchesOf, workOf, waitOf, loads, feeds, visitsOf } = atStation(block, part, rounds);
    const slowest = slowestOf(visits.flatMap(({ turns }) => turns.flat()));
    // A group that rests, or finds no station free of its own, waits as long as the others work; every station has its share.
    for (const id of here) {
      const there = placesHad(rounds, groupOf(shape, id));
      const restS = ((rounds.length - there) * shape.stationS) / shape.of;
      if (restS > 0) waitOf[id] = (waitOf[id] ?? 0) + restS;
    }
    const needS = Math.max(...visits.map((visit) => visit.needS));
    const { id, at, of, stationS, changeS } = part;
    return {
      id: block.id,
      ...slowest.work,
      setUpS,
      showS,
      changeoverS,
      breakS,
      totalS,
      activeS,
      touchesOf,
      workOf,
      waitOf,
      visitsOf,
      turns: Math.max(...visits.map(({ turns }) => turns.length)),
      visitS: stationS,
      ownS: totalS / of,
      station: { id, at, of, stationS, changeS, rounds: rounds.length, needS },
      loadOf: loads,
      helper: block.helped ? { feeds, busyS: activeS } : { feeds: 0, busyS: 0 },
      slowestId: slowest.player.playerId,
    };
  });
}

/** Rounds in which a group is at one of the stations. */
const placesHad = (rounds: ReturnType<typeof roundsOf>, group: number): number =>
  rounds.filter(({ at }) => at.includes(group)).length;

/** What a station gives to each of those who come to it. */
function atStation(block: PlannedBlock, part: CircuitPart, rounds: ReturnType<typeof roundsOf>) {
  const touchesOf: Record<string, number> = {};
  const workOf: Record<string, number> = {};
  const waitOf: Record<string, number> = {};
  const loads: Record<string, LoadSum> = {};
  const visitsOf: Record<string, { times: number; share: number }> = {};
  let feeds = 0;
  const groups = part.groups.map((_, index) =>
    block.players.filter(({ playerId }) => groupOf(part, playerId) === index),
  );
  // Whoever is in no group comes to no station.
  const strays = block.players.filter(({ playerId }) => groupOf(part, playerId) < 0);
  const visits = [...groups, strays].map((players) => visitOf(players, block.holds));
  for (const [group, { turns, needS }] of visits.entries()) {
    const times = group < groups.length ? roundsAt(rounds, part.at, group).length : 0;
    const share = needS > part.stationS ? part.stationS / needS : 1;
    const turnS = part.stationS / Math.max(1, turns.length);
    for (const { player, work } of turns.flat()) {
      const { playerId, dose, load } = player;
      const untilSignal = dose.kind === 'row' && work.workS > 0;
      const busyS = untilSignal ? Math.max(0, turnS - work.collectS) : work.workS * share;
      const done = times * (untilSignal ? busyS / work.workS : share);
      visitsOf[playerId] = { times, share };
      touchesOf[playerId] = work.touches * done;
      loads[playerId] = loadOf(load, work.tries * done);
      workOf[playerId] = busyS * times;
      waitOf[playerId] =
        times * Math.max(0, part.stationS - busyS - (work.restS + work.collectS) * (untilSignal ? 1 : share));
      feeds += work.tries * done;
    }
  }
  for (const playerId of block.sitting ?? []) {
    const times = roundsAt(rounds, part.at, groupOf(part, playerId)).length;
    waitOf[playerId] = times * part.stationS;
  }
  return {
    visits: visits.filter(({ turns }) => turns.length > 0),
    touchesOf,
    workOf,
    waitOf,
    loads,
    feeds,
    visitsOf,
  };
}

/** How far apart the touches of a circuit are: the most and the fewest a child can expect of all its stations. */
export interface Spread {
  readonly least: number;
  readonly most: number;
  /** (most - least) / mean, >= 0; 0 where nobody touches anything. */
  readonly share: number;
}

export function spreadOf(times: readonly Pick<BlockTime, 'touchesOf'>[]): Spread {
  const sums = new Map<string, number>();
  for (const { touchesOf } of times)
    for (const [id, touches] of Object.entries(touchesOf)) sums.set(id, (sums.get(id) ?? 0) + touches);
  const all = [...sums.values()];
  if (all.length === 0) return { least: 0, most: 0, share: 0 };
  const [least, most] = [Math.min(...all), Math.max(...all)];
  const mean = all.reduce((sum, one) => sum + one, 0) / all.length;
  return { least, most, share: mean > 0 ? (most - least) / mean : 0 };
}
