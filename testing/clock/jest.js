import { shiftClock } from './shift.js';

/* Jest runs tests in a world of their own, with a Date of its own: it is shifted as their process is. */
const shiftMs = Number(process.env.VOWSTEP_TEST_SHIFT_MS ?? 0);
if (shiftMs !== 0) shiftClock(globalThis, shiftMs);
