/** Every step waits for its condition; a slow machine is no fault. */
jest.setTimeout(360_000);
