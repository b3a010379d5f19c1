import { better, measures, reaches, resultInWords, type Measure } from '../counting/measure';

export type Verdict = 'up' | 'hold' | 'back';
export type School = 'row' | 'best';

/** When a step is done: a result, reached on a number of different days. */
export interface Gate {
  readonly result: number;
  readonly days: number;
}

/** A player's best on one step on one day. */
export interface DayBest {
  /** Local day, ISO: 2026-11-24. */
  readonly day: string;
  readonly best: number;
}

export interface NextTarget {
  readonly school: School;
  readonly verdict: Verdict;
  /** The result to aim at next; on `up`, the gate that was passed. */
  readonly target: number;
  /** One sentence a coach can read out. */
  readonly reason: string;
}

/**
 * The school "N in a row, on k days": up when the gate was reached on enough different days.
 * Works for every measure; on "in a row" it is the default.
 * @param days bests of this step, one per day, any order
 */
export function gateTarget(measure: Measure, gate: Gate, days: readonly DayBest[]): NextTarget {
  const reached = new Set(days.filter((day) => reaches(measure, day.best, gate.result)).map((day) => day.day))
    .size;
  const goal = resultInWords(measure, gate.result);
  const base = { school: 'row' as const, target: gate.result };
  if (reached >= gate.days) {
    return {
      ...base,
      verdict: 'up',
      reason: `Reached ${goal} on ${dayCount(reached)}; the step asks for ${dayCount(gate.days)}: up a step.`,
    };
  }
  const missing = gate.days - reached;
  const soFar = reached === 0 ? `${goal} is still to come` : `Reached ${goal} on ${dayCount(reached)}`;
  return {
    ...base,
    verdict: 'hold',
    reason: `${soFar}: ${missing === 1 ? 'one more day' : `${missing} more days`} of it to move up.`,
  };
}

/**
 * The school "own best plus one": any new best is success; up when the best passes the gate.
 */
export function ownBestTarget(measure: Measure, gate: Gate, days: readonly DayBest[]): NextTarget {
  const best = days.reduce<number | null>((so, day) => better(measure, so, day.best), null);
  if (best === null) {
    const reason = `No count yet: start with the step's own mark, ${resultInWords(measure, gate.result)}.`;
    return { school: 'best', verdict: 'hold', target: gate.result, reason };
  }
  if (reaches(measure, best, gate.result)) {
    const reason = `Best ever ${best} passes the step's ${resultInWords(measure, gate.result)}: up a step.`;
    return { school: 'best', verdict: 'up', target: gate.result, reason };
  }
  const { lowerIsBetter, increment } = measures[measure];
  // Tenths are kept whole: 12.3 - 0.1 must not read 12.200000000000001.
  const target = Math.round((best + (lowerIsBetter ? -increment : increment)) * 10) / 10;
  return { school: 'best', verdict: 'hold', target, reason: `Best ever ${best}: ${target} is a new best.` };
}

/** Both schools on the same log. The default: in a row for rows, own best plus one for the rest. */
export function nextTargets(
  measure: Measure,
  gate: Gate,
  days: readonly DayBest[],
): { byDefault: NextTarget; other: NextTarget } {
  const row = gateTarget(measure, gate, days);
  const best = ownBestTarget(measure, gate, days);
  return measure === 'row' ? { byDefault: row, other: best } : { byDefault: best, other: row };
}

function dayCount(n: number): string {
  return n === 1 ? '1 day' : `${n} days`;
}
