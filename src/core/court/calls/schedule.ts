import type { Random } from '@/core/base/random';
import { dealCalls } from './deal';

/** One call of a schedule. */
export interface TimedCall {
  /** Seconds from the start of the stretch of work. */
  readonly atS: number;
  /** Which of the options, from 0. */
  readonly option: number;
}

/** How the gaps between calls go: all the same, or shrinking to the movement time. */
export const callPaces = ['even', 'pressed'] as const;
export type CallPace = (typeof callPaces)[number];

export interface CallPlan {
  /** How many different calls there are, 1 to 12. */
  readonly options: number;
  /** Seconds of the stretch that is called through, > 0. */
  readonly forS: number;
  /** Seconds from one call to the next to begin with, > 0. */
  readonly everyS: number;
  readonly pace: CallPace;
  /**
   * Seconds the player needs from one call to being ready for the next, >= 0: no call ever comes sooner, even when
   * that makes the schedule slower than asked.
   */
  readonly moveS: number | ((from: number, to: number) => number);
  /** Seconds from a feed to the moment the call is about (the top of its flight); 0 for calls of their own. */
  readonly leadS?: number;
}

/**
 * When and what is called. A new call comes only if there is still time to answer it before the stretch ends.
 * @throws RangeError when a time is not a number above 0
 */
export function callSchedule(plan: CallPlan, random: Random): TimedCall[] {
  const { options, forS, everyS, pace, leadS = 0 } = plan;
  if (!(forS > 0 && everyS > 0 && leadS >= 0))
    throw new RangeError('A call schedule needs times above 0 seconds.');
  const moveS = typeof plan.moveS === 'number' ? () => plan.moveS as number : plan.moveS;
  const fastest = leastMoveS(moveS, options);
  const order = dealCalls(options, callsThatFit(plan, everyS, fastest), random);
  const calls: TimedCall[] = [];
  let atS = leadS;
  for (const option of order) {
    const before = calls.at(-1);
    if (before) {
      const done = before.atS / forS;
      const wanted = pace === 'even' ? everyS : everyS - (everyS - Math.min(everyS, fastest)) * done;
      atS = before.atS + Math.max(wanted, moveS(before.option, option));
    }
    // The answer to the last call still fits in.
    if (atS + moveS(option, option) > forS + 1e-9) break;
    calls.push({ atS, option });
  }
  return calls;
}

/** The shortest movement time between any two calls. */
function leastMoveS(moveS: (from: number, to: number) => number, options: number): number {
  let least = Infinity;
  for (let from = 0; from < options; from++)
    for (let to = 0; to < options; to++) least = Math.min(least, moveS(from, to));
  return least;
}

/** About how many calls fit, so that shares come out equal: the gaps are summed as they will be made. */
function callsThatFit({ forS, pace, leadS = 0 }: CallPlan, everyS: number, fastest: number): number {
  let count = 0;
  for (let atS = leadS; atS + fastest <= forS + 1e-9; count++) {
    const wanted = pace === 'even' ? everyS : everyS - (everyS - Math.min(everyS, fastest)) * (atS / forS);
    atS += Math.max(0.1, wanted, fastest);
  }
  return count;
}
