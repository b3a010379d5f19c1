import type { CustomTableLayout, DynamicContent } from 'pdfmake/interfaces';

/*
 * What a document says by functions, said as data: it is made in another thread (server/files/pdf.ts), where no function comes
 * along.
 */

/** Lines and room of a table, points. */
export interface Ruled {
  /** Width of the lines across, and of the first one below the top where it is another. */
  readonly h: number;
  readonly h1?: number;
  /** Width of the lines down, and of the first one inside where it is another. */
  readonly v: number;
  readonly v1?: number;
  /** Room in a cell: left, top, right, bottom. */
  readonly pad: readonly [number, number, number, number];
}

/** A table’s layout. */
export const ruled = (lines: Ruled): CustomTableLayout => ({ ruled: lines }) as CustomTableLayout;

/** A line at the foot of every page; `{page}` and `{pages}` stand for the numbers. */
export const footLine = (
  text: string,
  style: { readonly fontSize: number; readonly margin: readonly [number, number, number, number] },
): DynamicContent => ({ footLine: { text, ...style } }) as unknown as DynamicContent;
