import { execFileSync, spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { request } from 'node:https';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { startOnFreePort } from '../scripts/lib/server.js';
import { openApp, type App } from '../testing/browser/app';

/* What comes over the line from nobody in particular, before there is any page: heads, bodies, and words to look for. */
let app: App;
let port: number;

beforeAll(async () => {
  app = await openApp({ demo: true });
  port = Number(new URL(app.url).port);
});
afterAll(async () => app?.close());

/** Sends a head and then a body until it is hung up on; gives the status it was answered with, null for none. */
function send(head: string, bodyBytes = 0): Promise<number | null> {
  return new Promise((resolve) => {
    const socket = connect(port, '127.0.0.1');
    let answer = '';
    const piece = Buffer.alloc(64 * 1024, 120);
    let left = bodyBytes;
    const more = () => {
      while (left > 0 && !socket.destroyed) {
        left -= piece.length;
        if (!socket.write(piece)) return;
      }
    };
    socket.on('drain', more);
    socket.on('data', (part) => (answer += String(part)));
    socket.on('error', () => undefined);
    socket.on('close', () => resolve(Number(/^HTTP\/1\.1 (\d{3})/.exec(answer)?.[1] ?? Number.NaN) || null));
    socket.write(head.replaceAll('\n', '\r\n'), more);
  });
}
const head = (method: string, path: string, more: string) =>
  `${method} ${path} HTTP/1.1\nhost: 127.0.0.1:${port}\nconnection: close\ncontent-type: application/json\n${more}\n\n`;
const healthy = async () => (await fetch(`${app.url}/api/health`)).status;
/** What the server's process holds. */
const memoryMb = () => {
  return Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${app.pid()}/status`, 'utf8'))![1]) / 1024;
};

test.each([
  '(a+)+$',
  'c++',
  'toss (',
  `${'a'.repeat(40)}!`,
  '[',
  '\\',
  `${'(x+x+)+'.repeat(20)}y`,
  '%'.repeat(60),
])('looking for %j is answered, on every page that looks', async (words) => {
  for (const path of ['/find?q=', '/drills?words=', '/drills?q='])
    expect((await fetch(app.url + path + encodeURIComponent(words))).status).toBe(200);
});

test('a picture on another site asks for nothing', async () => {
  const headers = { 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'no-cors' };
  expect((await fetch(`${app.url}/find?q=x`, { headers })).status).toBe(403);
});

describe('once somebody has a passcode', () => {
  beforeAll(async () => {
    const env = { ...process.env, VOWSTEP_DATABASE_URL: `file:${app.file}` };
    const setting = spawn('npm', ['run', '-s', 'passcode'], { env });
    setting.stdin.end('Ottilie\nquiet lantern over gravel\n');
    expect(await new Promise((resolve) => setting.on('close', resolve))).toBe(0);
  });

  test('what strangers send is not read: the memory stays, and others are answered', async () => {
    expect(await healthy()).toBe(200);
    const before = memoryMb();
    const bytes = 48 * 2 ** 20;
    const sending = Array.from({ length: 24 }, () =>
      send(head('POST', '/api/book', `content-length: ${bytes}`), bytes),
    );
    expect(await healthy()).toBe(200);
    // Who goes on sending may be hung up on before the answer is read.
    for (const status of await Promise.all(sending)) expect([401, null]).toContain(status);
    // 1,152 MB were offered.
    expect(memoryMb() - before).toBeLessThan(150);
  });

  test('what is too much is refused by its head', async () => {
    expect(await send(head('POST', '/api/touches', `content-length: ${2 ** 20}`))).toBe(413);
    expect(await send(head('POST', '/squad', 'content-length: 600000\nnext-action: x'))).toBe(413);
    expect(await send(head('POST', '/api/touches', 'transfer-encoding: chunked'))).toBe(411);
    expect(await send(head('POST', '/squad', `content-length: 20000\nnext-action: x`))).toBe(401);
    expect(await send(head('GET', '/api/health', 'content-length: 5'))).toBe(400);
    expect(await send(head('TRACE', '/', 'x: y'))).toBe(405);
  });

  test('a head that never ends is hung up on', async () => {
    expect([408, null]).toContain(await send(`POST /api/touches HTTP/1.1\nhost: 127.0.0.1:${port}\nx: `));
  });
});

test('with a certificate of no authority, what the framework hands on to itself arrives', async () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'vowstep-tls-'));
  const [key, cert] = ['key.pem', 'cert.pem'].map((name) => path.join(folder, name)) as [string, string];
  const subject = ['-subj', '/CN=localhost', '-addext', 'subjectAltName=DNS:localhost'];
  execFileSync(
    'openssl',
    ['req', '-x509', '-newkey', 'rsa:2048', '-nodes', '-days', '2', ...subject, '-keyout', key, '-out', cert],
    { stdio: 'ignore' },
  );
  const server = await startOnFreePort(() => ({
    env: {
      VOWSTEP_DATABASE_URL: `file:${path.join(folder, 'book.db')}`,
      VOWSTEP_TLS_CERT: cert,
      VOWSTEP_TLS_KEY: key,
    },
  }));
  const manifest = JSON.parse(readFileSync('.next/server/server-reference-manifest.json', 'utf8')) as {
    node: Record<string, { exportedName: string; workers: object }>;
  };
  const [id, action] = Object.entries(manifest.node).find(([, one]) => one.exportedName === 'startsAction')!;
  const act = (page: string, origin: string) =>
    new Promise<[number, string | undefined, string]>((resolve, reject) => {
      const asking = request(
        `${server.url}${page}`,
        {
          method: 'POST',
          rejectUnauthorized: false,
          headers: {
            origin,
            'next-action': id,
            'content-type': 'text/plain;charset=UTF-8',
            'content-length': 2,
          },
        },
        (answer) => {
          let text = '';
          answer.on('data', (part) => (text += String(part)));
          answer.on('end', () =>
            resolve([answer.statusCode!, answer.headers['strict-transport-security'], text]),
          );
        },
      );
      asking.on('error', reject);
      asking.end('[]');
    });
  try {
    // One page has it in its own bundle, the other hands it on.
    expect(Object.keys(action.workers)).not.toContain('app/(desk)/places/page');
    for (const page of ['/squad', '/places']) {
      const [status, hsts, text] = await act(page, server.url);
      expect([page, status, hsts]).toEqual([page, 200, 'max-age=31536000']);
      expect(text).toContain('"groups":');
    }
    // The same host by plain http is another origin.
    expect((await act('/squad', server.url.replace('https:', 'http:')))[0]).toBe(403);
  } finally {
    await server.stop();
    rmSync(folder, { recursive: true, force: true });
  }
});
