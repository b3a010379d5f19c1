import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { createClient, type InValue } from '@libsql/client';
import { startOnFreePort, startServer } from '../../scripts/lib/server.js';
import { libsqlStandIn } from '../libsql-server';
import { patienceMs } from './page';

export interface App {
  readonly url: string;
  readonly file: string;
  /** The server's process. */
  readonly pid: () => number;
  /** What the server has printed since it was started. */
  readonly printed: () => string;
  /** Rows of the application's own database, read from outside. */
  readonly query: (sql: string, args?: InValue[]) => Promise<Record<string, unknown>[]>;
  /** Waits until the rows are what is wanted: a page may show what was pressed before it is written. */
  readonly comesToHold: (sql: string, wanted: Record<string, unknown>[], args?: InValue[]) => Promise<void>;
  /** SIGKILL: no chance to tidy up. */
  readonly kill: () => Promise<void>;
  /** Ends it as a person would. */
  readonly stop: () => Promise<void>;
  /** Starts again on the same port and database. */
  readonly start: () => Promise<void>;
  readonly close: () => Promise<void>;
}

/** The host name the browser asks for; null for loopback. A project of the browser tests sets it. */
export const host = (globalThis as { vowstepHost?: string }).vowstepHost ?? null;

/** Whether the database is a libSQL server (the stand-in, a little away); a project of the browser tests sets it. */
const remote = (globalThis as { vowstepRemote?: boolean }).vowstepRemote ?? false;

/** The production server on a database of its own: empty, or a copy of the demo. */
export async function openApp({ demo = false } = {}): Promise<App> {
  const folder = mkdtempSync(path.join(tmpdir(), 'vowstep-app-'));
  const file = path.join(folder, 'app.db');
  if (demo) copyFileSync(process.env.VOWSTEP_DEMO_FILE ?? 'data/browser-tests.db', file);
  const standIn = remote ? await libsqlStandIn(file) : null;
  if (standIn) standIn.dials.delayMs = 5;
  const optionsFor = (port: number) => ({
    env: {
      VOWSTEP_DATABASE_URL: standIn?.url ?? `file:${file}`,
      ...(host && { VOWSTEP_ALLOWED_HOSTS: ` ${host.toUpperCase()}:${port} ` }),
    },
  });
  const { port, ...first } = await startOnFreePort(optionsFor);
  let server: Awaited<ReturnType<typeof startServer>> = first;
  const query: App['query'] = async (sql, args = []) => {
    const client = createClient({ url: `file:${file}`, timeout: 5000 });
    const { rows } = await client.execute({ sql, args });
    client.close();
    return rows.map((row) => ({ ...row }));
  };
  return {
    url: host ? `http://${host}:${port}` : server.url,
    file,
    pid: () => server.child.pid!,
    printed: () => server.output(),
    query,
    comesToHold: async (sql, wanted, args) => {
      const end = Date.now() + patienceMs;
      for (;;) {
        const last = await query(sql, args);
        if (JSON.stringify(last) === JSON.stringify(wanted)) return;
        if (Date.now() > end) throw new Error(`${sql} gives ${JSON.stringify(last)}.`);
        await new Promise((later) => setTimeout(later, 50));
      }
    },
    kill: () => server.kill(),
    stop: () => server.stop(),
    start: async () => {
      server = await startServer({ port, ...optionsFor(port) });
    },
    close: async () => {
      await server.stop();
      await standIn?.close();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
