import { ensureBuild } from './lib/build.js';
import { ensureModules } from './lib/install.js';
import { main } from './lib/run.js';

await main(async () => {
  await ensureModules();
  await ensureBuild();
});
