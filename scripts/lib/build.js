import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { bin, root, run } from './run.js';
import { buildServiceWorker, serviceWorkerIsThere } from './service-worker.js';
import { buildSolver, solverIsThere } from './solver.js';
import { buildVowHome, vowHomeIsThere } from './vow-home.js';

const inputs = [
  'src',
  'drizzle',
  'public/calls',
  'public/ear',
  'scripts/lib/service-worker.js',
  'scripts/lib/solver.js',
  'scripts/lib/vow-home.js',
  'package-lock.json',
  'package.json',
  'next.config.ts',
  'postcss.config.mjs',
  'tsconfig.json',
];
const mark = path.join(root, '.next', 'vowstep-built');

function filesOf(place) {
  const full = path.join(root, place);
  if (!existsSync(full)) return [];
  try {
    return readdirSync(full, { withFileTypes: true })
      .sort((a, b) => (a.name < b.name ? -1 : 1))
      .flatMap((entry) => filesOf(path.join(place, entry.name)));
  } catch (error) {
    if (error.code === 'ENOTDIR') return [place];
    throw error;
  }
}

/** One hash over everything given; tests do not count. */
export function hashOf(places) {
  const hash = createHash('sha256');
  for (const file of places.flatMap(filesOf)) {
    if (/\.test\.tsx?$/.test(file)) continue;
    hash.update(file).update(readFileSync(path.join(root, file)));
  }
  return hash.digest('hex');
}

/** Builds for production when anything that goes into the build has changed. */
export async function ensureBuild({ quiet = false } = {}) {
  const wanted = hashOf(inputs);
  const isThere = serviceWorkerIsThere() && vowHomeIsThere() && solverIsThere();
  if (existsSync(mark) && readFileSync(mark, 'utf8') === wanted && isThere) return;
  console.error('Building…');
  await run(bin('next'), ['build'], { quiet, out: 2 });
  await buildServiceWorker();
  await buildVowHome();
  await buildSolver();
  writeFileSync(mark, wanted);
}
