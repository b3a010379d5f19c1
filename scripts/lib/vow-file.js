import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import { root } from './run.js';

/** The file for homes without the server, before a child's vows are put in (src/server/vows/file-page.ts). */
export const vowFile = path.join(root, '.next', 'vow-file.html');
export const vowFileIsThere = () => existsSync(vowFile);

const require = createRequire(import.meta.url);

/** The styles of the screens in it and no others, with the typeface inside. */
async function styles() {
  const { default: postcss } = await import('postcss');
  const { default: tailwind } = await import('@tailwindcss/postcss');
  const from = path.join(root, 'src', 'app', 'globals.css');
  const face = readFileSync(
    require.resolve('@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2'),
  ).toString('base64');
  const own = readFileSync(from, 'utf8').replace(
    "@import 'tailwindcss';",
    "@import 'tailwindcss' source(none);\n@source '../features/home';\n@source '../ui/button-class.ts';",
  );
  const { css } = await postcss([tailwind({ optimize: { minify: true } })]).process(own, { from });
  return (
    `@font-face{font-family:'Atkinson Hyperlegible Next Variable';font-weight:200 800;src:url(data:font/woff2;base64,${face}) format('woff2')}` +
    css.replaceAll("'Bricolage Grotesque Variable'", "'Atkinson Hyperlegible Next Variable'")
  );
}

async function script() {
  const { build } = await import('esbuild');
  const { outputFiles } = await build({
    entryPoints: [path.join(root, 'src', 'features', 'home', 'file-app.tsx')],
    bundle: true,
    minify: true,
    write: false,
    format: 'iife',
    target: 'es2020',
    jsx: 'automatic',
    alias: { '@': path.join(root, 'src') },
    define: { 'process.env.NODE_ENV': '"production"' },
    logLevel: 'warning',
  });
  // Inside a page, the end of a script is said by its tag and nothing else.
  return outputFiles[0].text.replaceAll('</script', '<\\/script');
}

/** Makes the file: one page that needs no network and asks for none. */
export async function buildVowFile() {
  const [css, js] = await Promise.all([styles(), script()]);
  const page = `<!doctype html>
<html lang="en" data-theme="day">
<meta charset="utf-8">
<meta name="viewport" content="width=device-width,initial-scale=1">
<meta name="robots" content="noindex">
<meta http-equiv="content-security-policy" content="default-src 'none'; script-src 'unsafe-inline'; style-src 'unsafe-inline'; font-src data:; img-src data:">
<title>A vow</title>
<style>${css}</style>
<body>
<div id="vow"><!--vow-card--></div>
<script type="application/json" id="vow-data"><!--vow-data--></script>
<script>${js}</script>
</html>
`;
  const made = `${vowFile}.made`;
  writeFileSync(made, page);
  renameSync(made, vowFile);
}
