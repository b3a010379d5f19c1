import { settingTouchS, type BlockSetting } from '@/core/calculators/setting';
import type { Pace } from '@/core/dose/time';
import { demonstrationsFor } from '@/core/players/demonstrations';
import { successRate, type SuccessRate, type TouchRecord } from '@/core/skill/success-rate';
import { ageBandOf } from '@/drills/base/age-band';
import { changedRate, changedTempo } from '@/drills/base/changes';
import type { Drill, Sport, Step } from '@/drills/base/types';

const nothingYet: TouchRecord = { touches: 0, drops: 0 };

/** A player's success rate on a step, from their record there; the step's usual rate where there is none. */
export function rateOn(step: Step, record: TouchRecord = nothingYet): SuccessRate {
  return successRate(record, step.usualRate.value);
}

/** One demonstration takes this long at least (a few quick touches) and at most (a hold or a lap in part), seconds. Ours. */
const [shortestShowS, longestShowS] = [2, 6];

/** Seconds from touch to touch as a step is usually done at an age: on a way on the floor the older are faster. */
export const usualTouchS = ({ paces, perTouchS }: Pick<Step, 'paces' | 'perTouchS'>, age: number): number =>
  paces?.[ageBandOf(age)] ?? perTouchS.value;

/** Seconds of demonstration for a group whose youngest is so old. */
export function showS(step: Step, youngestAge: number): number {
  return (
    demonstrationsFor(youngestAge) *
    Math.min(longestShowS, Math.max(shortestShowS, usualTouchS(step, youngestAge)))
  );
}

/** What a block puts on its step: spices and easings, and a setting from a bench. */
export interface BlockManner {
  readonly changes: readonly string[];
  readonly setting: BlockSetting | null;
}
const asItIs: BlockManner = { changes: [], setting: null };

/**
 * Can a setting hold for a drill? A wall rally where a step of the ladder is one; a feeder where balls are fed; sequences
 * where strokes of their sport are made without a ball.
 */
export function settingFits(
  drill: Pick<Drill, 'feed' | 'steps' | 'trains' | 'sports'>,
  setting: Pick<BlockSetting, 'kind'> & { readonly sport?: Sport },
): boolean {
  const { kind, sport } = setting;
  if (kind === 'sequence')
    return (
      drill.feed.how === 'none' &&
      drill.trains.includes('racket path') &&
      drill.steps.some(takesSequence) &&
      (sport === undefined || drill.sports.includes(sport))
    );
  if (kind === 'wall') return drill.steps.some((step) => step.rally);
  return drill.feed.how !== 'none' && drill.feed.how !== 'self';
}

/**
 * Strokes that are counted in a time and not called already: what a sequence can be called through. Of a set, one is often a
 * whole pattern.
 */
export const takesSequence = ({ measure, calls }: Pick<Step, 'measure' | 'calls'>): boolean =>
  measure === 'count' && !calls;

/** Seconds from touch to touch: as the block is set out, or else as the step is usually done. A trap keeps its own time. */
function touchS(step: Step, age: number, setting: BlockSetting | null): number {
  if (
    setting === null ||
    (setting.kind === 'wall' && (!step.rally || step.rally.each)) ||
    (setting.kind === 'sequence' && !takesSequence(step))
  )
    return usualTouchS(step, age);
  return settingTouchS(setting);
}

/** How old somebody is, and the youngest they are shown a step with; both in years. */
export interface Ages {
  readonly own: number;
  readonly youngest: number;
}
export const alone = (age: number): Ages => ({ own: age, youngest: age });

/** What a dose of this step costs this player in time, under the changes put on the block. */
export function paceOn(
  drill: Drill,
  step: Step,
  { own, youngest }: Ages,
  record?: TouchRecord,
  on: BlockManner = asItIs,
): Pace {
  const everyS = touchS(step, own, on.setting);
  // What is called keeps its tempo, whatever else is changed.
  const isCalled = on.setting?.kind === 'sequence' && takesSequence(step);
  return {
    perTouchS: isCalled ? everyS : changedTempo(everyS, on.changes),
    dropCostS: step.dropCostS.value,
    successRate: changedRate(rateOn(step, record).value, on.changes),
    setUpS: drill.setUpS.value,
    showS: showS(step, youngest),
    changeoverS: drill.changeoverS.value,
  };
}
