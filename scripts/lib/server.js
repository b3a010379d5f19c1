import { spawn } from 'node:child_process';
import http from 'node:http';
import https from 'node:https';
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

/** What a server on this computer answers; null where it does not. Its certificate may be for another name. */
function asked(url, port) {
  const { request } = url.startsWith('https:') ? https : http;
  return new Promise((resolve) => {
    const options = { rejectUnauthorized: false, timeout: 5000, headers: { host: `localhost:${port}` } };
    const asking = request(url, options, (answer) => {
      let text = '';
      answer.on('data', (part) => (text += part));
      answer.on('end', () => resolve({ status: answer.statusCode, text }));
      answer.on('error', () => resolve(null));
    });
    asking.on('error', () => resolve(null));
    asking.on('timeout', () => asking.destroy());
    asking.end();
  });
}

/** What a server prints is kept to this length, letters: enough to say why it did not start. */
const keptOutput = 20_000;

/**
 * Starts the production server and waits until it answers. It ends when this process does, however that ends: it holds
 * a line to it.
 * @param errors where its errors go besides being kept; nowhere by default
 * @returns its address, and ways to stop it: `stop` asks, `kill` is SIGKILL
 */
export async function startServer({ port, host = '127.0.0.1', env = {}, errors = null }) {
  const scheme = (process.env.VOWSTEP_TLS_CERT ?? env.VOWSTEP_TLS_CERT) ? 'https' : 'http';
  const named = host.includes(':') ? `[${host}]` : host === '0.0.0.0' ? '127.0.0.1' : host;
  const url = `${scheme}://${named}:${port}`;
  const child = spawn(process.execPath, [path.join(root, 'scripts/server.mjs')], {
    cwd: root,
    env: {
      ...process.env,
      NODE_ENV: 'production',
      NEXT_TELEMETRY_DISABLED: '1',
      VOWSTEP_LIFELINE: '1',
      PORT: String(port),
      HOST: host,
      VOWSTEP_ADDRESS: url,
      ...env,
    },
    stdio: ['ignore', 'pipe', 'pipe', 'ipc'],
  });
  running.add(child);
  let output = '';
  const keep = (chunk) => (output = (output + chunk).slice(-keptOutput));
  child.stdout.on('data', keep);
  child.stderr.on('data', (chunk) => {
    keep(chunk);
    errors?.write(chunk);
  });
  // Who answers at the address may be another server, until ours says that it is the one that listens there.
  let listens = false;
  child.on('message', (words) => (listens ||= words === 'listening'));
  const exited = new Promise((resolve) => child.on('close', (code, signal) => resolve(code ?? signal)));
  void exited.then(() => running.delete(child));

  for (let tries = 0; ; tries++) {
    if (!running.has(child) || tries > 600)
      throw new Error(errors ? 'The server did not start.' : `The server did not start.\n${output}`.trim());
    const answer = listens && (await asked(`${url}/api/health`, port));
    if (answer?.status === 200) break;
    if (answer) {
      const health = answer.text;
      if (tries > 50) {
        child.kill('SIGKILL');
        throw new Error(`The server is up but not well: ${health}\n${output}`);
      }
    }
    await wait(100);
  }
  const end = (signal) => async () => {
    child.kill(signal);
    await exited;
  };
  return { url, child, exited, stop: end('SIGTERM'), kill: end('SIGKILL'), output: () => output };
}

/**
 * Starts a server on a port that is free. One that another process takes in the moment in between is given up for another.
 * @param {(port: number) => Omit<Parameters<typeof startServer>[0], 'port'>} optionsFor how it is started on a port
 * @returns what {@link startServer} returns, and its port
 */
export async function startOnFreePort(optionsFor) {
  for (let tries = 1; ; tries++) {
    const port = await freePort();
    try {
      return { ...(await startServer({ ...optionsFor(port), port })), port };
    } catch (error) {
      if (tries === 5 || !error.message.includes(`Port ${port} is taken`)) throw error;
    }
  }
}

/**
 * Runs a server until somebody ends it: its errors are shown, and when it ends by itself, that is a failure.
 * @param name how it is called in what is printed
 */
export async function serve(name, options) {
  watchParent();
  const server = await startServer({ ...options, errors: process.stderr });
  console.log(`${name}: ${server.url}`);
  const how = await server.exited;
  if (!ending) throw new Error(`The server ended by itself (${how}).`);
}

let ending = false;
const signals = { SIGINT: 130, SIGTERM: 143, SIGHUP: 129 };
/** Servers are given so long to put everything into their files, milliseconds. */
const graceMs = 8000;

async function endAll(code) {
  if (ending) return;
  ending = true;
  const ended = [...running].map((child) => new Promise((resolve) => child.once('exit', resolve)));
  for (const child of running) child.kill('SIGTERM');
  await Promise.race([Promise.all(ended), wait(graceMs)]);
  for (const child of running) child.kill('SIGKILL');
  process.exit(code);
}
for (const [signal, code] of Object.entries(signals)) process.on(signal, () => endAll(code));

/** Under npm: npm may be ended without a word to what it started, which then belongs to somebody else. */
function watchParent() {
  if (!process.env.npm_lifecycle_event) return;
  const parent = process.ppid;
  setInterval(() => {
    if (process.ppid !== parent) void endAll(1);
  }, 500).unref();
}

process.on('exit', () => {
  for (const child of running) child.kill('SIGTERM');
});
