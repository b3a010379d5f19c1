import { ensureBuild } from './lib/build.mjs';
import { ensureModules } from './lib/install.mjs';
import { main } from './lib/run.js';

await main(async () => {
  await ensureModules();
  await ensureBuild();
});
