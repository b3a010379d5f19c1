import path from 'node:path';
import { ensureBuild } from './lib/build.js';
import { ensureChromium } from './lib/chromium.js';
import { makeDemoData } from './lib/demo-data.js';
import { ensureModules } from './lib/install.js';
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
