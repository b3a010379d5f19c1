import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, renameSync } from 'node:fs';
import path from 'node:path';
import { root } from './run.js';

export const serviceWorker = path.join(root, 'public', 'sw.js');

/** The spoken clips and what a microphone is read with, each with a hash of its contents: what was made anew is fetched anew. */
function clips() {
  return ['calls', 'ear'].flatMap((part) => {
    const folder = path.join(root, 'public', part);
    return readdirSync(folder)
      .filter((name) => /\.(?:wav|js)$/.test(name))
      .sort()
      .map((name) => ({
        url: `/${part}/${name}`,
        revision: createHash('sha256')
          .update(readFileSync(path.join(folder, name)))
          .digest('hex')
          .slice(0, 12),
      }));
  });
}

/**
 * Bundles the service worker for the build that was just made.
 * @param buildId the name of that build: what the worker keeps of pages belongs to it
 */
export async function buildServiceWorker(buildId = newestBuild()) {
  const { build } = await import('esbuild');
  const made = `${serviceWorker}.made`;
  await build({
    entryPoints: [path.join(root, 'src', 'service-worker', 'sw.ts')],
    outfile: made,
    bundle: true,
    minify: true,
    format: 'iife',
    target: 'es2022',
    define: {
      BUILD: JSON.stringify(buildId),
      CLIPS: JSON.stringify(clips()),
      'process.env.NODE_ENV': '"production"',
    },
    logLevel: 'warning',
  });
  // Whole or not at all: a server that runs may be asked for it just now.
  renameSync(made, serviceWorker);
}

const newestBuild = () => readFileSync(path.join(root, '.next', 'BUILD_ID'), 'utf8').trim();

export const serviceWorkerIsThere = () => existsSync(serviceWorker);
