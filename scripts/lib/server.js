import { spawn } from 'node:child_process';
import { createServer } from 'node:net';
import path from 'node:path';
import { root } from './run.js';

const running = new Set();

/** A port nobody listens on. */
export function freePort(host = '127.0.0.1') {
  return new Promise((resolve, reject) => {
    const server = createServer();
    server.on('error', reject);
    server.listen(0, host, () => {
      const { port } = server.address();
      server.close(() => resolve(port));
    });
  });
}

const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

/**
 * Starts the production server and waits until it answers.
 * @returns its address, and ways to stop it: `stop` asks, `kill` is SIGKILL
 */
export async function startServer({ port, host = '127.0.0.1', env = {}, command = 'start', show = false }) {
  const child = spawn(
    process.execPath,
    [path.join(root, 'node_modules/next/dist/bin/next'), command, '-p', String(port), '-H', host],
    {
      cwd: root,
      env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...env },
      stdio: show ? ['ignore', 'inherit', 'inherit'] : ['ignore', 'pipe', 'pipe'],
    },
  );
  running.add(child);
  let output = '';
  child.stdout?.on('data', (chunk) => (output += chunk));
  child.stderr?.on('data', (chunk) => (output += chunk));
  const exited = new Promise((resolve) => child.on('exit', (code) => resolve(code)));
  void exited.then(() => running.delete(child));

  const url = `http://${host.includes(':') ? `[${host}]` : host === '0.0.0.0' ? '127.0.0.1' : host}:${port}`;
  for (let tries = 0; ; tries++) {
    if (child.exitCode !== null || tries > 600)
      throw new Error(`The server did not start.\n${output}`.trim());
    const answer = await fetch(`${url}/api/health`, { signal: AbortSignal.timeout(5000) }).catch(() => null);
    if (answer?.ok) break;
    if (answer) {
      const health = await answer.text();
      if (tries > 50) throw new Error(`The server is up but not well: ${health}\n${output}`);
    }
    await wait(100);
  }
  const end = (signal) => async () => {
    child.kill(signal);
    await exited;
  };
  return { url, child, exited, stop: end('SIGTERM'), kill: end('SIGKILL'), output: () => output };
}

for (const signal of ['SIGINT', 'SIGTERM', 'exit'])
  process.on(signal, () => {
    for (const child of running) child.kill('SIGTERM');
    if (signal !== 'exit') process.exit(signal === 'SIGINT' ? 130 : 143);
  });
