import { createClient, type Client, type InValue } from '@libsql/client';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { makeDemoData } from '../../scripts/lib/demo-data.js';
import { startOnFreePort } from '../../scripts/lib/server.js';

export interface DemoServer {
  readonly url: string;
  /** The server's own database, opened from outside. */
  readonly client: Client;
  readonly query: (sql: string, args?: InValue[]) => Promise<Record<string, unknown>[]>;
  readonly file: string;
  readonly stop: () => Promise<void>;
}

/** The production server on demo data of its own, of so many weeks. */
export async function demoServer(weeks: number): Promise<DemoServer> {
  const folder = mkdtempSync(path.join(tmpdir(), 'vowstep-bench-'));
  const file = path.join(folder, 'bench.db');
  await makeDemoData(file, { weeks });
  const server = await startOnFreePort(() => ({ env: { VOWSTEP_DATABASE_URL: `file:${file}` } }));
  const client = createClient({ url: `file:${file}` });
  return {
    url: server.url,
    client,
    query: async (sql, args = []) => (await client.execute({ sql, args })).rows,
    file,
    stop: async () => {
      client.close();
      await server.stop();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
