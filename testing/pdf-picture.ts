import { inflateSync } from 'node:zlib';

/** Pixels to a point: a module of a code is some ten wide. */
const scale = 6;

/** A rectangle, its colour, and that it is filled. */
const filled = /([\d.-]+) ([\d.-]+) ([\d.-]+) ([\d.-]+) re\n(?:\/\w+ \w+\n|[\d ]+scn\n)*f\n/g;

/** The contents of a PDF's pages, as text. */
function contentsOf(pdf: Uint8Array): string {
  const bytes = Buffer.from(pdf);
  let text = '';
  for (let at = bytes.indexOf('stream\n'); at >= 0; at = bytes.indexOf('stream\n', at + 1))
    try {
      text += inflateSync(bytes.subarray(at + 7, bytes.indexOf('endstream', at))).toString('latin1');
    } catch {
      // A typeface, or nothing that is packed.
    }
  return text;
}

/** Width and height of a PDF's first page, points. */
export const pdfSize = (pdf: Uint8Array): [number, number] =>
  /\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/.exec(Buffer.from(pdf).toString('latin1'))!.slice(1).map(Number) as [
    number,
    number,
  ];

export const pdfPages = (pdf: Uint8Array): number =>
  Buffer.from(pdf)
    .toString('latin1')
    .match(/\/Type \/Page\b(?!s)/g)?.length ?? 0;

/** Draws the filled rectangles of a document of ours and nothing else, black on white, as a camera would see a code. */
export function pdfPicture(pdf: Uint8Array): { pixels: Uint8ClampedArray; width: number; height: number } {
  const [width, height] = pdfSize(pdf).map((points) => Math.ceil(points * scale)) as [number, number];
  const pixels = new Uint8ClampedArray(width * height * 4).fill(255);
  for (const [, x, y, w, h] of contentsOf(pdf).matchAll(filled)) {
    const at = (points: number) => Math.round(points * scale);
    const [left, top] = [at(Number(x)), at(Number(y))];
    const [right, bottom] = [at(Number(x) + Number(w)), at(Number(y) + Number(h))];
    for (let row = top; row < bottom; row++)
      for (let column = left; column < right; column++)
        pixels.fill(0, (row * width + column) * 4, (row * width + column) * 4 + 3);
  }
  return { pixels, width, height };
}
