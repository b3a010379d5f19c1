import path from 'node:path';
import { ensureBuild } from './lib/build.js';
import { ensureChromium } from './lib/chromium.js';
import { makeDemoData } from './lib/demo-data.js';
import { ensureModules } from './lib/install.js';
import { bin, main, root, run } from './lib/run.js';

/** `npm run shots`: one picture of each main view, on the demo data of a fixed day. */
await main(async () => {
  process.env.VOWSTEP_TODAY ??= '2026-11-24';
  await ensureModules();
  await ensureChromium();
  await ensureBuild();
  const file = path.join(root, 'data', 'shots.db');
  await makeDemoData(file);
  await run(bin('tsx'), ['scripts/shots.ts'], { env: { VOWSTEP_DEMO_FILE: file } });
});
