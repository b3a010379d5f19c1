import path from 'node:path';
import { ensureBuild } from './lib/build.js';
import { makeDemoData } from './lib/demo-data.js';
import { ensureModules } from './lib/install.js';
import { main, root } from './lib/run.js';
import { serve } from './lib/server.js';

/** `npm run demo`: everything from nothing to a running demo, on its own database file. */
await main(async () => {
  await ensureModules();
  await ensureBuild();
  const file = path.join(root, 'data', 'demo.db');
  await makeDemoData(file);
  const { PORT = '3210', HOST = '127.0.0.1' } = process.env;
  await serve('Vow Step demo', { port: PORT, host: HOST, env: { VOWSTEP_DATABASE_URL: `file:${file}` } });
});
