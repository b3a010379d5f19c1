import { readdirSync } from 'node:fs';
import path from 'node:path';
import { ensureBuild } from './lib/build.js';
import { ensureModules } from './lib/install.js';
import { bin, main, root, run } from './lib/run.js';

/** `npm run -s bench -- NAME`: runs bench/NAME.ts; all of them without a name. One JSON object a line. */
await main(async () => {
  await ensureModules();
  const known = readdirSync(path.join(root, 'bench')).flatMap((file) =>
    file.endsWith('.ts') ? [file.slice(0, -3)] : [],
  );
  const wanted = process.argv.slice(2);
  const strange = wanted.find((name) => !known.includes(name));
  if (strange) throw new Error(`There is no bench called ${strange}. There are: ${known.join(', ')}.`);
  await ensureBuild();
  for (const name of wanted.length > 0 ? wanted : known) await run(bin('tsx'), [`bench/${name}.ts`]);
});
