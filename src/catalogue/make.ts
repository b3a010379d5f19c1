import type { Dose } from '@/core/dose/dose';
import type { Sourced } from '@/core/origin';
import type { AgeBand } from './types';

/** A rule of thumb of the trade, no published source. */
export const practice = (value: number, note?: string): Sourced => ({
  value,
  origin: 'practice',
  ...(note && { note }),
});

/** Our own cautious choice. */
export const ours = (value: number, note?: string): Sourced => ({
  value,
  origin: 'ours',
  ...(note && { note }),
});

type Doses = Readonly<Record<AgeBand, Dose>>;
type FourOf<T> = readonly [T, T, T, T];

function perBand<T>(values: FourOf<T>, dose: (value: T) => Dose): Doses {
  return {
    '4-6': dose(values[0]),
    '7-9': dose(values[1]),
    '10-12': dose(values[2]),
    '13-16': dose(values[3]),
  };
}

/** In a row: targets by age band, one time cap. */
export const rowFor = (targets: FourOf<number>, capS: number): Doses =>
  perBand(targets, (target) => ({ kind: 'row', target, capS }));

/** Time boxes: rounds by age band. */
export const timedFor = (rounds: FourOf<number>, workS: number, restS: number): Doses =>
  perBand(rounds, (n) => ({ kind: 'timed', rounds: n, workS, restS }));

/** Repetitions by age band. */
export const repsFor = (reps: FourOf<number>, sets: number, sides: 1 | 2, restS: number): Doses =>
  perBand(reps, (n) => ({ kind: 'reps', sets, reps: n, sides, restS }));

/** Holds: seconds by age band. */
export const holdFor = (holdS: FourOf<number>, holds: number, sides: 1 | 2, restS: number): Doses =>
  perBand(holdS, (s) => ({ kind: 'hold', holds, holdS: s, sides, restS }));

/** Shots by age band. */
export const shotsFor = (shots: FourOf<number>, ballsAtHand: number, collectS: number): Doses =>
  perBand(shots, (n) => ({ kind: 'shots', shots: n, ballsAtHand, collectS }));
