import type { Pace } from '@/core/dose/time';
import { demonstrationsFor } from '@/core/fit/fit';
import { successRate, type SuccessRate, type TouchRecord } from '@/core/skill/success-rate';
import { changedRate, changedTempo } from './changes';
import type { Drill, Step } from './types';

const nothingYet: TouchRecord = { touches: 0, drops: 0 };

/** A player's success rate on a step, from their record there; the step's usual rate where there is none. */
export function rateOn(step: Step, record: TouchRecord = nothingYet): SuccessRate {
  return successRate(record, step.usualRate.value);
}

/** One demonstration takes this long at least (a few quick touches) and at most (a hold or a lap in part), seconds. Ours. */
const [shortestShowS, longestShowS] = [2, 6];

/** Seconds of demonstration for a group whose youngest is so old. */
export function showS(step: Step, youngestAge: number): number {
  return (
    demonstrationsFor(youngestAge) * Math.min(longestShowS, Math.max(shortestShowS, step.perTouchS.value))
  );
}

/** What a dose of this step costs this player in time, under the changes put on the block. */
export function paceOn(
  drill: Drill,
  step: Step,
  youngestAge: number,
  record?: TouchRecord,
  changes: readonly string[] = [],
): Pace {
  return {
    perTouchS: changedTempo(step.perTouchS.value, changes),
    dropCostS: step.dropCostS.value,
    successRate: changedRate(rateOn(step, record).value, changes),
    setUpS: drill.setUpS.value,
    showS: showS(step, youngestAge),
    changeoverS: drill.changeoverS.value,
  };
}
