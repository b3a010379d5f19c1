import type { Dose } from '@/core/dose/dose';
import { sharesOf } from '@/core/dose/time';
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
  const [rounds, restS, activeS] = [roundsOf(dose), restOf(dose), turnS * turns];
  const shares = sharesOf(dose) ?? Array.from({ length: rounds }, () => 1 / rounds);
  // In a round the others' work covers the rest, or it does not and some rest is left. With less work, more of them are
  // of the second kind: from as much work as could be it is followed down until all agree.
  let workS = turnS;
  for (const _ of shares) {
    let [slope, left] = [0, activeS];
    for (const [round, share] of shares.entries()) {
      const covered = round === rounds - 1 || (turns - 1) * share * workS >= restS;
      slope += covered ? turns * share : share;
      left -= covered ? 0 : restS;
    }
    workS = left / slope;
  }
  return workS;
}
