/** What the service worker (src/service-worker/sw.ts) calls what it keeps of run screens, and of whose they are. */
const [pagesPrefix, whoName] = ['vowstep-court-', 'vowstep-who'] as const;

/** Lets go of every run screen that was kept for a reload without the server. */
export async function dropKeptPages(): Promise<void> {
  if (typeof caches === 'undefined') return;
  const names = (await caches.keys()).filter((name) => name.startsWith(pagesPrefix) || name === whoName);
  await Promise.all(names.map((name) => caches.delete(name)));
}

/** A fact a page carries about itself; null where it carries none. */
export const pageFact = (name: 'whose' | 'removed'): string | null =>
  document.querySelector<HTMLMetaElement>(`meta[name="vowstep-${name}"]`)?.content ?? null;
