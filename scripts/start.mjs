import { ensureBuild } from './lib/build.js';
import { ensureModules } from './lib/install.js';
import { main } from './lib/run.js';
import { startServer } from './lib/server.js';

/** `npm start`: the application on the coach's own database (`VOWSTEP_DATABASE_URL`, by default data/vowstep.db). */
await main(async () => {
  await ensureModules();
  await ensureBuild();
  const { PORT = '3200', HOST = '127.0.0.1' } = process.env;
  const server = await startServer({ port: PORT, host: HOST });
  console.log(`Vow Step: ${server.url}`);
  process.exitCode = (await server.exited) ?? 0;
});
