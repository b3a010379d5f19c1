import type { Measure } from '../counting/measure';
import { routineStretches, type Dose } from '../dose/dose';
import type { Phase } from './phases';

/** What a round is, in words a child understands; empty where rounds do not differ, or where the clock says it all. */
export interface RoundWords {
  /** "Set 2 of 3". */
  readonly set: string;
  /** "Right side", "Clockwise", "3 on every line". */
  readonly side: string;
}

const sides = ['Right side', 'Left side'] as const;
const ways = ['Clockwise', 'The other way round'] as const;

/**
 * The set and the side of a round. Sides take turns: right, left, right, left; a course goes the other
 * way in the second half of its rounds, so that both legs do the same (common practice).
 * @param round from 1
 */
export function roundWords(dose: Dose, measure: Measure, round: number): RoundWords {
  if (dose.kind === 'reps' || dose.kind === 'hold') {
    const sets = dose.kind === 'reps' ? dose.sets : dose.holds;
    const set = Math.min(sets, Math.floor((round - 1) / dose.sides) + 1);
    const what = dose.kind === 'reps' ? 'Set' : 'Hold';
    return {
      set: sets > 1 ? `${what} ${set} of ${sets}` : '',
      side: dose.sides === 2 ? sides[(round - 1) % 2]! : '',
    };
  }
  const turnsRound = dose.kind === 'course' || (dose.kind === 'timed' && measure === 'laps');
  if (dose.kind === 'growing') {
    const now = Math.min(round, dose.to);
    return { set: `Round ${now} of ${dose.to}`, side: `${now} on every line` };
  }
  const rounds = 'rounds' in dose ? dose.rounds : 1;
  const byClock = dose.kind === 'timed' || dose.kind === 'routine';
  return {
    set: rounds > 1 && !byClock ? `Round ${Math.min(round, rounds)} of ${rounds}` : '',
    side: turnsRound && rounds > 1 ? ways[round <= Math.ceil(rounds / 2) ? 0 : 1] : '',
  };
}

/**
 * The part of a routine that is done in a phase, "Knuckles up, part 2 of 4"; in a rest the one that comes next. Null for
 * every other dose.
 */
export function partInWords(
  dose: Dose,
  { kind, round, turn }: Pick<Phase, 'kind' | 'round' | 'turn'>,
): string | null {
  if (dose.kind !== 'routine') return null;
  const stretches = routineStretches(dose);
  const at = round - (turn - 1) * stretches.length + (kind === 'rest' ? 1 : 0);
  const part = stretches[Math.min(at, stretches.length) - 1];
  return part ? `${kind === 'rest' ? 'next: ' : ''}${part.name}, part ${at} of ${stretches.length}` : null;
}
