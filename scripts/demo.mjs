import path from 'node:path';
import { ensureBuild } from './lib/build.js';
import { makeDemoData } from './lib/demo-data.js';
import { ensureModules } from './lib/install.js';
import { main, root } from './lib/run.js';
import { startServer } from './lib/server.js';

/** `npm run demo`: everything from nothing to a running demo, on its own database file. */
await main(async () => {
  await ensureModules();
  await ensureBuild();
  const file = path.join(root, 'data', 'demo.db');
  await makeDemoData(file);
  const { PORT = '3210', HOST = '127.0.0.1' } = process.env;
  const server = await startServer({ port: PORT, host: HOST, env: { VOWSTEP_DATABASE_URL: `file:${file}` } });
  console.log(`Vow Step demo: ${server.url}`);
  process.exitCode = (await server.exited) ?? 0;
});
