import { execFileSync } from 'node:child_process';
import path from 'node:path';

/** The text of a PDF as a reader finds it in the file, page after page, white space as one space. */
export const textOfPdf = (pdf: Buffer): string =>
  execFileSync(process.execPath, [path.join(__dirname, 'pdf-text.mjs')], {
    input: pdf,
    encoding: 'utf8',
  }).replace(/\s+/g, ' ');
