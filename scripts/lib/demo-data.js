import { copyFileSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import path from 'node:path';
import { hashOf } from './build.js';
import { bin, root, run } from './run.js';

const makers = [
  'src/core',
  'src/drills',
  'src/session',
  'src/schemas',
  'src/data',
  'src/server',
  'src/demo',
  'drizzle',
  'scripts/demo-data.ts',
];

/**
 * Puts fresh demo data at a file. The same code, day and seed make the same data, so it is made once
 * and copied from then on; whatever was changed in the demo is gone with every start.
 */
export async function makeDemoData(file, { weeks = 10 } = {}) {
  const day = process.env.VOWSTEP_TODAY ?? new Date().toLocaleDateString('sv-SE');
  const kept = path.join(root, 'data', 'made');
  const name = `demo-${weeks}-${day}-${process.env.VOWSTEP_SEED ?? 'seed'}-${hashOf(makers).slice(0, 16)}.db`;
  const master = path.join(kept, name);
  mkdirSync(kept, { recursive: true });
  if (!existsSync(master)) {
    console.error('Making the demo data…');
    for (const old of readdirSync(kept)) if (old.startsWith(`demo-${weeks}-`)) rmSync(path.join(kept, old));
    // Made under another name first: a broken run leaves nothing that looks whole.
    await run(bin('tsx'), ['scripts/demo-data.ts', `${master}.part`, String(weeks)], { out: 2 });
    renameSync(`${master}.part`, master);
    for (const ending of ['-wal', '-shm']) rmSync(`${master}.part${ending}`, { force: true });
  }
  mkdirSync(path.dirname(file), { recursive: true });
  for (const ending of ['-wal', '-shm']) rmSync(file + ending, { force: true });
  copyFileSync(master, file);
}
