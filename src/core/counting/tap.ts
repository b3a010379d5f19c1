/** A touch or a drop as it was tapped, as one row: thousands of them are read at once. */
export type Tap = readonly [
  playerId: string,
  blockId: string,
  drillId: string,
  stepId: string,
  drop: 0 | 1,
  attempt: number,
  /** The device's own clock, milliseconds: comparable on one device only. */
  monoMs: number,
  device: string,
];
