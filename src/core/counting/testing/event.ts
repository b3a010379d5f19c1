import type { TouchEvent } from '../event';

/** For tests: a plain touch, with whatever a test wants different. */
export const eventWith = (more: Partial<TouchEvent> = {}): TouchEvent => ({
  id: '01ARZ3NDEKTSV4RRFFQ69G5FAV',
  blockId: '01ARZ3NDEKTSV4RRFFQ69G5FB0',
  playerId: '01ARZ3NDEKTSV4RRFFQ69G5FP0',
  kind: 'touch',
  attempt: 1,
  value: null,
  ref: null,
  text: null,
  by: null,
  atMs: 1000,
  monoMs: 0,
  device: 'device',
  ...more,
});
