import { wilsonInterval, type Interval } from './wilson';

/** Touches and drops a player has logged on one step. */
export interface TouchRecord {
  readonly touches: number;
  readonly drops: number;
}

export interface SuccessRate {
  /** Estimate, 0 to 1, pulled towards the step's usual rate while there is little data. */
  readonly value: number;
  /** 95 % interval of the logged share alone. */
  readonly interval: Interval;
  readonly tries: number;
  readonly littleData: boolean;
}

/** How many tries the step's usual rate counts for: ours. After some 100 tries it hardly matters. */
const usualCountsFor = 10;
/** Under this many tries the screen says "little data": ours. */
const enoughTries = 30;

/**
 * A player's own chance that the next touch succeeds: logged touches over logged tries, with the
 * step's usual rate counted in as {@link usualCountsFor} tries (the mean of a beta posterior).
 * @param usual the step's usual rate, 0 to 1
 */
export function successRate(record: TouchRecord, usual: number): SuccessRate {
  const tries = record.touches + record.drops;
  return {
    value: (record.touches + usualCountsFor * usual) / (tries + usualCountsFor),
    interval: wilsonInterval(record.touches, tries),
    tries,
    littleData: tries < enoughTries,
  };
}
