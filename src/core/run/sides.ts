import type { Measure } from '../counting/measure';
import type { Dose } from '../dose/dose';

/** What a round is, in words a child understands; empty where rounds do not differ, or where the clock says it all. */
export interface RoundWords {
  /** "Set 2 of 3". */
  readonly set: string;
  /** "Right side", "Clockwise". */
  readonly side: string;
}

const sides = ['Right side', 'Left side'] as const;
const ways = ['Clockwise', 'The other way round'] as const;

/**
 * The set and the side of a round. Sides take turns: right, left, right, left; a course changes its direction with
 * every round, so that both legs do the same (common practice).
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
  const rounds = 'rounds' in dose ? dose.rounds : dose.kind === 'growing' ? dose.lines : 1;
  const what = dose.kind === 'growing' ? 'Line' : 'Round';
  const byClock = dose.kind === 'timed' || dose.kind === 'routine';
  return {
    set: rounds > 1 && !byClock ? `${what} ${Math.min(round, rounds)} of ${rounds}` : '',
    side: turnsRound && rounds > 1 ? ways[(round - 1) % 2]! : '',
  };
}
