import { apexS, beatLimits } from '@/core/court/calls/beat';
import type { BlockSetting, SequenceSetting } from '@/core/calculators/setting';
import type { FeedTimes, SoundPlan } from '@/core/court/calls/timeline';
import type { Step } from '@/drills/base/types';
import { takesSequence } from './pace';

/** When the balls of a block's feeder machine are where; null for a block without one. */
export function feedsOf(setting: BlockSetting | null): FeedTimes | null {
  if (setting?.kind !== 'feeder') return null;
  return { intervalS: setting.machine.intervalS, apexS: setting.apexS, bounceS: setting.bounceS };
}

/** The tempo a step is usually done at, beats a minute: one touch, one beat. Null where there is nothing to beat. */
export function usualTempo(step: Step, setting: BlockSetting | null = null): number | null {
  if (setting?.kind === 'feeder' || setting?.kind === 'sequence') return null;
  if (setting?.kind === 'wall') return Math.round(setting.hitsPerMin);
  if (step.measure === 'hold' || step.measure === 'points' || step.measure === 'lap') return null;
  const tempo = Math.round(60 / step.perTouchS.value);
  return tempo >= beatLimits.min && tempo <= beatLimits.max ? tempo : null;
}

/** The sequences a block is called through; null for a block without, or a step they do not go with. */
export const sequenceOf = (step: Step, setting: BlockSetting | null): SequenceSetting | null =>
  setting?.kind === 'sequence' && takesSequence(step) ? setting : null;

/** What a step is called with, at the pace its touches come; null for a step that is not called. */
export function callsOf(step: Step): SoundPlan['calls'] {
  if (!step.calls) return null;
  const { set, moveS, pace, tossM } = step.calls;
  const leadS = tossM === undefined ? 0 : apexS(tossM);
  return { set, moveS: Math.max(moveS, leadS), pace, leadS, everyS: step.perTouchS.value };
}
