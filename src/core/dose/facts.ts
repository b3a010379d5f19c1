import { growingSum, routineStretches, type Dose } from './dose';

/*
 * What a dose comes to, each number from one function: the plan, the court, the home page, the card, the ledger and the
 * levels ask here.
 */

/**
 * Tries a dose asks for by itself, however long each takes; of a routine its stretches. Null where the time says how
 * many there are: a row to its cap, a time box, a routine that is counted.
 */
export function fixedTries(dose: Dose): number | null {
  switch (dose.kind) {
    case 'reps':
      return dose.sets * dose.sides * dose.reps;
    case 'course':
      return dose.rounds * dose.laps;
    case 'growing':
      return dose.lines * growingSum(dose.to);
    case 'shots':
      return dose.shots;
    case 'hold':
      return dose.holds * dose.sides;
    case 'routine':
      return dose.counted ? null : routineStretches(dose).length;
    case 'row':
    case 'timed':
      return null;
  }
}

/** How many separate rounds of work a dose has. */
export function roundsOf(dose: Dose): number {
  switch (dose.kind) {
    case 'reps':
      return dose.sets * dose.sides;
    case 'timed':
    case 'course':
      return dose.rounds;
    case 'growing':
      return dose.to;
    case 'hold':
      return dose.holds * dose.sides;
    case 'routine':
      return routineStretches(dose).length;
    case 'row':
    case 'shots':
      return 1;
  }
}

/** Tries in one attempt, where the dose says how many: what moves a count on to the next set or round of a course. */
export function triesARound(dose: Dose): number | null {
  switch (dose.kind) {
    case 'reps':
      return dose.reps;
    case 'course':
      return dose.laps;
    case 'growing':
      return dose.lines * growingSum(dose.to);
    default:
      return null;
  }
}

/** Attempts at the mark one dose gives: rows are begun anew at each drop, so about as many as there is time. */
export function attemptsIn(dose: Dose): number {
  switch (dose.kind) {
    case 'reps':
    case 'timed':
    case 'hold':
      return roundsOf(dose);
    case 'routine':
      // One go through all of its parts is one attempt.
      return dose.rounds;
    case 'course':
      return dose.rounds * dose.laps;
    case 'shots':
    case 'growing':
    case 'row':
      return 1;
  }
}

/** Seconds of the box one attempt is counted in; null where there is none. */
export function boxSeconds(dose: Dose): number | null {
  if (dose.kind === 'timed') return dose.workS;
  if (dose.kind === 'routine')
    return routineStretches({ ...dose, rounds: 1 }).reduce((sum, { partS }) => sum + partS, 0);
  return null;
}
