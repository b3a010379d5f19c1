import { randomBytes } from 'node:crypto';
import path from 'node:path';
import { ensureBuild } from './lib/build.js';
import { makeDemoData } from './lib/demo-data.js';
import { ensureModules } from './lib/install.js';
import { bin, main, root, run } from './lib/run.js';
import { serve } from './lib/server.js';

/** `npm run demo`: everything from nothing to a running demo, on its own database file. */
await main(async () => {
  await ensureModules();
  await ensureBuild();
  const file = path.join(root, 'data', 'demo.db');
  await makeDemoData(file);
  const { PORT = '3210', HOST = '127.0.0.1' } = process.env;
  const env = { VOWSTEP_DATABASE_URL: `file:${file}` };
  if (!['127.0.0.1', '::1', 'localhost'].includes(HOST)) await lockedDoor(env);
  await serve('Vow Step demo', { port: PORT, host: HOST, env });
});

/** Others can reach this demo: its owner gets a passcode, which is only said here. */
async function lockedDoor(env) {
  const passcode = randomBytes(9).toString('base64url');
  await run(bin('tsx'), ['scripts/passcode.ts'], { env, typed: `Demo owner\n${passcode}\n`, quiet: false });
  console.log(`Sign in as Demo owner with ${passcode}`);
}
