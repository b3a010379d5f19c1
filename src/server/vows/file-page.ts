import { readFile } from 'node:fs/promises';
import path from 'node:path';
import type { Card, CardPart } from '@/session/vow/card';
import type { HomeView } from '@/session/vow/home-view';

/** The page that is filled in: made by the build (scripts/lib/vow-file.js). */
const template = path.join(process.cwd(), '.next', 'vow-file.html');

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

/** The file of a child's vows: filled in with what they promised and the key it signs with. */
export async function vowFilePage(
  view: HomeView,
  file: { readonly id: string; readonly key: string },
): Promise<string> {
  const page = await readFile(template, 'utf8');
  const card = `<main class="mx-auto max-w-xl px-4 pt-4"><p>${escaped(whatToDo)}</p>${view.vows.map((one) => cardText(one.card)).join('')}</main>`;
  // A function, so that no letter of a text stands for another.
  return page.replace('<!--vow-card-->', () => card).replace('<!--vow-data-->', () => asData({ view, file }));
}
