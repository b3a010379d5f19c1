import path from 'node:path';
import { makeDemoData } from './lib/demo-data.js';
import { ensureModules } from './lib/install.js';
import { bin, main, root, run } from './lib/run.js';
import { buildSolver } from './lib/solver.js';

/** `npm run dev`: the development server, on a copy of the demo data. */
await main(async () => {
  await ensureModules();
  const file = path.join(root, 'data', 'dev.db');
  await makeDemoData(file);
  await buildSolver();
  const { PORT = '3220', HOST = '127.0.0.1' } = process.env;
  await run(bin('next'), ['dev', '-p', PORT, '-H', HOST], {
    env: { VOWSTEP_DATABASE_URL: process.env.VOWSTEP_DATABASE_URL ?? `file:${file}` },
  });
});
