import path from 'node:path';
import { ensureBuild } from './lib/build.js';
import { ensureChromium } from './lib/chromium.js';
import { makeDemoData } from './lib/demo-data.js';
import { ensureModules } from './lib/install.js';
import { bin, main, root, run } from './lib/run.js';
import { testClock } from './lib/test-clock.js';

/**
 * `npm run e2e`: the browser tests alone, against the production build. Names of test files narrow them down. They run on
 * one day (scripts/lib/test-clock.js), or on the one that VOWSTEP_TEST_DAY, _TIME and _ZONE say; `real` is today.
 */
await main(async () => {
  await ensureModules();
  await ensureChromium();
  await ensureBuild();
  const file = path.join(root, 'data', 'browser-tests.db');
  const clock = await testClock();
  await makeDemoData(file, { clock });
  await run(bin('jest'), ['--config', 'jest.e2e.config.mjs', ...process.argv.slice(2)], {
    env: { ...clock.env, VOWSTEP_DEMO_FILE: file },
  });
});
