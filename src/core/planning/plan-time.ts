import type { Dose } from '../dose/dose';
import { doseTime, type DoseTime, type Pace } from '../dose/time';

/** One player's way through a block: the pace is their own. */
export interface PlannedPlayer {
  readonly playerId: string;
  readonly pace: Pace;
}

export interface PlannedBlock {
  readonly id: string;
  readonly dose: Dose;
  readonly players: readonly PlannedPlayer[];
}

export interface BlockTime extends DoseTime {
  readonly id: string;
  /** Seconds from the session's start. */
  readonly startS: number;
  /** Touches to expect, per player. */
  readonly touchesOf: Readonly<Record<string, number>>;
  /** The player whose work takes longest: the block lasts as long as they need. */
  readonly slowestId: string;
}

export interface PlanTime {
  readonly blocks: readonly BlockTime[];
  readonly totalS: number;
  readonly bookedS: number;
  /** Seconds over the booking; negative when there is room. */
  readonly overrunS: number;
  readonly touchesOf: Readonly<Record<string, number>>;
}

/**
 * A whole session as time and touches. Everyone works at once, so a block lasts as long as its
 * slowest player; a player who is done sooner goes on, so their touches grow with the block.
 * The last block has no changeover.
 * @param bookedS seconds booked, > 0
 * @throws RangeError when a block has no players
 */
export function planTime(blocks: readonly PlannedBlock[], bookedS: number): PlanTime {
  const touchesOf: Record<string, number> = {};
  let startS = 0;
  const timed = blocks.map((block, index) => {
    const time = blockTime(block, index === blocks.length - 1);
    for (const [player, touches] of Object.entries(time.touchesOf)) {
      touchesOf[player] = (touchesOf[player] ?? 0) + touches;
    }
    const placed = { ...time, startS };
    startS += time.totalS;
    return placed;
  });
  return { blocks: timed, totalS: startS, bookedS, overrunS: startS - bookedS, touchesOf };
}

function blockTime(block: PlannedBlock, last: boolean): Omit<BlockTime, 'startS'> {
  const times = block.players.map(({ playerId, pace }) => ({
    playerId,
    time: doseTime(block.dose, last ? { ...pace, changeoverS: 0 } : pace),
  }));
  const first = times[0];
  if (!first) throw new RangeError('A block has at least one player.');
  const slowest = times.reduce((so, next) => (next.time.workS > so.time.workS ? next : so), first);
  const touchesOf = Object.fromEntries(
    times.map(({ playerId, time }) => [
      playerId,
      time.touches * (time.workS > 0 ? slowest.time.workS / time.workS : 1),
    ]),
  );
  return { id: block.id, ...slowest.time, touchesOf, slowestId: slowest.playerId };
}
