import type { Attempt } from '@/core/counting/tally';
import type { Dose } from '@/core/dose/dose';
import { attemptsIn, fixedTries } from '@/core/dose/facts';

type Done = Pick<Attempt, 'result' | 'touches' | 'drops'> & { readonly whole?: boolean };

/** A row that was tried so many times the number it aims at is a dose done, whatever became of it. Ours. */
const triesOfARow = 3;

const sum = (of: readonly Done[], what: (one: Done) => number): number =>
  of.reduce((all, one) => all + what(one), 0);

/**
 * The share of a dose that attempts come to: 1 is the whole of it, whatever they brought. A row is done when it is there,
 * or when it was tried for long enough: trying counts, at home as on court.
 */
export function doneShare(dose: Dose, attempts: readonly Done[]): number {
  if (attempts.some(({ whole }) => whole)) return 1;
  const tries = sum(attempts, ({ touches, drops }) => touches + drops);
  const results = attempts.filter(({ result }) => result !== null).length;
  switch (dose.kind) {
    case 'reps':
    case 'shots':
    case 'growing':
      return tries / fixedTries(dose)!;
    case 'row': {
      const best = Math.max(0, ...attempts.map(({ result }) => result ?? 0));
      return best >= dose.target ? 1 : Math.min(1, tries / (dose.target * triesOfARow));
    }
    case 'timed':
    case 'routine':
      return results / attemptsIn(dose);
    case 'hold':
      return attempts.length / fixedTries(dose)!;
    case 'course':
      return (
        sum(attempts, ({ result, touches, drops }) => Math.max(result ?? 0, touches + drops)) /
        fixedTries(dose)!
      );
  }
}

/** The dose of a part on a day: that of the day for the planned step, the coach’s own for one the child chose. */
export function doseOn(
  day: { readonly stepId: string; readonly dose: Dose },
  choices: readonly { readonly stepId: string; readonly dose: Dose }[],
  stepId: string | null,
): Dose {
  if (stepId === null || stepId === day.stepId) return day.dose;
  return choices.find((one) => one.stepId === stepId)?.dose ?? day.dose;
}

/** The share of a whole day: the mean of its parts, none of which can stand in for another. */
export function dayShare(parts: readonly number[]): number {
  if (parts.length === 0) return 0;
  const within = parts.map((one) => Math.min(1, one));
  return within.reduce((all, one) => all + one, 0) / parts.length;
}
