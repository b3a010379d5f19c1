import { growingSum, routineStretches, type Dose } from './dose';

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
