import { NextRequest } from 'next/server';
import { proxy } from './proxy';
import { hostAllowed, ownOrigin } from './server/http/hosts';

const ask = (host: string, path = '/', init: { method?: string; headers?: Record<string, string> } = {}) =>
  proxy(
    new NextRequest(`http://${/^[\w.:[\]-]+$/.test(host) ? host : 'localhost'}${path}`, {
      ...init,
      headers: { host, ...init.headers },
    }),
  );
const act = (path: string, headers: Record<string, string> = {}) =>
  ask('localhost:3200', path, {
    method: 'POST',
    headers: { 'next-action': 'x', 'content-length': '2', origin: 'http://localhost:3200', ...headers },
  }).status;
afterEach(() => {
  delete process.env.VOWSTEP_ALLOWED_HOSTS;
});

test.each(['localhost:3200', '127.0.0.1', 'LOCALHOST', '[::1]:3200'])('%s is answered', (host) => {
  expect(ask(host).status).toBe(200);
});

test.each(['evil.example', 'localhost.evil.example', '127.0.0.1.evil.example:80'])('%s is not', (host) => {
  expect(ask(host).status).toBe(421);
  expect(ask(host, '/api/touches').status).toBe(421);
});

test('more hosts can be named', () => {
  process.env.VOWSTEP_ALLOWED_HOSTS = ' hall.local , Coach.Local:3200,';
  expect(
    ['coach.local', 'COACH.local:8080', 'hall.local.', 'other.local', ''].map((host) => hostAllowed(host)),
  ).toEqual([true, true, true, false, false]);
  expect([ask('coach.local:3200').status, ask('other.local').status]).toEqual([200, 421]);
  process.env.VOWSTEP_ALLOWED_HOSTS = '*';
  expect(ask('other.local').status).toBe(200);
});

test('each page has a nonce of its own, and nothing unsafe in scripts or frames', () => {
  const policy = () => ask('localhost').headers.get('content-security-policy')!;
  expect(policy()).not.toBe(policy());
  expect(policy()).not.toMatch(/script-src[^;]*unsafe/);
  for (const part of ["default-src 'self'", "object-src 'none'", "frame-ancestors 'none'", "base-uri 'none'"])
    expect(policy()).toContain(part);
  expect(ask('localhost').headers.get('x-content-type-options')).toBe('nosniff');
});

test('the session builder’s worker alone may compile WebAssembly, and no page may', () => {
  const policy = (path: string) => ask('localhost', path).headers.get('content-security-policy')!;
  expect(policy('/solver/builder.js')).toContain("script-src 'self' 'wasm-unsafe-eval'");
  for (const path of ['/', '/sessions/x/plan', '/solver/highs.js', '/calls/rest.wav', '/solver/builder.jsx'])
    expect(policy(path)).not.toContain('wasm');
});

/** Paths that only begin like a file, and files that are none of ours. */
const holes = [
  '/calls/x',
  '/calls/',
  '/sw.jsx',
  '/icon.svgx',
  '/_next/data/x',
  '/favicon.icon',
  '/_next/static',
];

test.each(holes)('%s is checked like any page', (path) => {
  expect(ask('evil.example', path).status).toBe(421);
  expect(ask('localhost', path).headers.get('content-security-policy')).toContain("'nonce-");
  expect(act(path, { origin: 'http://evil.example' })).toBe(403);
  expect(act(path, { 'sec-fetch-site': 'cross-site' })).toBe(403);
});

test.each(['/_next/static/chunks/x.js', '/calls/rest.wav', '/icon.svg', '/favicon.ico', '/sw.js'])(
  '%s is a file: host checked, only read, and a policy without a nonce',
  (path) => {
    expect(ask('evil.example', path).status).toBe(421);
    const policy = ask('localhost', path).headers.get('content-security-policy')!;
    expect(policy).toContain("script-src 'self';");
    expect(policy).not.toContain('nonce');
    expect(act(path)).toBe(405);
  },
);

test('what is sent to a page comes from a page of ours, says how long it is, and is not too long', () => {
  expect(act('/squad')).toBe(200);
  const sent = (headers: Record<string, string>) =>
    ask('localhost:3200', '/squad', { method: 'POST', headers }).status;
  expect(sent({ 'content-length': '2' })).toBe(403);
  expect(sent({ origin: 'http://localhost:3200' })).toBe(411);
  expect(act('/squad', { 'content-length': '600000' })).toBe(413);
  expect(act('/squad', { origin: 'null' })).toBe(403);
  // Another program on this computer has another port.
  expect(act('/squad', { origin: 'http://localhost:8080' })).toBe(403);
});

test.each([
  [{}, true],
  [{ origin: 'http://hall.local:3200' }, true],
  [{ origin: 'https://hall.local:3200' }, false],
  [{ origin: 'https://hall.local:3200', 'x-vowstep-origin': 'https://hall.local:3200' }, true],
  [{ origin: 'http://hall.local:3200', 'x-vowstep-origin': 'https://hall.local:3200' }, false],
  [{ origin: 'https://hall.local', 'x-vowstep-origin': 'https://hall.local:443' }, true],
  [{ origin: 'http://hall.local' }, false],
  [{ origin: 'http://evil.example' }, false],
  [{ origin: 'http://hall.local:3200.evil.example' }, false],
  [{ origin: 'null' }, false],
  [{ origin: 'x' }, false],
  [{ origin: 'http://hall.local:3200', 'sec-fetch-site': 'cross-site' }, false],
  [{ 'sec-fetch-site': 'same-site' }, false],
  [{ origin: 'http://hall.local:3200', 'sec-fetch-site': 'same-origin' }, true],
  [{ origin: 'https://club.example', 'x-forwarded-host': 'club.example' }, false],
  [{ origin: 'https://club.example', 'x-vowstep-origin': 'https://club.example' }, true],
])('%j comes from a page of ours: %p', (headers, own) => {
  expect(ownOrigin(new Headers({ host: 'hall.local:3200', ...(headers as object) }))).toBe(own);
});

test('behind a proxy that says nothing, the origin must be https at one of the hosts that were named', () => {
  const from = (origin: string, list: string) =>
    ownOrigin(new Headers({ host: '127.0.0.1:3200', origin }), 'http://127.0.0.1:3200', list);
  expect(from('https://club.example', '')).toBe(false);
  expect(from('https://club.example', 'hall.local, Club.Example')).toBe(true);
  expect(from('http://club.example', 'Club.Example')).toBe(false);
  expect(from('https://club.example:8443', 'Club.Example')).toBe(false);
  expect(from('https://club.example:8443', 'club.example:8443')).toBe(true);
});

test('what another site puts into its page reads nothing; a link that was followed does', () => {
  const read = (headers: Record<string, string>) => ask('localhost', '/find?q=x', { headers }).status;
  expect(read({ 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'no-cors' })).toBe(403);
  expect(read({ 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'navigate' })).toBe(200);
  expect(read({ 'sec-fetch-site': 'same-origin', 'sec-fetch-mode': 'no-cors' })).toBe(200);
  expect(read({})).toBe(200);
});

test.each(['/squad%E0%A4%A', '/players/%ED%A0%BD', '/api/drills/%'])('%s is refused, not a fault', (path) => {
  expect(ask('localhost', path).status).toBe(400);
});

test('answers of the API are kept nowhere and are what they say they are', () => {
  const { headers } = ask('localhost', '/api/drills');
  expect([headers.get('cache-control'), headers.get('x-content-type-options')]).toEqual([
    'no-store',
    'nosniff',
  ]);
  expect(
    ask('localhost', '/api/touches', { method: 'POST', headers: { origin: 'http://evil.example' } }).status,
  ).toBe(403);
});
