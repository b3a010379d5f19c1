import { copyFileSync, existsSync, mkdirSync, renameSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import { root } from './run.js';

/*
 * The session builder's worker, in public/solver beside the solver it loads when it needs it. It stands apart from the
 * application's own script because it alone may compile WebAssembly (src/proxy.ts).
 */

const folder = path.join(root, 'public', 'solver');
const worker = path.join(folder, 'builder.js');
const parts = ['highs.js', 'highs.wasm'];
export const solverIsThere = () =>
  [worker, ...parts.map((name) => path.join(folder, name))].every((one) => existsSync(one));

/** Whole or not at all: a server that runs may be asked for it just now. */
function put(place, write) {
  write(`${place}.made`);
  renameSync(`${place}.made`, place);
}

export async function buildSolver() {
  const { build } = await import('esbuild');
  const { outputFiles } = await build({
    entryPoints: [path.join(root, 'src', 'workers', 'build.worker.ts')],
    bundle: true,
    minify: true,
    write: false,
    format: 'iife',
    target: 'es2022',
    alias: { '@': path.join(root, 'src') },
    define: { 'process.env.NODE_ENV': '"production"' },
    logLevel: 'warning',
  });
  mkdirSync(folder, { recursive: true });
  put(worker, (place) => writeFileSync(place, outputFiles[0].text));
  const from = path.dirname(createRequire(import.meta.url).resolve('highs'));
  for (const name of parts)
    put(path.join(folder, name), (place) => copyFileSync(path.join(from, name), place));
}
