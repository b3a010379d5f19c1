import { tapping } from '@/core/ballistics/tap/bounce-tempo';
import type { Hearing } from '@/core/sound/hearing';
import type { SoundKind } from '@/core/sound/kinds';
import type { Drill, Step } from '@/drills/base/types';

/*
 * What can be heard of a step: which sound is a touch, which ends a row, and how soon one can follow the other.
 */

/** The sound of a touch, where a drill has one: trade facts. What rolls, rests, floats or is thrown to others has none. */
const touchOf: Readonly<Record<string, SoundKind>> = {
  'palm-up-bounce': 'strings',
  'knuckle-up-bounce': 'strings',
  'turn-over-bounce': 'strings',
  'trick-bounces': 'strings',
  'bump-with-a-bounce': 'strings',
  'touch-routine': 'strings',
  'ground-dribble': 'floor',
  'frame-bounce': 'frame',
  'wall-throw-and-catch': 'wall',
  'toss-and-catch': 'catch',
  'drop-and-catch': 'catch',
  'bounce-pass-catch': 'catch',
  'toss-to-height': 'catch',
  'longest-alternating-rally': 'hand',
};
const graded: ReadonlySet<string> = new Set(['soft-catch', 'quietest-ten']);
const measured: ReadonlySet<string> = new Set(['row', 'count', 'steadiness']);
/** What comes to the floor between two touches, so that the floor ends nothing. */
const bouncesBetween: ReadonlySet<string> = new Set([
  ...['bump-with-a-bounce', 'drop-and-catch', 'bounce-pass-catch', 'longest-alternating-rally'],
]);

/** Bounces from five centimetres to two metres, by the tap bench: sooner or later none can follow. */
const bounceS = {
  least: tapping('yellow', 'strings', 0.05).periodS,
  most: tapping('yellow', 'strings', 2).periodS,
};
/** A rally comes back this much sooner (a volley) or later (an uneven lawn) than the bench reckons. Ours. */
const rally = { sooner: 0.5, later: 1.8, varies: 0.28 } as const;
/** What is thrown and caught follows no beat of the ball. Ours. */
const thrown = { periodS: { least: 0.5, most: 6 }, varies: 0.6 } as const;
/** Feet and hops between dribbles. */
const dribbleS = { least: 0.15, most: 1.4 } as const;

/** What has to be known of a step to keep what was heard of it. */
export type HeardStep = Pick<Step, 'measure' | 'zones' | 'claps'>;

/** What is listened for when a step is counted by ear; null where nothing of it can be heard. */
export function hearingOf(drill: Pick<Drill, 'id'>, step: Step): Hearing | null {
  if (step.measure === 'grade') return graded.has(drill.id) ? { by: 'catches' } : null;
  if (!measured.has(step.measure)) return null;
  if (step.claps !== undefined) return { by: 'claps' };
  if (step.rally && (step.rally.each ?? 1) === 1)
    return {
      by: 'rows',
      counts: 'wall',
      ends: null,
      varies: rally.varies,
      periodS: {
        least: rally.sooner * step.perTouchS.value,
        most: rally.later * step.perTouchS.value,
      },
    };
  const counts = touchOf[drill.id] ?? (drill.id.startsWith('own-') ? 'strings' : null);
  if (counts === null) return null;
  if (counts === 'catch' || counts === 'wall' || counts === 'hand')
    return {
      by: 'rows',
      counts,
      ends: bouncesBetween.has(drill.id) || counts === 'wall' ? null : 'floor',
      ...thrown,
    };
  if (counts === 'floor') return { by: 'rows', counts, ends: null, periodS: dribbleS };
  if (bouncesBetween.has(drill.id)) return { by: 'rows', counts, ends: null, ...thrown };
  return { by: 'rows', counts, ends: 'floor', periodS: bounceS };
}
