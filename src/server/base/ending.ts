/*
 * Whether this process is being ended. scripts/server.mjs says so before it takes no more requests; it and the
 * framework's bundles share nothing but the process, so that is where it stands.
 */
const key = Symbol.for('vowstep.ending');

/** True from the moment the server was asked to end. */
export const isEnding = (): boolean => (globalThis as Record<symbol, unknown>)[key] === true;
