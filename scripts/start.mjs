import { ensureBuild } from './lib/build.js';
import { ensureModules } from './lib/install.js';
import { main } from './lib/run.js';
import { serve } from './lib/server.js';

/** `npm start`: the application on the coach's own database (`VOWSTEP_DATABASE_URL`, by default data/vowstep.db). */
await main(async () => {
  await ensureModules();
  await ensureBuild();
  const { PORT = '3200', HOST = '127.0.0.1' } = process.env;
  await serve('Vow Step', { port: PORT, host: HOST });
});
