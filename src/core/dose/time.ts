import { expectedDropsToRow, expectedTouchesToRow } from '../skill/row-odds';
import type { Dose } from './dose';

/** What a dose needs to know about the step and the player to become time. */
export interface Pace {
  /** Seconds from one touch (repetition, shot) to the next, > 0. */
  readonly perTouchS: number;
  /** Seconds a drop costs: fetch the ball, get ready, start again; >= 0. */
  readonly dropCostS: number;
  /** Chance that the next touch succeeds, 0 to 1. */
  readonly successRate: number;
  /** Seconds to set out, brief and show, before the work; >= 0. */
  readonly setUpS: number;
  /** Seconds to change over to the next block; >= 0. */
  readonly changeoverS: number;
}

/** A dose as time and touches. Times in seconds; touches per player, successful ones only. */
export interface DoseTime {
  readonly setUpS: number;
  readonly workS: number;
  readonly restS: number;
  readonly collectS: number;
  readonly changeoverS: number;
  readonly totalS: number;
  readonly touches: number;
  /** True when an in-a-row target is expected to run into its time cap. */
  readonly capped: boolean;
}

/**
 * Seconds and touches of one dose for one player (or a group that works all at once).
 * Source: arithmetic of the trade, written out in {@link work}; the row's expectation is Feller's.
 */
export function doseTime(dose: Dose, pace: Pace): DoseTime {
  const part = work(dose, pace);
  const totalS = pace.setUpS + part.workS + part.restS + part.collectS + pace.changeoverS;
  return { setUpS: pace.setUpS, changeoverS: pace.changeoverS, totalS, ...part };
}

type Work = Pick<DoseTime, 'workS' | 'restS' | 'collectS' | 'touches' | 'capped'>;

function work(dose: Dose, pace: Pace): Work {
  const none = { restS: 0, collectS: 0, capped: false };
  switch (dose.kind) {
    case 'reps': {
      const rounds = dose.sets * dose.sides;
      const tries = rounds * dose.reps;
      return {
        ...none,
        workS: tries * pace.perTouchS,
        restS: (rounds - 1) * dose.restS,
        touches: tries * pace.successRate,
      };
    }
    case 'row':
      return { ...none, ...rowWork(dose.target, dose.capS, pace) };
    case 'timed': {
      const workS = dose.rounds * dose.workS;
      return { ...none, workS, restS: (dose.rounds - 1) * dose.restS, touches: touchesIn(workS, pace) };
    }
    case 'hold': {
      const holds = dose.holds * dose.sides;
      return {
        ...none,
        workS: holds * dose.holdS,
        restS: (holds - 1) * dose.restS,
        touches: holds * pace.successRate,
      };
    }
    case 'shots': {
      const walks = Math.ceil(dose.shots / dose.ballsAtHand);
      return {
        ...none,
        workS: dose.shots * pace.perTouchS,
        collectS: walks * dose.collectS,
        touches: dose.shots * pace.successRate,
      };
    }
  }
}

/**
 * In-a-row: every try (good or dropped) takes `perTouchS`, every drop costs `dropCostS` more.
 * The expectation is cut at the cap, because that is when the block ends.
 */
function rowWork(target: number, capS: number, pace: Pace): Pick<DoseTime, 'workS' | 'touches' | 'capped'> {
  const tries = expectedTouchesToRow(pace.successRate, target);
  const drops = expectedDropsToRow(pace.successRate, target);
  const uncappedS = tries * pace.perTouchS + drops * pace.dropCostS;
  if (uncappedS <= capS) return { workS: uncappedS, touches: tries - drops, capped: false };
  return { workS: capS, touches: touchesIn(capS, pace), capped: true };
}

/** Good touches in a stretch of time: each try costs its own time plus its share of drops. */
function touchesIn(seconds: number, pace: Pace): number {
  const perTryS = pace.perTouchS + (1 - pace.successRate) * pace.dropCostS;
  return (seconds / perTryS) * pace.successRate;
}
