import { randomBytes } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import path from 'node:path';
import next from 'next';
import pino from 'pino';
import { watchLoop } from './lib/watchdog.js';

/*
 * The production server: the framework behind a plain one of ours, which says where a request came from, writes one
 * line a request, and speaks TLS where it is given a certificate. Started by lib/server.js.
 */
// What is written here is for this user alone.
process.umask(0o077);

const { PORT = '3200', HOST = '127.0.0.1', VOWSTEP_TLS_CERT, VOWSTEP_TLS_KEY } = process.env;
const log = pino({ level: process.env.VOWSTEP_LOG_LEVEL ?? 'warn', base: null }, pino.destination(2));

const dir = path.join(import.meta.dirname, '..');
const app = next({ dev: false, dir, hostname: HOST, port: Number(PORT), quiet: true });
const handle = app.getRequestHandler();
let prepare;
const prepared = new Promise((resolve) => (prepare = () => resolve(app.prepare())));

/** What stands in an address and opens something, or says who: it is not written down. */
const masked = (url) =>
  url
    .split('?')[0]
    .replace(/^\/(api\/)?(help|calendar|vow)\/[^/]+/, '/$1$2/…')
    .slice(0, 200);

const proxied = process.env.VOWSTEP_PROXIED === '1';

/** Behind a proxy on this computer (VOWSTEP_PROXIED=1) the proxy says where a request came from; else the line does. */
function addressOf(request) {
  const own = request.socket.remoteAddress ?? '';
  if (!proxied) return own;
  return String(request.headers['x-forwarded-for'] ?? own)
    .split(',')
    .at(-1)
    .trim();
}

/** Known to this process alone: by it the framework's own requests are told from anybody else's. */
const [innerHeader, innerSecret] = ['x-vowstep-inner', randomBytes(24).toString('base64url')];

/** What a court asks for news at, and when one last did. */
const follows = /^\/api\/(sessions|help)\/[^/]+\/touches\?/;
let followedAt = -Infinity;

/** The scheme, host and port a request was sent to, as its browser saw them: by our own line, or by the proxy before it. */
function originOf({ headers }) {
  const said = (name) => (proxied ? headers[name]?.split(',')[0].trim() : undefined);
  const scheme = said('x-forwarded-proto') ?? (VOWSTEP_TLS_CERT ? 'https' : 'http');
  const host = said('x-forwarded-host') ?? headers.host ?? '';
  // The framework looks at these as well: what a browser says of them is not believed.
  Object.assign(headers, { 'x-forwarded-proto': scheme, 'x-forwarded-host': host });
  return `${scheme}://${host.toLowerCase()}`;
}

/** Whoever still sends what was refused has so long to hear of it, milliseconds; it is read and let go of. */
const hearMs = 5000;

/** Says no before anything is kept, and hangs up on whoever goes on sending. */
function refuse(response, { status, field, message, retryS }) {
  response.writeHead(status, {
    'content-type': 'application/json; charset=utf-8',
    'cache-control': 'no-store',
    'content-security-policy': "default-src 'none'; frame-ancestors 'none'",
    'x-content-type-options': 'nosniff',
    ...(retryS && { 'retry-after': String(retryS) }),
  });
  response.end(JSON.stringify({ problems: [{ field, message }] }));
  // Closed at once, the answer would be lost on the way to a browser that is still sending.
  const { req: request } = response;
  request.resume();
  setTimeout(() => !request.complete && request.destroy(), hearMs).unref();
}

const methods = ['GET', 'HEAD', 'OPTIONS', 'POST', 'PUT', 'PATCH', 'DELETE'];
const smallBytes = 8192;

/** Lets the framework have a request once it may be read (src/server/access/ask-first.ts says so). */
async function pass(request, response) {
  await prepared;
  const { method, headers, url } = request;
  if (!methods.includes(method)) {
    response.setHeader('allow', methods.join(', '));
    return refuse(response, { status: 405, field: 'method', message: `There is no ${method} here.` });
  }
  // Measured when it came; it is handed on as a stream.
  if (headers[innerHeader] === innerSecret && request.socket.server === inner)
    return handle(request, response);
  const length = headers['content-length'] === undefined ? null : Number(headers['content-length']);
  if (length === 0 || (length === null && headers['transfer-encoding'] === undefined))
    return handle(request, response);
  const path = url.split('?')[0];
  // The application says whom to ask when it is loaded, which the first requests may be before: a handful of counts goes on.
  const gate = globalThis[Symbol.for('vowstep.gate')];
  if (!gate && length !== null && length <= smallBytes) return handle(request, response);
  const asked = gate
    ? await gate.askFirst({ method, path, cookie: headers.cookie ?? '', length })
    : {
        status: 503,
        field: 'server',
        message: 'Vow Step is just starting: try again in a moment.',
        retryS: 2,
      };
  if (!('leave' in asked)) return refuse(response, asked);
  response.on('close', asked.leave);
  return handle(request, response);
}

function answer(request, response) {
  const address = addressOf(request);
  const began = performance.now();
  if (follows.test(request.url)) followedAt = began;
  const id = randomBytes(6).toString('base64url');
  // What a browser says of these is not believed; what the framework hands on to itself says what it said when it came.
  if (request.socket.server !== inner) {
    Object.assign(request.headers, {
      'x-vowstep-address': address,
      'x-vowstep-origin': originOf(request),
      'x-request-id': id,
      [innerHeader]: innerSecret,
    });
    delete request.headers['x-action-forwarded'];
  } else if (request.headers[innerHeader] !== innerSecret) {
    return refuse(response, { status: 403, field: 'address', message: 'This is no door.' });
  }
  delete request.headers['x-vowstep-path'];
  response.setHeader('x-request-id', id);
  if (VOWSTEP_TLS_CERT) response.setHeader('strict-transport-security', 'max-age=31536000');
  response.on('finish', () => {
    const { statusCode } = response;
    const level = statusCode >= 500 ? 'error' : statusCode >= 400 && statusCode !== 404 ? 'warn' : 'info';
    const ms = Math.round(performance.now() - began);
    log[level]({ id, method: request.method, path: masked(request.url), status: statusCode, ms }, 'request');
  });
  pass(request, response).catch((error) => {
    console.error(`${request.method} (request ${id}):`, error);
    if (!response.headersSent)
      refuse(response, { status: 500, field: 'server', message: 'Something went wrong.' });
  });
}

/** The certificate and its key, read once; a file that cannot be read is said in one sentence. */
function secrets() {
  try {
    return { cert: readFileSync(VOWSTEP_TLS_CERT), key: readFileSync(VOWSTEP_TLS_KEY) };
  } catch (error) {
    console.error(`VOWSTEP_TLS_CERT and VOWSTEP_TLS_KEY must name files that can be read: ${error.message}`);
    process.exit(1);
  }
}
if (Boolean(VOWSTEP_TLS_CERT) !== Boolean(VOWSTEP_TLS_KEY)) {
  console.error('For TLS, name both files: VOWSTEP_TLS_CERT and VOWSTEP_TLS_KEY.');
  process.exit(1);
}

// Slow and half-sent requests are ended: headers within 15 s, a whole request within 2 min, looked after every second.
const patience = {
  headersTimeout: 15_000,
  requestTimeout: 120_000,
  keepAliveTimeout: 5000,
  connectionsCheckingInterval: 1000,
};
const server = VOWSTEP_TLS_CERT
  ? createSecureServer({ ...secrets(), ...patience }, answer)
  : createServer(patience, answer);
server.on('error', (error) => {
  console.error(error.code === 'EADDRINUSE' ? `Port ${PORT} is taken: set PORT to another.` : error.message);
  process.exit(1);
});

/** A court asks for news every two seconds (src/court/follow-session.ts): so long it takes to tell all that follow. */
const tellMs = 2300;

/**
 * Tells the courts that follow (src/server/base/ending.ts), takes no more, lets what is under way end, and goes; what is
 * written is seen to by the application (start.ts).
 */
let ending = false;
for (const signal of ['SIGTERM', 'SIGINT', 'SIGHUP'])
  process.on(signal, () => {
    if (ending) return;
    ending = true;
    globalThis[Symbol.for('vowstep.ending')] = true;
    const close = () => {
      server.close(() => void app.close().finally(() => process.exit(0)));
      server.closeIdleConnections();
      inner.close();
      inner.closeIdleConnections();
    };
    if (performance.now() - followedAt < 2 * tellMs) setTimeout(close, tellMs);
    else close();
  });

watchLoop();

/*
 * The framework hands an action that belongs to another page on to itself, over the line. By the address it was asked at it
 * would have to trust its own certificate and find its own name; here it needs neither. Nobody else gets in.
 */
const inner = createServer(patience, answer);
await new Promise((resolve) => inner.listen(0, '127.0.0.1', resolve));
process.env.__NEXT_PRIVATE_ORIGIN = `http://127.0.0.1:${inner.address().port}`;

// A port that another program has is said at once; who asks before the framework is ready waits for it.
server.listen(Number(PORT), HOST, () => prepare());
await prepared;
// Whoever started it waits for this word (lib/server.js): before, something else may have answered at its address.
process.send?.('listening');
