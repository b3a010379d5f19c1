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
};

/** Whose a kept page is, written on it when it is kept; and who was here last, in a place of its own. */
const [whoseHeader, whoName] = ['x-vowstep-whose', 'vowstep-who'] as const;
const isLink = (path: string): boolean => !path.startsWith('/sessions/');

/** What the server says of a page that is nobody's, or not of who asks, any more. */
const closed: ReadonlySet<number> = new Set([401, 403, 404, 410]);

async function whoIsHere(): Promise<string | null> {
  const known = await (await caches.open(whoName)).match('/who');
  return known ? known.text() : null;
}

/** A page that is somebody else's, or too old, is as good as none. What the server says is closed is kept no longer. */
const theirs: SerwistPlugin = {
  // Pages are kept when they ask to be, with whose they are; not in passing.
  cacheWillUpdate: async () => null,
  cachedResponseWillBeUsed: async ({ request, cachedResponse }) => {
    if (!cachedResponse || isOld(cachedResponse)) return null;
    const { pathname } = new URL(request.url);
    if (isLink(pathname)) return cachedResponse;
    return cachedResponse.headers.get(whoseHeader) === (await whoIsHere()) ? cachedResponse : null;
  },
  fetchDidSucceed: async ({ request, response }) => {
    if (response.type === 'opaqueredirect' || response.redirected || closed.has(response.status))
      await (await caches.open(pagesName)).delete(new URL(request.url).pathname);
    return response;
  },
};

/** A kept page is a week old at most. */
const isOld = (response: Response): boolean =>
  Date.now() - Date.parse(response.headers.get('date') ?? '') > 7 * day * 1000;

/** The server's page; the kept one when it does not answer in time. */
const pages = new NetworkFirst({
  cacheName: pagesName,
  networkTimeoutSeconds: 5,
  plugins: [wellOrAway, theirs],
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
    whose = '',
    parts: wanted,
  } = (event.data ?? {}) as { kind?: string; page?: string; whose?: string; parts?: unknown };
  if (kind !== 'keep' || !page || !runScreen.test(page) || !Array.isArray(wanted)) return;
  event.waitUntil(keep(event, page, whose, wanted as string[]));
});

async function keep(
  event: ExtendableEvent,
  page: string,
  whose: string,
  wanted: readonly string[],
): Promise<void> {
  const all = wanted.filter(isPart);
  await Promise.all(all.map((part) => keepPart(event, part)));
  // The page as it is now: what was kept of it may be of an older plan.
  const fresh = await pageNow(page);
  // Somebody else may have signed in meanwhile, in another tab.
  if (!fresh || fresh.headers.get(whoseHeader) !== whose) return;
  await (await caches.open(pagesName)).put(page, fresh);
  if (!isLink(page)) await (await caches.open(whoName)).put('/who', new Response(whose));
  await letGoOld();
}

/** So many pages are kept, the last ones. */
const mostPages = 20;

async function letGoOld(): Promise<void> {
  const known = await caches.open(pagesName);
  const all = await known.keys();
  for (const [index, request] of all.entries()) {
    const response = await known.match(request);
    if (!response || isOld(response) || index < all.length - mostPages) await known.delete(request);
  }
}

/** Whose a page says it is; empty for a link's, which belongs to whoever has it. */
const whoseOf = (text: string): string =>
  /<meta name="vowstep-whose" content="([^"]*)"/.exec(text)?.[1] ?? '';

/** The server's page, whole; null where it does not come in time. */
async function pageNow(page: string): Promise<Response | null> {
  try {
    const response = await fetch(page, {
      headers: { accept: 'text/html' },
      signal: AbortSignal.timeout(aheadMs),
    });
    if (!response.ok || response.redirected) return null;
    const text = await response.text();
    const headers = new Headers(response.headers);
    headers.set(whoseHeader, whoseOf(text));
    return new Response(text, { headers });
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
