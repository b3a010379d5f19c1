import { NextResponse, type NextRequest } from 'next/server';
import { bearable, Budget } from './server/http/budget';
import { bodyLimits } from './server/http/body-limits';
import { loopBusy } from './server/http/load';
import { hostAllowed, isPutIn, ownOrigin } from './server/http/hosts';

/** Files that are the same for everybody: no page stands under these addresses, so no action can be sent to them. */
const files =
  /^\/(?:_next\/static\/.+|calls\/[\w-]+\.(?:wav|md)|home\/[\w-]+\.(?:js|css|woff2)|solver\/[\w-]+\.(?:js|wasm)|icon\.svg|ear\/[\w-]+\.js|favicon\.ico|sw\.js)$/;

/** The worker that builds sessions: it alone compiles WebAssembly, and asks for nothing but its solver. */
const solverWorker = '/solver/builder.js';
const solverPolicy =
  "default-src 'none'; script-src 'self' 'wasm-unsafe-eval'; connect-src 'self'; frame-ancestors 'none'";

const dev = process.env.NODE_ENV === 'development';

/** What a page may load and do. Without a nonce for what holds no page: nothing there runs in line. */
function policy(nonce?: string): string {
  return [
    "default-src 'self'",
    nonce
      ? `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${dev ? " 'unsafe-eval'" : ''}`
      : "script-src 'self'",
    `style-src 'self' ${dev ? "'unsafe-inline'" : nonce ? `'nonce-${nonce}'` : ''}`.trim(),
    // Positions and sizes drawn to scale are style attributes; they cannot run anything.
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' data: blob:",
    // A clip somebody opens here is looked at here, and a still of it.
    "media-src 'self' blob:",
    "connect-src 'self'",
    "worker-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
}

/** What a device may be asked for: by pages of ours alone, and by nothing in a frame; by files and answers not at all. */
const nothingAsked = 'camera=(), microphone=(), geolocation=()';
const pagesAsk = 'camera=(self), microphone=(self), geolocation=()';

function secured(response: NextResponse, csp: string, asks = nothingAsked): NextResponse {
  response.headers.set('content-security-policy', csp);
  response.headers.set('x-content-type-options', 'nosniff');
  // Other sites hear nothing of ours. `no-referrer` would hide the origin of our own forms from us as well.
  response.headers.set('referrer-policy', 'same-origin');
  response.headers.set('cross-origin-resource-policy', 'same-origin');
  response.headers.set('permissions-policy', asks);
  return response;
}

/** What is wrong with something sent to a page, before any of it is read. */
function actionRefusal({ headers }: NextRequest): NextResponse | null {
  // Browsers name their origin on each: what has none is no page of ours.
  if (!headers.has('origin')) return refusal(403, 'Vow Step takes this from its own pages only.');
  const length = headers.get('content-length');
  // Next itself hands an action on to the page it belongs to, as a stream; it was measured when it came.
  if (length === null && !headers.has('x-action-forwarded'))
    return refusal(411, 'This has to say how long it is.');
  if (Number(length) > bodyLimits.action)
    return refusal(413, `This is over ${bodyLimits.action / 1024} KB: nothing of it was taken.`);
  return null;
}

const refusal = (status: number, sentence: string, headers: HeadersInit = {}) =>
  secured(new NextResponse(`${sentence}\n`, { status, headers }), policy());

/** What addresses ask, by how busy this process is. A file costs next to nothing; a page is some forty of them. */
const perAddress = new Budget(() => bearable(loopBusy()));
const fileCost = 0.1;

/** Stands before every path there is: who is asked for, who asks, and what the answer may do. */
export function proxy(request: NextRequest): NextResponse {
  if (!hostAllowed(request.headers.get('host')))
    return refusal(421, 'This address is not one Vow Step answers to; name it in VOWSTEP_ALLOWED_HOSTS.');
  // Our own server says it (scripts/server.mjs), whatever the request does.
  const address = request.headers.get('x-vowstep-address');
  const cost = files.test(request.nextUrl.pathname) ? fileCost : 1;
  if (address !== null && !perAddress.take(address, performance.now(), cost))
    return refusal(
      429,
      'Too much was asked from this address: wait a few seconds. Counts stay on the device.',
      {
        'retry-after': '5',
      },
    );
  const reads = request.method === 'GET' || request.method === 'HEAD';
  if (reads ? isPutIn(request.headers) : !ownOrigin(request.headers))
    return refusal(403, 'Vow Step takes this from its own pages only.');

  const { pathname } = request.nextUrl;
  if (!decodable(pathname)) return refusal(400, 'This address is written wrongly: a % stands alone in it.');
  if (files.test(pathname))
    return reads
      ? secured(NextResponse.next(), pathname === solverWorker ? solverPolicy : policy())
      : refusal(405, 'This is a file: it can only be read.', { allow: 'GET, HEAD' });
  if (pathname.startsWith('/api/')) {
    const response = secured(NextResponse.next(), "default-src 'none'; frame-ancestors 'none'");
    response.headers.set('cache-control', 'no-store');
    return response;
  }
  const refused = reads ? null : actionRefusal(request);
  if (refused) return refused;
  const nonce = btoa(crypto.randomUUID());
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  // Where somebody who has to sign in first comes back to.
  headers.set('x-vowstep-path', pathname + request.nextUrl.search);
  headers.set('content-security-policy', policy(nonce));
  const response = secured(NextResponse.next({ request: { headers } }), policy(nonce), pagesAsk);
  // Whoever signed out leaves no page behind to go back to. What is stored goes by hand (court/clear-device.ts): the browser
  // would take counts along that are nowhere else.
  if (pathname === '/sign-in' && request.nextUrl.searchParams.has('out'))
    response.headers.set('clear-site-data', '"cache"');
  return response;
}

function decodable(path: string): boolean {
  try {
    decodeURIComponent(path);
    return true;
  } catch {
    return false;
  }
}
