import { oneInProcess } from '../base/one';

/*
 * What cannot be taken back, or takes everything away, is done by somebody who typed their passcode a moment ago: not by
 * whoever finds a tablet that is signed in. Kept in this process alone: after a start it is asked once more.
 */

/** So long a passcode that was typed holds, milliseconds. Ours. */
export const anewMs = 10 * 60_000;

const confirmed = oneInProcess('confirmed', () => new Map<string, number>());

/** Somebody typed their passcode again. @param tokenHash of the browser they are signed in with */
export function noteConfirmed(tokenHash: string, nowMs: number): void {
  for (const [hash, atMs] of confirmed) if (nowMs - atMs > anewMs) confirmed.delete(hash);
  confirmed.set(tokenHash, nowMs);
}

/** Did somebody type their passcode a moment ago, at the door or since? */
export const isAnew = (tokenHash: string, signedInAtMs: number, nowMs: number): boolean =>
  nowMs - Math.max(signedInAtMs, confirmed.get(tokenHash) ?? 0) < anewMs;
