import type { Feed } from './feeder';

/** How a player moves between feeds. Metres and seconds. */
export interface Moving {
  /** From the start place to where the ball is met. */
  readonly distanceM: number;
  readonly speedMps: number;
}

/** Seconds from seeing the feed to the first step: ours; laboratory reactions of children are 0.25 to 0.4 s. */
export const reactionS = 0.35;
/** Seconds of the swing and of stopping: ours. */
export const swingS = 0.5;

/** When things are due after a feed, and how close feeds may follow. */
export interface FeedTiming {
  /** Racket back: when the ball bounces; for a ball met in the air, when it passes its top. */
  readonly racketReadyS: number;
  readonly contactS: number;
  /** Seconds to spare at the ball: below 0 it cannot be reached. */
  readonly toSpareS: number;
  /** Shortest interval that leaves time to hit and to be back at the start place for the next feed. */
  readonly shortestS: number;
}

/**
 * Shortest interval = feed to contact + swing + way back. In time at the ball: contact − reaction − way there.
 */
export function feedTiming(one: Feed, { distanceM, speedMps }: Moving): FeedTiming {
  const wayS = distanceM / speedMps;
  return {
    racketReadyS: one.bounceS ?? one.apexS,
    contactS: one.contactS,
    toSpareS: one.contactS - reactionS - wayS,
    shortestS: one.contactS + swingS + wayS,
  };
}
