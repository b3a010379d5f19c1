import { encode } from 'uqr';

/** A row of dark modules: where it begins, and how many. */
export interface QrRun {
  readonly x: number;
  readonly y: number;
  readonly w: number;
}

export interface Qr {
  /** Modules along one side, with the quiet zone of four (ISO/IEC 18004). */
  readonly size: number;
  readonly runs: readonly QrRun[];
}

const quiet = 4;

/** A text as a QR code, for the page and the PDF alike: rows of dark modules in a square of `size` modules. */
export function qrOf(text: string): Qr {
  const { data } = encode(text, { ecc: 'M', border: 0 });
  const runs: QrRun[] = [];
  for (const [y, row] of data.entries()) {
    let from: number | null = null;
    for (let x = 0; x <= row.length; x++) {
      if (row[x] && from === null) from = x;
      if (!row[x] && from !== null) {
        runs.push({ x: from + quiet, y: y + quiet, w: x - from });
        from = null;
      }
    }
  }
  return { size: data.length + 2 * quiet, runs };
}
