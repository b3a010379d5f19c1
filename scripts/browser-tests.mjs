import path from 'node:path';
import { ensureBuild } from './lib/build.mjs';
import { ensureChromium } from './lib/chromium.mjs';
import { makeDemoData } from './lib/demo-data.mjs';
import { ensureModules } from './lib/install.mjs';
import { bin, main, root, run } from './lib/run.js';

/** `npm run e2e`: the browser tests alone, against the production build. Names of test files narrow them down. */
await main(async () => {
  await ensureModules();
  await ensureChromium();
  await ensureBuild();
  const file = path.join(root, 'data', 'browser-tests.db');
  await makeDemoData(file);
  await run(bin('jest'), ['--config', 'jest.e2e.config.mjs', ...process.argv.slice(2)], {
    env: { VOWSTEP_DEMO_FILE: file },
  });
});
