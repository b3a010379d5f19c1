import path from 'node:path';
import { ensureBuild } from './lib/build.js';
import { ensureChromium } from './lib/chromium.js';
import { makeDemoData } from './lib/demo-data.js';
import { ensureModules } from './lib/install.js';
import { bin, main, root, run } from './lib/run.js';
import { testClock } from './lib/test-clock.js';

/** `npm run shots`: one picture of each main view, on the demo data and the day of the browser tests. */
await main(async () => {
  await ensureModules();
  await ensureChromium();
  await ensureBuild();
  const file = path.join(root, 'data', 'shots.db');
  const clock = await testClock();
  await makeDemoData(file, { clock });
  await run(bin('tsx'), ['scripts/shots.ts'], { env: { ...clock.env, VOWSTEP_DEMO_FILE: file } });
});
