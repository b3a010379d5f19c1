import type { Cue } from './timeline';

/** The call that stands at a moment: the last one made, for as long as it can be answered; null when none does. */
export function callAt(cues: readonly Cue[], atS: number, forS: number): Cue['call'] {
  const last = cues.findLast((cue) => cue.call !== null && cue.atS <= atS);
  return last && atS - last.atS <= forS ? last.call : null;
}
