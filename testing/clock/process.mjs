import { ServerResponse } from 'node:http';
import { shiftClock } from './shift.js';

/* Loaded before anything else into a process of the browser tests (scripts/lib/test-clock.js): server, demo data, tests. */
const shiftMs = Number(process.env.VOWSTEP_TEST_SHIFT_MS ?? 0);
if (shiftMs !== 0) {
  shiftClock(globalThis, shiftMs);
  // A browser's cache and its service worker go by the machine's own clock: an answer that says no date is as old as it is.
  Object.defineProperty(ServerResponse.prototype, 'sendDate', { get: () => false, set: () => undefined });
}
