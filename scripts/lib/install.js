import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { root, run } from './run.js';

const mark = path.join(root, 'node_modules', '.vowstep-installed');

/** Installs the packages when they are missing or the lock file has changed. */
export async function ensureModules() {
  const wanted = createHash('sha256')
    .update(readFileSync(path.join(root, 'package-lock.json')))
    .digest('hex');
  if (existsSync(mark) && readFileSync(mark, 'utf8') === wanted) return;
  console.error('Installing packages…');
  // The build needs its tools even where the environment says "production".
  await run('npm', ['ci', '--include=dev', '--no-fund', '--no-audit', '--loglevel=error']);
  writeFileSync(mark, wanted);
}
