import { cappedRow } from './capped-row';
import { growingRounds, growingSum, routineStretches, type Dose } from './dose';
import { fixedTries } from './facts';

/** What a dose needs to know about the step and the player to become time. */
export interface Pace {
  /** Seconds from one touch (repetition, shot, lap) to the next, > 0. */
  readonly perTouchS: number;
  /** Seconds a drop costs: fetch the ball, get ready, start again; >= 0. */
  readonly dropCostS: number;
  /** Chance that the next touch succeeds, 0 to 1. */
  readonly successRate: number;
  /** Seconds to set out and brief, before the work; >= 0. */
  readonly setUpS: number;
  /** Seconds of demonstration; >= 0. */
  readonly showS: number;
  /** Seconds to change over to the next block; >= 0. */
  readonly changeoverS: number;
}

/** The work of a dose for one player. Times in seconds. */
export interface DoseWork {
  readonly workS: number;
  readonly restS: number;
  readonly collectS: number;
  /** Successful touches. */
  readonly touches: number;
  /** All tries, good or dropped: what the body does. */
  readonly tries: number;
  /** Stretches of work with a rest between two of them. */
  readonly bouts: number;
  /** The share of the work in each bout, adding up to 1; left out where they are equal. */
  readonly shares?: readonly number[];
  /** True when an in-a-row target is expected to run into its time cap. */
  readonly capped: boolean;
}

/** A dose as time and touches: the work and what goes round it. */
export interface DoseTime extends DoseWork {
  readonly setUpS: number;
  readonly showS: number;
  readonly changeoverS: number;
  readonly totalS: number;
}

/** Seconds and touches of one dose for one player who need not wait for anybody. */
export function doseTime(dose: Dose, pace: Pace): DoseTime {
  const work = doseWork(dose, pace);
  const { setUpS, showS, changeoverS } = pace;
  const totalS = setUpS + showS + work.workS + work.restS + work.collectS + changeoverS;
  return { ...work, setUpS, showS, changeoverS, totalS };
}

/**
 * The work of one dose for one player.
 * Source: arithmetic of the trade, written out case by case; the row's expectation is Feller's.
 */
export function doseWork(dose: Dose, pace: Pace): DoseWork {
  switch (dose.kind) {
    case 'reps': {
      return byTries(fixedTries(dose)!, dose.sets * dose.sides, dose.restS, pace);
    }
    case 'course':
      return byTries(fixedTries(dose)!, dose.rounds, dose.restS, pace);
    case 'growing':
      return {
        ...byTries(fixedTries(dose)!, dose.to, dose.restS, pace),
        shares: sharesOf(dose)!,
      };
    case 'shots': {
      const walks = Math.ceil(dose.shots / dose.ballsAtHand);
      return { ...byTries(fixedTries(dose)!, 1, 0, pace), collectS: walks * dose.collectS };
    }
    case 'row':
      return { ...oneBout, ...rowWork(dose.target, dose.capS, pace) };
    case 'timed': {
      const workS = dose.rounds * dose.workS;
      const restS = (dose.rounds - 1) * dose.restS;
      return { ...oneBout, workS, restS, bouts: dose.rounds, ...touchesIn(workS, pace) };
    }
    case 'hold': {
      const bouts = fixedTries(dose)!;
      return { ...byTries(bouts, bouts, dose.restS, pace), workS: bouts * dose.holdS };
    }
    case 'routine': {
      const stretches = routineStretches(dose);
      const workS = stretches.reduce((sum, part) => sum + part.partS, 0);
      const done = byTries(stretches.length, stretches.length, dose.changeS, pace);
      return { ...done, workS, ...(dose.counted && touchesIn(workS, pace)) };
    }
  }
}

/** The share of its work in each bout of a dose; undefined where they are equal. */
export function sharesOf(dose: Dose): readonly number[] | undefined {
  if (dose.kind !== 'growing') return undefined;
  return growingRounds(dose).map((tries) => tries / (dose.lines * growingSum(dose.to)));
}

const oneBout = { restS: 0, collectS: 0, bouts: 1, capped: false };

/** A known number of tries, each as long as the pace says, in bouts with a rest between two. */
function byTries(tries: number, bouts: number, restS: number, pace: Pace): DoseWork {
  return {
    workS: tries * pace.perTouchS,
    restS: (bouts - 1) * restS,
    collectS: 0,
    touches: tries * pace.successRate,
    tries,
    bouts,
    capped: false,
  };
}

/**
 * In-a-row: every try (good or dropped) takes `perTouchS`, every drop costs `dropCostS` more, and the cap ends it. The mean is
 * of the time as it is cut: some are there early, which a mean that is cut afterwards would not know. The tries are those that fill that time (Wald's identity).
 */
function rowWork(
  target: number,
  capS: number,
  pace: Pace,
): Pick<DoseWork, 'workS' | 'touches' | 'tries' | 'capped'> {
  const { successRate: p, perTouchS: tryS, dropCostS: dropS } = pace;
  const { seconds, reached } = cappedRow({ p, target, tryS, dropS, capS });
  return { workS: seconds, ...touchesIn(seconds, pace), capped: reached < 0.5 };
}

/** Tries and good touches in a stretch of time: each try costs its own time plus its share of drops. */
function touchesIn(seconds: number, pace: Pace): Pick<DoseWork, 'touches' | 'tries'> {
  const perTryS = pace.perTouchS + (1 - pace.successRate) * pace.dropCostS;
  const tries = seconds / perTryS;
  return { tries, touches: tries * pace.successRate };
}
