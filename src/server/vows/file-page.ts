import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { deflateRawSync } from 'node:zlib';
import type { Card, CardPart } from '@/session/vows/card';
import type { HomeView } from '@/session/vows/home-view';
import { mayHear } from '@/session/vows/ears';

/** What the build made (scripts/lib/vow-home.js): the file to fill in, and the names of the parts of the page. */
const built = path.join(process.cwd(), '.next');
const template = path.join(built, 'vow-file.html');

interface Parts {
  readonly js: string;
  /** What the script is made of besides, and what it fetches later. */
  readonly chunks: readonly string[];
  readonly later: readonly string[];
  readonly css: string;
  readonly face: string;
  readonly earWorker: string;
}
const worklet = '/ear/worklet.js';
const earPanel = path.join(built, 'vow-ear.js');
const files = path.join(process.cwd(), 'public');
let known: Promise<Parts> | null = null;
const partsOf = (): Promise<Parts> =>
  (known ??= readFile(path.join(built, 'vow-parts.json'), 'utf8').then((text) => JSON.parse(text) as Parts));

const letters: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };
const escaped = (text: string): string => text.replace(/[&<>"]/g, (letter) => letters[letter]!);

/** Data inside a page: nothing in it can end the element it stands in. */
export const asData = (value: unknown): string => JSON.stringify(value).replaceAll('<', '\\u003c');

const list = (lines: readonly string[]): string =>
  `<ul>${lines.map((line) => `<li>${escaped(line)}</li>`).join('')}</ul>`;

const partText = (part: CardPart): string =>
  `<h2>${escaped(part.drill)}</h2><p><strong>${escaped(part.title)}.</strong> ${escaped(part.words)}</p><p>“${escaped(part.cue)}”</p>${list([...part.checkpoints, ...part.care])}`;

/** A card in plain words, for a preview that runs no script. */
export const cardText = ({ name, when, parts }: Card): string =>
  `<section><h1>${escaped(name)}’s vow</h1><p>${escaped(when)}</p>${parts.map(partText).join('')}</section>`;

const whatToDo =
  'To count here, save this file and open it in a browser. Where that cannot be done, write the numbers down and tell them to your coach: this page is a card as well.';

const cardsOf = ({ vows }: HomeView, words: string): string =>
  `<main class="mx-auto max-w-xl px-4 pt-4"><p>${escaped(words)}</p>${vows.map((one) => cardText(one.card)).join('')}</main>`;

const frame = (head: string, body: string): string => `<!doctype html>
<html lang="en" data-theme="day">
<meta charset="utf-8">
<meta name="viewport" content="width=device-width,initial-scale=1">
<meta name="robots" content="noindex,nofollow">
<title>A vow</title>
${head}
<body>
${body}
</html>
`;

/** The page behind a family’s link: the card in plain words, which the screen takes the place of once it is alive. */
export async function vowPage(view: HomeView, address: string, nonce: string): Promise<string> {
  const { js, chunks, later, css, face, earWorker } = await partsOf();
  // What is fetched later is named as well: whoever keeps the page keeps it with all its parts.
  const ear = mayHear(view.vows) ? { worker: earWorker, worklet, later } : undefined;
  return frame(
    `<link rel="preload" href="${face}" as="font" type="font/woff2" crossorigin>
<link rel="stylesheet" href="${css}">
${chunks.map((chunk) => `<link rel="modulepreload" href="${chunk}" nonce="${escaped(nonce)}">`).join('\n')}
<script type="module" src="${js}" nonce="${escaped(nonce)}"></script>`,
    `<div id="vow">${cardsOf(view, 'Counting begins in a moment.')}</div>
<script type="application/json" id="vow-data" nonce="${escaped(nonce)}">${asData({ view, address, ear })}</script>`,
  );
}

/** A link that opens nothing any more: one sentence, and no part of anything. */
export const closedPage = (sentence: string): string =>
  frame('', `<main><h1>This link does not open any more</h1><p>${escaped(sentence)}</p></main>`);

/** What the ear of a file is made of, packed, as texts in it. */
async function earInFile(): Promise<string> {
  const { earWorker } = await partsOf();
  const made = {
    'vow-ear-panel': earPanel,
    'vow-ear-worker': path.join(files, earWorker),
    'vow-ear-worklet': path.join(files, worklet),
  };
  const held = await Promise.all(
    Object.entries(made).map(async ([id, file]) => {
      const packed = deflateRawSync(await readFile(file), { level: 9 }).toString('base64');
      return `<script type="text/plain" id="${id}">${packed}</script>`;
    }),
  );
  return held.join('');
}

/** The file of a child's vows: filled in with what they promised and the key it signs with. */
export async function vowFilePage(
  view: HomeView,
  file: { readonly id: string; readonly key: string },
): Promise<string> {
  const page = await readFile(template, 'utf8');
  const ear = mayHear(view.vows) ? await earInFile() : '';
  const card = cardsOf(view, whatToDo);
  // A function, so that no letter of a text stands for another.
  return page
    .replace('<!--vow-card-->', () => card)
    .replace('<!--vow-data-->', () => asData({ view, file }))
    .replace('<!--vow-ear-->', () => ear);
}
