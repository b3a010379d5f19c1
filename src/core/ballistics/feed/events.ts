import type { Feed } from './feeder';

/** What the simulated machine tells while it feeds. */
export interface FeederEvent {
  readonly kind: 'fed' | 'apex' | 'bounced';
  /** Which ball, from 1. */
  readonly ball: number;
  /** Seconds since the machine was started. */
  readonly atS: number;
}

/**
 * The events of so many seconds of feeding, in order. The first ball goes at once.
 * @param events of one feed, as it is dialled
 */
export function feederEvents(
  one: Pick<Feed, 'apexS' | 'bounceS'>,
  intervalS: number,
  forS: number,
): FeederEvent[] {
  const events: FeederEvent[] = [];
  for (let ball = 1; (ball - 1) * intervalS < forS; ball++) {
    const fedS = (ball - 1) * intervalS;
    events.push({ kind: 'fed', ball, atS: fedS });
    // A ball fed level or downwards has its top in the machine's mouth.
    events.push({ kind: 'apex', ball, atS: fedS + one.apexS });
    if (one.bounceS !== null) events.push({ kind: 'bounced', ball, atS: fedS + one.bounceS });
  }
  return events.sort((a, b) => a.atS - b.atS);
}
