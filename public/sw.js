/*
 * Lets a run screen be opened again while the server is away. It keeps run screens that were opened, what they are made
 * of, and the spoken clips; everything else goes to the server as ever. Counts are not its affair: they rest in IndexedDB.
 */
const cacheName = 'vowstep-court-1';
const runScreen = /^\/(sessions\/[^/]+\/run|help\/[^/]+)$/;
const patienceMs = 5000;

self.addEventListener('install', () => self.skipWaiting());
self.addEventListener('activate', (event) => {
  event.waitUntil(
    (async () => {
      for (const name of await caches.keys()) if (name !== cacheName) await caches.delete(name);
      await self.clients.claim();
    })(),
  );
});

/** A run screen tells what it is made of; what was loaded before this worker began is fetched once more. */
self.addEventListener('message', (event) => {
  const { kind, page, parts } = event.data ?? {};
  if (kind !== 'keep' || !runScreen.test(page) || !Array.isArray(parts)) return;
  event.waitUntil(
    (async () => {
      const cache = await caches.open(cacheName);
      const wanted = [...parts.filter((part) => part.startsWith('/_next/static/')), ...clips];
      for (const part of wanted)
        if (!(await cache.match(part))) await keepIfGood(cache, part, await get(part));
      if (!(await cache.match(page))) await keepIfGood(cache, page, await get(page));
      event.source?.postMessage({ kind: 'kept' });
    })(),
  );
});

const clips = ['last-ten-seconds', 'rest', 'time'].map((name) => `/calls/${name}.wav`);
const get = (path) => fetch(path, { headers: { accept: 'text/html,*/*' } }).catch(() => undefined);

async function keepIfGood(cache, key, response) {
  if (response?.ok) await cache.put(key, response);
}

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== self.location.origin) return;
  if (request.mode === 'navigate') event.respondWith(page(request, url));
  else if (url.pathname.startsWith('/_next/static/') || url.pathname.startsWith('/calls/'))
    event.respondWith(part(request));
});

/** The server's page; without the server the kept one, else a page that says what is wrong. */
async function page(request, { pathname }) {
  const keeps = runScreen.test(pathname);
  const cache = await caches.open(cacheName);
  const kept = keeps ? await cache.match(pathname) : undefined;
  try {
    const response = await fetch(request, kept ? { signal: AbortSignal.timeout(patienceMs) } : undefined);
    if (keeps && response.ok) await cache.put(pathname, response.clone());
    return response.status >= 500 && kept ? kept : response;
  } catch {
    return kept ?? away();
  }
}

/** Parts are named by what is in them and never change: the kept one is as good as new. */
async function part(request) {
  const cache = await caches.open(cacheName);
  const kept = await cache.match(request);
  if (kept) return kept;
  const response = await fetch(request);
  if (response.ok) await cache.put(request, response.clone());
  return response;
}

function away() {
  return new Response(
    `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width">
<title>Vow Step</title><body style="font: 1.2rem/1.5 system-ui; max-width: 34rem; margin: 15vh auto; padding: 0 1rem">
<h1>The server is out of reach</h1>
<p>Nothing is lost: counts rest on this device until it is back. A run screen that was opened here before can be opened
again now; all other pages need the server.</p>
<p><a href="">Try again</a>.</p></body></html>`,
    { status: 503, headers: { 'content-type': 'text/html; charset=utf-8' } },
  );
}
