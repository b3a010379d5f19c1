import { readdirSync } from 'node:fs';
import path from 'node:path';
import { ensureBuild } from './lib/build.js';
import { ensureChromium } from './lib/chromium.js';
import { ensureModules } from './lib/install.js';
import { bin, main, root, run } from './lib/run.js';

/** Benches that look at the application in a browser. */
const inBrowser = ['beat', 'faults', 'tap'];

/** `npm run -s bench -- NAME`: runs bench/NAME.ts; all of them without a name. One JSON object a line. */
await main(async () => {
  await ensureModules();
  const known = readdirSync(path.join(root, 'bench')).flatMap((file) =>
    file.endsWith('.ts') ? [file.slice(0, -3)] : [],
  );
  const asked = process.argv.slice(2);
  const strange = asked.find((name) => !known.includes(name));
  if (strange) throw new Error(`There is no bench called ${strange}. There are: ${known.join(', ')}.`);
  await ensureBuild();
  const wanted = asked.length > 0 ? asked : known;
  if (wanted.some((name) => inBrowser.includes(name))) await ensureChromium();
  for (const name of wanted) await run(bin('tsx'), [`bench/${name}.ts`]);
});
