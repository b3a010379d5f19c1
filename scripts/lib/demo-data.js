import { copyFileSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import { hashOf } from './build.js';
import { bin, root, run } from './run.js';
import { demoSeed } from './test-clock.js';

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

/** So many demos are kept for the next time: enough for a demo, a run of the tests and a bench beside each other. */
const mostKept = 6;

function forgetOlder(folder) {
  const made = readdirSync(folder).map((name) => path.join(folder, name));
  const newestFirst = made.sort((a, b) => statSync(b).mtimeMs - statSync(a).mtimeMs);
  for (const old of newestFirst.slice(mostKept - 1)) rmSync(old, { force: true });
}

/**
 * Puts fresh demo data at a file. The same code, day, zone and seed make the same data, so it is made once
 * and copied from then on; whatever was changed in the demo is gone with every start.
 * @param {{ weeks?: number, clock?: Awaited<ReturnType<typeof import('./test-clock.js').testClock>> | null }} [options]
 * weeks of history, and the clock of the tests where it is made for them
 */
export async function makeDemoData(file, { weeks = 10, clock = null } = {}) {
  const day = clock?.day ?? process.env.VOWSTEP_TODAY ?? new Date().toLocaleDateString('sv-SE');
  const zone = clock?.zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone;
  const seed = clock?.seed ?? process.env.VOWSTEP_SEED ?? demoSeed;
  const kept = path.join(root, 'data', 'made');
  const asked = [weeks, day, zone.replaceAll('/', '-'), seed].join('_');
  const master = path.join(kept, `demo_${hashOf(makers).slice(0, 16)}_${asked}.db`);
  mkdirSync(kept, { recursive: true });
  if (!existsSync(master)) {
    console.error('Making the demo data…');
    forgetOlder(kept);
    // Made under another name first: a broken run leaves nothing that looks whole.
    const env = { VOWSTEP_SEED: String(seed), ...clock?.env };
    await run(bin('tsx'), ['scripts/demo-data.ts', `${master}.part`, String(weeks)], { out: 2, env });
    renameSync(`${master}.part`, master);
    for (const ending of ['-wal', '-shm']) rmSync(`${master}.part${ending}`, { force: true });
  }
  mkdirSync(path.dirname(file), { recursive: true });
  for (const ending of ['-wal', '-shm']) rmSync(file + ending, { force: true });
  copyFileSync(master, file);
}
