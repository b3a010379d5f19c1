import {
  CacheFirst,
  ExpirationPlugin,
  NetworkFirst,
  NetworkOnly,
  Serwist,
  type PrecacheEntry,
  type SerwistPlugin,
} from 'serwist';

/*
 * Lets a run screen be opened again while the server is away. It keeps run screens that were opened, what they are made
 * of, and the spoken clips; everything else goes to the server as ever. Counts are not its affair: they rest in IndexedDB.
 *
 * A newer worker waits until no page of the older one is open. One that pushes itself in under an open page can make the
 * browser hold the next load of that page for minutes; and nothing is won by it, as pages come from the server anyway
 * while it answers.
 */
declare const self: ServiceWorkerGlobalScope;
/** Put in when it is built: the build it belongs to, and the clips and the microphone's part by their contents. */
declare const BUILD: string;
declare const CLIPS: PrecacheEntry[];

const runScreen = /^\/(sessions\/[^/]+\/run|(?:help|vow)\/[^/]+)$/;
/** What pages are made of: the framework’s parts, and those of a family’s page. All are named by what is in them. */
const isPart = (path: string): boolean => path.startsWith('/_next/static/') || path.startsWith('/home/');
const pagesPrefix = 'vowstep-court-';
const pagesName = pagesPrefix + BUILD;
const day = 24 * 3600;
/** An event that never ends would hold back the next worker, so nothing fetched ahead of need may take longer, ms. */
const aheadMs = 10_000;

/** A server that is up but not well is as good as away, where a page is kept. */
const wellOrAway: SerwistPlugin = {
  fetchDidSucceed: async ({ response }) => {
    if (response.status >= 500) throw new Error(`The server answered ${response.status}.`);
    return response;
  },
  // Whoever is signed out is sent to the door: that is no page of this address, and the kept one stays.
  cacheWillUpdate: async ({ response }) =>
    response.status === 200 && !response.redirected ? response : null,
};

/** The server's page; the kept one when it does not answer in time. A kept page is a week old at most. */
const pages = new NetworkFirst({
  cacheName: pagesName,
  networkTimeoutSeconds: 5,
  plugins: [wellOrAway, new ExpirationPlugin({ maxAgeSeconds: 7 * day, maxEntries: 20 })],
});
/**
 * All workers begin with one and the same file, and find in their own address which they are. A kept answer would bring the
 * address it was kept under; one that is made anew has none, and leaves the worker its own.
 */
const ownAddress: SerwistPlugin = {
  handlerWillRespond: async ({ request, response }) =>
    request.destination === 'worker' ? new Response(response.body, response) : response,
};

/** Parts are named by what is in them and never change: the kept one is as good as new. */
const parts = new CacheFirst({
  cacheName: 'vowstep-parts',
  plugins: [ownAddress, new ExpirationPlugin({ maxAgeSeconds: 30 * day, maxEntries: 300 })],
});

const serwist = new Serwist({
  precacheEntries: CLIPS,
  precacheOptions: { cleanupOutdatedCaches: true },
  clientsClaim: true,
  disableDevLogs: true,
  runtimeCaching: [
    {
      matcher: ({ sameOrigin, url }) => sameOrigin && isPart(url.pathname),
      handler: parts,
    },
    {
      matcher: ({ request, sameOrigin, url }) =>
        sameOrigin && request.mode === 'navigate' && runScreen.test(url.pathname),
      handler: pages,
    },
    { matcher: ({ request }) => request.mode === 'navigate', handler: new NetworkOnly() },
  ],
});
serwist.setCatchHandler(async ({ request }) => (request.mode === 'navigate' ? away() : Response.error()));
serwist.addEventListeners();

/** A run screen tells what it is made of; what was loaded before this worker began is fetched once more. */
self.addEventListener('message', (event) => {
  const {
    kind,
    page,
    parts: wanted,
  } = (event.data ?? {}) as { kind?: string; page?: string; parts?: unknown };
  if (kind !== 'keep' || !page || !runScreen.test(page) || !Array.isArray(wanted)) return;
  event.waitUntil(keep(event, page, wanted as string[]));
});

async function keep(event: ExtendableEvent, page: string, wanted: readonly string[]): Promise<void> {
  const known = await caches.open(pagesName);
  const all = wanted.filter(isPart);
  await Promise.all(all.map((part) => keepPart(event, part)));
  // The page as it is now: what was kept of it may be of an older plan.
  const fresh = await pageNow(page);
  if (fresh) await known.put(page, fresh);
}

/** The server's page, whole; null where it does not come in time. */
async function pageNow(page: string): Promise<Response | null> {
  try {
    const response = await fetch(page, {
      headers: { accept: 'text/html' },
      signal: AbortSignal.timeout(aheadMs),
    });
    return response.ok && !response.redirected ? new Response(await response.blob(), response) : null;
  } catch {
    return null;
  }
}

const keepPart = (event: ExtendableEvent, part: string): Promise<unknown> =>
  done(parts.handleAll({ event, request: new Request(part, { signal: AbortSignal.timeout(aheadMs) }) }));

const done = ([response, finished]: [Promise<Response>, Promise<void>]): Promise<unknown> =>
  Promise.allSettled([response, finished]);

/*
 * Pages of older builds are fetched again in this one; where the server is away, the older page stays, with its parts.
 * The network is used while installing only: the browser holds every page load until a worker has become active. What
 * cannot be renewed (a full disk) is carried over as it is and must not keep the new worker out.
 */
self.addEventListener('install', (event) => event.waitUntil(renew(event).catch(() => undefined)));
self.addEventListener('activate', (event) => event.waitUntil(takeOver()));

async function renew(event: ExtendableEvent): Promise<void> {
  const now = await caches.open(pagesName);
  for (const older of await olderPages())
    for (const { url } of await older.keys()) {
      const { pathname } = new URL(url);
      const fresh = runScreen.test(pathname) ? await pageNow(pathname) : null;
      if (!fresh) continue;
      const text = await fresh.clone().text();
      const made = new Set(text.match(/\/(?:_next\/static|home)\/[\w./~-]+\.(?:js|css|woff2)/g));
      await Promise.all([...made].map((part) => keepPart(event, part)));
      await now.put(pathname, fresh);
    }
}

async function takeOver(): Promise<void> {
  const now = await caches.open(pagesName);
  for (const older of await olderPages())
    for (const { url } of await older.keys()) {
      const { pathname } = new URL(url);
      const kept = await older.match(url);
      if (kept && runScreen.test(pathname) && !(await now.match(pathname))) await now.put(pathname, kept);
    }
  for (const name of await olderNames()) await caches.delete(name);
}

const olderPages = async (): Promise<Cache[]> =>
  Promise.all((await olderNames()).map((name) => caches.open(name)));

/** Names of another form are from versions before builds had pages of their own, and stay out of it. */
const olderNames = async (): Promise<string[]> =>
  (await caches.keys()).filter((name) => name.startsWith(pagesPrefix) && name !== pagesName);

function away(): Response {
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
