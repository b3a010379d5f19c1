import { deviceStore } from './device';
import { dropKeptPages, pageFact } from './kept-pages';

/*
 * A tablet in a hall is many people's: what is kept on it for a reload without the server goes when somebody signs out,
 * when a link is closed, and when a child is removed for good.
 */

/** Lets go of kept run screens and of marks the server has; what it does not have yet stays, without the names it was made under. */
export async function clearDevice(): Promise<void> {
  await Promise.allSettled([
    dropKeptPages(),
    typeof indexedDB === 'undefined' ? null : deviceStore().forgetSafe(),
  ]);
}

/** How many marks the server does not have yet. */
export async function unsafeHere(): Promise<number> {
  if (typeof indexedDB === 'undefined') return 0;
  const store = deviceStore();
  const [waiting, heldBack] = await Promise.all([store.waiting(), store.heldBack()]);
  // The record of what a block is comes with its counts, and is no count.
  return [...waiting, ...heldBack].filter(({ event }) => event.kind !== 'begun').length;
}

const removedKey = 'vowstep-removed';

/** Where children were removed for good since this device was last here, what it keeps may still name them: it goes. */
export async function keepInStep(): Promise<void> {
  const now = pageFact('removed');
  if (now === null) return;
  try {
    const before = localStorage.getItem(removedKey);
    if (before === now) return;
    if (before !== null) await clearDevice();
    localStorage.setItem(removedKey, now);
  } catch {
    // A private window keeps nothing.
  }
}

const channelName = 'vowstep-door';

/** Tells the other tabs of this browser that nobody is signed in any more. */
export function tellSignedOut(): void {
  if (typeof BroadcastChannel === 'undefined') return;
  const channel = new BroadcastChannel(channelName);
  channel.postMessage('out');
  channel.close();
}

/** Hears when somebody signs out in another tab. @returns ends that */
export function onSignedOut(work: () => void): () => void {
  if (typeof BroadcastChannel === 'undefined') return () => undefined;
  const channel = new BroadcastChannel(channelName);
  channel.onmessage = work;
  return () => channel.close();
}
