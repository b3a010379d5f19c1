import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import { root } from './run.js';

/*
 * A family's page, made once and used twice: as parts in public/home, named by their contents, which the page behind a link
 * asks for; and as one file with everything in it, for homes without the server (src/server/vows/file-page.ts fills both in).
 */

const built = path.join(root, '.next');
const file = path.join(built, 'vow-file.html');
const names = path.join(built, 'vow-parts.json');
const earPanel = path.join(built, 'vow-ear.js');
const parts = path.join(root, 'public', 'home');
export const vowHomeIsThere = () =>
  existsSync(file) &&
  existsSync(earPanel) &&
  existsSync(names) &&
  Object.values(JSON.parse(readFileSync(names, 'utf8')))
    .flat()
    .every((one) => existsSync(path.join(root, 'public', one)));

const require = createRequire(import.meta.url);
const face = () =>
  readFileSync(
    require.resolve('@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2'),
  );
const faceRule = (address) =>
  `@font-face{font-family:'Atkinson Hyperlegible Next Variable';font-weight:200 800;font-display:swap;src:url(${address}) format('woff2')}`;

/** The styles of the screens in it and no others; one typeface serves for all of it. */
async function styles() {
  const { default: postcss } = await import('postcss');
  const { default: tailwind } = await import('@tailwindcss/postcss');
  const from = path.join(root, 'src', 'app', 'globals.css');
  const own = readFileSync(from, 'utf8').replace(
    "@import 'tailwindcss';",
    "@import 'tailwindcss' source(none);\n@source '../features/vows/home';\n@source '../features/sound';\n@source '../ui/button-class.ts';\n@source '../server/vows/file-page.ts';",
  );
  const { css } = await postcss([tailwind({ optimize: { minify: true } })]).process(own, { from });
  return css.replaceAll('Bricolage Grotesque Variable', 'Atkinson Hyperlegible Next Variable');
}

const usual = {
  bundle: true,
  minify: true,
  write: false,
  target: 'es2020',
  jsx: 'automatic',
  alias: { '@': path.join(root, 'src') },
  define: { 'process.env.NODE_ENV': '"production"' },
  logLevel: 'warning',
};
const source = (...names) => path.join(root, 'src', ...names);
const app = source('features', 'vows', 'home', 'app.tsx');

/** Everything in one text, as a file wants it. */
async function oneText(entry, more) {
  const { build } = await import('esbuild');
  const { outputFiles } = await build({ ...usual, entryPoints: [entry], format: 'iife', ...more });
  return outputFiles[0].text;
}

/** What draws, as the page has it already (src/features/vows/home/file-ear.ts): a part of a file brings none of its own. */
const drawnByPage = {
  name: 'drawn-by-page',
  setup({ onResolve, onLoad }) {
    onResolve({ filter: /^react(\/jsx-runtime)?$/ }, ({ path: name }) => ({ path: name, namespace: 'page' }));
    onLoad({ filter: /^/, namespace: 'page' }, ({ path: name }) => ({
      contents: `module.exports = globalThis.vowShared[${JSON.stringify(name)}]`,
    }));
  },
};

/** The page's script in parts: what it begins with, and what is fetched when it is asked for. */
async function inParts() {
  const { build } = await import('esbuild');
  const { outputFiles, metafile } = await build({
    ...usual,
    entryPoints: [app],
    format: 'esm',
    splitting: true,
    metafile: true,
    outdir: parts,
    entryNames: '[hash]',
    chunkNames: '[hash]',
  });
  for (const { path: place, contents } of outputFiles) writeFileSync(place, contents);
  const address = (output) => `/home/${path.basename(output)}`;
  const outputs = Object.entries(metafile.outputs);
  const [entry] = outputs.find(([, { entryPoint }]) => entryPoint?.endsWith('home/app.tsx'));
  // What is needed to begin with is what is imported, directly or by what is.
  const first = new Set([entry]);
  for (const output of first)
    for (const { path: other, kind } of metafile.outputs[output].imports)
      if (kind === 'import-statement') first.add(other);
  return {
    js: address(entry),
    chunks: [...first].filter((output) => output !== entry).map(address),
    later: outputs
      .map(([output]) => output)
      .filter((output) => !first.has(output))
      .map(address),
  };
}

/** Writes a part under a name made of its contents; returns its address. */
function part(kind, contents) {
  const hash = createHash('sha256').update(contents).digest('hex').slice(0, 16);
  const name = `${hash}.${kind}`;
  writeFileSync(path.join(parts, name), contents);
  return `/home/${name}`;
}

/** Whole or not at all: a server that runs may be asked for it just now. */
function put(place, text) {
  writeFileSync(`${place}.made`, text);
  renameSync(`${place}.made`, place);
}

/** Makes the parts and the file. */
export async function buildVowHome() {
  mkdirSync(parts, { recursive: true });
  const [css, whole, scripts, worker, panel] = await Promise.all([
    styles(),
    oneText(source('features', 'vows', 'home', 'file-app.tsx')),
    inParts(),
    oneText(source('workers', 'home-ear.worker.ts')),
    oneText(source('features', 'vows', 'home', 'count-by-ear.tsx'), {
      globalName: 'vowEar',
      plugins: [drawnByPage],
    }),
  ]);
  const woff2 = part('woff2', face());
  const addresses = {
    ...scripts,
    css: part('css', faceRule(woff2) + css),
    face: woff2,
    earWorker: part('js', worker),
  };
  put(names, JSON.stringify(addresses));
  const all = new Set(Object.values(addresses).flat());
  for (const name of readdirSync(parts)) if (!all.has(`/home/${name}`)) rmSync(path.join(parts, name));
  put(earPanel, panel);
  const inline = faceRule(`data:font/woff2;base64,${face().toString('base64')}`) + css;
  put(
    file,
    `<!doctype html>
<html lang="en" data-theme="day">
<meta charset="utf-8">
<meta name="viewport" content="width=device-width,initial-scale=1">
<meta name="robots" content="noindex">
<meta http-equiv="content-security-policy" content="default-src 'none'; script-src 'unsafe-inline' data:; worker-src data:; style-src 'unsafe-inline'; font-src data:; img-src data:">
<title>A vow</title>
<style>${inline}</style>
<body>
<div id="vow"><!--vow-card--></div>
<script type="application/json" id="vow-data"><!--vow-data--></script>
<!--vow-ear-->
<script>${whole.replaceAll('</script', '<\\/script')}</script>
</html>
`,
  );
}
