import { courts, type CourtKind } from '../net/courts';
import { tableSize, type FloorKind } from '../surfaces';
import type { FeederPlace } from './feeder';

/** Where a feeder machine stands, as a coach says it. Metres. */
export interface FeederStand {
  readonly mouthM: number;
  readonly playerM: number;
  /** The net lies half-way between the machine and the player; none for a feed over open ground. */
  readonly court: CourtKind | 'none';
}

/** What the ball meets on its way from a machine that stands so. */
export function feederPlaceOf(
  { mouthM, playerM, court }: FeederStand,
  floor: FloorKind,
  ceilingM: number | null,
): FeederPlace {
  const half = playerM / 2;
  return {
    mouthM,
    playerM,
    floor,
    ceilingM,
    netAtM: court === 'none' ? null : half,
    netM: court === 'none' ? 0 : courts[court].netM,
    tableFromM: court === 'table' ? half : null,
  };
}

/** A stand to begin with: half a court away from the net, or across the table. */
export function usualStand(court: FeederStand['court']): FeederStand {
  if (court === 'table') return { mouthM: tableSize.heightM + 0.25, playerM: tableSize.lengthM + 0.4, court };
  if (court === 'none') return { mouthM: 1, playerM: 8, court };
  return { mouthM: 1, playerM: Math.round(courts[court].lengthM * 0.85), court };
}
