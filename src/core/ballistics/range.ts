import type { Origin } from '../base/origin';

/** A physical value inside the range it is known to, and where both come from. */
export interface Range {
  readonly value: number;
  readonly low: number;
  readonly high: number;
  readonly origin: Origin;
  readonly note: string;
}

export const range = (low: number, value: number, high: number, origin: Origin, note: string): Range => ({
  value,
  low,
  high,
  origin,
  note,
});
