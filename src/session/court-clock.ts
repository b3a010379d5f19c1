import type { Dose } from '@/core/dose/dose';
import { inTurns, phasesOf, restOf, roundsOf, type Phase } from '@/core/run/phases';

/** However short a block is cut, so much work is left of a turn, seconds. Ours. */
const leastWorkS = 1;

interface TurnTimes {
  /** Seconds the stations are in use for one turn: work, rest and collecting, as the plan reckons. */
  readonly turnS: number;
  readonly turns: number;
}

/**
 * A block's clock on court, from its dose and the plan's time for it. Rests are the dose's own and come once; what is
 * left of the time is work. A row is run to its cap, however soon the plan expects it to be there.
 * @param share how much of the work is left when the block was shortened
 */
export function courtPhases(dose: Dose, times: TurnTimes, share = 1): Phase[] {
  return inTurns(phasesOf(dose, Math.max(leastWorkS, workOfTurnS(dose, times) * share)), times.turns);
}

/** Seconds of work of one turn: the plan's time for the stations, solved for it (see planning/turns). */
function workOfTurnS(dose: Dose, { turnS, turns }: TurnTimes): number {
  const [rounds, restS] = [roundsOf(dose), restOf(dose)];
  const activeS = turnS * turns;
  const roundS = activeS / (rounds * turns);
  // The others' work covers the rest; or it does not, and some rest is left after every round but the last.
  if ((turns - 1) * roundS >= restS) return rounds * roundS;
  return (rounds * (activeS - (rounds - 1) * restS)) / (rounds - 1 + turns);
}
