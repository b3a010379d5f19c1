import { clipOrigin, feltOrigin } from '../counting/origin';
import type { TouchEvent } from '../counting/event';
import { liveEvents } from '../counting/live';

/** What became of a checkpoint. */
export type Verdict = 'held' | 'broke';

/** A checkpoint as it was felt, and as a clip shows it; null where nobody said. */
export interface Looked {
  readonly checkpoint: string;
  readonly felt: Verdict | null;
  readonly clip: Verdict | null;
}

const verdict = (event: TouchEvent | undefined): Verdict | null =>
  event?.kind === 'held' || event?.kind === 'broke' ? event.kind : null;

/** What was said last of each checkpoint, by whom: the child who felt it, and the clip. */
export function lookedAt(events: Iterable<TouchEvent>, checkpoints: readonly string[]): Looked[] {
  const live = liveEvents(events);
  const last = (checkpoint: string, origin: string) =>
    verdict(
      live.findLast(
        (one) =>
          (one.kind === 'held' || one.kind === 'broke') &&
          one.text === checkpoint &&
          (one.origin === origin || (origin === clipOrigin && one.origin?.startsWith('clip ') === true)),
      ),
    );
  return checkpoints.map((checkpoint) => ({
    checkpoint,
    felt: last(checkpoint, feltOrigin),
    clip: last(checkpoint, clipOrigin),
  }));
}

/** How often what was felt is what the clip shows. */
export function agreement(looked: readonly Looked[]): { readonly same: number; readonly of: number } {
  const both = looked.filter(({ felt, clip }) => felt !== null && clip !== null);
  return { same: both.filter(({ felt, clip }) => felt === clip).length, of: both.length };
}

/** Words of a checkpoint that name something an angle or a height can be measured of. */
const measurable =
  /\b(racket tip|racket head|free arm|elbow|arms?|hips?|shoulders?|net|knees?|waist|height|high|level)\b/i;

export const isMeasurable = (checkpoint: string): boolean => measurable.test(checkpoint);
