import type { Pace } from '@/core/dose/time';
import { successRate, type SuccessRate, type TouchRecord } from '@/core/skill/success-rate';
import type { Drill, Step } from './types';

const nothingYet: TouchRecord = { touches: 0, drops: 0 };

/** A player's success rate on a step, from their record there; the step's usual rate where there is none. */
export function rateOn(step: Step, record: TouchRecord = nothingYet): SuccessRate {
  return successRate(record, step.usualRate.value);
}

/** What a dose of this step costs this player in time. */
export function paceOn(drill: Drill, step: Step, record?: TouchRecord): Pace {
  return {
    perTouchS: step.perTouchS.value,
    dropCostS: step.dropCostS.value,
    successRate: rateOn(step, record).value,
    setUpS: drill.setUpS.value,
    changeoverS: drill.changeoverS.value,
  };
}
