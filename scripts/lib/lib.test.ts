import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer as createHttpServer } from 'node:http';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { hashOf } from './build.js';
import { root, run } from './run.js';
import { freePort, startServer } from './server.js';

test('a command that fails says so with its exit code', async () => {
  await expect(run(process.execPath, ['-e', 'process.exit(3)'], { quiet: true })).rejects.toMatchObject({
    code: 3,
  });
  await expect(run('no-such-program', [])).rejects.toThrow('ENOENT');
  expect(
    await run(process.execPath, ['-e', 'console.log(process.env.GREETING)'], {
      quiet: true,
      env: { GREETING: 'hello' },
    }),
  ).toBe('hello\n');
});

test('a free port is free, and another each time it is taken', async () => {
  const port = await freePort();
  const server = createServer().listen(port, '127.0.0.1');
  await new Promise((resolve) => server.on('listening', resolve));
  expect(await freePort()).not.toBe(port);
  await new Promise((resolve) => server.close(resolve));
});

test('the hash of the sources follows every file but tests', () => {
  const before = hashOf(['src/core', 'package.json']);
  expect(hashOf(['src/core', 'package.json'])).toBe(before);
  const scratch = (name: string) => path.join(root, 'src/core', name);
  try {
    writeFileSync(scratch('hash-scratch.test.ts'), '');
    expect(hashOf(['src/core', 'package.json'])).toBe(before);
    writeFileSync(scratch('hash-scratch.ts'), '');
    expect(hashOf(['src/core', 'package.json'])).not.toBe(before);
  } finally {
    for (const name of ['hash-scratch.test.ts', 'hash-scratch.ts']) rmSync(scratch(name), { force: true });
  }
  expect(existsSync(scratch('hash-scratch.ts'))).toBe(false);
  expect(hashOf(['src/core'])).not.toBe(before);
  expect(hashOf(['no/such/place'])).toMatch(/^[0-9a-f]{64}$/);
});

test('a server whose port another one has is not taken for it: it says so and ends', async () => {
  const other = createHttpServer((_request, response) => response.end('{"ok":true}'));
  const port = await new Promise<number>((resolve) =>
    other.listen(0, '127.0.0.1', () => resolve((other.address() as AddressInfo).port)),
  );
  const file = path.join(mkdtempSync(path.join(tmpdir(), 'vowstep-port-')), 'app.db');
  try {
    await expect(startServer({ port, env: { VOWSTEP_DATABASE_URL: `file:${file}` } })).rejects.toThrow(
      `Port ${port} is taken`,
    );
  } finally {
    await new Promise((resolve) => other.close(resolve));
  }
}, 60_000);
