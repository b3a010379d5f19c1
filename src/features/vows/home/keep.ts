import type { LoadEar } from './ear-later';

/** What the page is made of: named by its contents, so that a kept part is as good as new. */
const partsPath = '/home/';

/**
 * Lets the page be opened again without the server: the service worker keeps it with all its parts.
 * @param worker its ear; null where nothing may be counted by ear
 * @param loadRest fetches what comes after the page itself
 */
export async function keepForOffline(worker: string | null, loadRest: LoadEar | null): Promise<void> {
  if (!('serviceWorker' in navigator)) return;
  try {
    await navigator.serviceWorker.register('/sw.js');
    const { active } = await navigator.serviceWorker.ready;
    await Promise.allSettled([loadRest?.()]);
    const parts = performance
      .getEntriesByType('resource')
      .map(({ name }) => new URL(name))
      .filter(({ origin, pathname }) => origin === location.origin && pathname.startsWith(partsPath))
      .map(({ pathname }) => pathname);
    active?.postMessage({
      kind: 'keep',
      page: location.pathname,
      whose: '',
      parts: [...new Set([...parts, ...(worker ? [worker] : [])])],
    });
  } catch {
    // A private window has no service worker: counting goes on, only a reload needs the server.
  }
}
