import path from 'node:path';
import pdfmake from 'pdfmake';
import type { TDocumentDefinitions } from 'pdfmake/interfaces';

/* Documents as PDF, by a kept library. Its typeface is the application's own, cut to what is used. */

const folder = path.join(
  process.cwd(),
  'node_modules/@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-',
);
const face = (letters: string) => ({
  normal: `${folder}${letters}-400-normal.woff`,
  bold: `${folder}${letters}-700-normal.woff`,
});

/** Letters of the plain face; those of the rest of the Latin script stand in the other one. Range as the typeface is cut. */
const plain =
  /[\u0000-\u00ff\u0131\u0152\u0153\u02bb\u02bc\u02c6\u02da\u02dc\u2000-\u206f\u20ac\u2122\u2190-\u2193\u2212\u2215]/;

/** A text in runs, each with the face that has its letters. */
export function runsOf(text: string): { text: string; font: 'Body' | 'More' }[] {
  const runs: { text: string; font: 'Body' | 'More' }[] = [];
  for (const letter of text) {
    const font = plain.test(letter) ? 'Body' : 'More';
    const last = runs.at(-1);
    if (last?.font === font) last.text += letter;
    else runs.push({ text: letter, font });
  }
  return runs;
}

/** The same document with every text in the faces that have its letters. */
function faced(value: unknown, key = ''): unknown {
  if (typeof value === 'string') {
    if (key !== 'text' && key !== 'stack' && key !== 'content') return value;
    const runs = runsOf(value);
    const same = runs.every(({ font }) => font === 'Body');
    if (same) return value;
    return key === 'text' ? runs : { text: runs };
  }
  if (Array.isArray(value)) return value.map((one) => faced(one, key));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([name, one]) => [name, faced(one, name)]));
}

let ready = false;
function prepare(): void {
  if (ready) return;
  pdfmake.setFonts({ Body: face('latin'), More: face('latin-ext') });
  // Nothing is fetched, and no file is read but the faces.
  pdfmake.setUrlAccessPolicy(() => false);
  pdfmake.setLocalAccessPolicy((file: string) => file.startsWith(folder));
  ready = true;
}

/** A document as the bytes of a PDF file. */
export async function pdfBytes(document: TDocumentDefinitions): Promise<Uint8Array> {
  prepare();
  const { content, ...rest } = document;
  return pdfmake.createPdf({ ...rest, content: faced(content, 'content') as typeof content }).getBuffer();
}
