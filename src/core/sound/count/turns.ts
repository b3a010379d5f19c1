import type { Impact } from '../impacts';
import { heardRows, type HeardRows, type RowsAsked } from './rows';
import { sorted } from './taken';

/** Touches of two sides, and how many came in turn. */
export interface HeardTurns extends HeardRows {
  /** The side of each touch that was heard, in order; null where only the beat says that it was there. */
  readonly sides: readonly (string | null)[];
  /** Touches that were of the other side than the one before. */
  readonly inTurn: number;
  /** Touches that were of the same side as the one before. */
  readonly twice: number;
}

/** Counts touches of two sides whose sounds were taught apart. */
export function heardTurns(impacts: readonly Impact[], asked: RowsAsked): HeardTurns {
  const rows = heardRows(impacts, asked);
  const labels = new Map(
    sorted(impacts, asked, asked.deaf).heard.map(({ impact, label }) => [impact.atS, label]),
  );
  const sides = rows.rows.flatMap(({ touches }) =>
    touches.map(({ atS, heard }) => (heard ? (labels.get(atS) ?? null) : null)),
  );
  let [inTurn, twice] = [0, 0];
  for (let at = 1; at < sides.length; at++) {
    if (sides[at] === null || sides[at - 1] === null) continue;
    if (sides[at] === sides[at - 1]) twice += 1;
    else inTurn += 1;
  }
  return { ...rows, sides, inTurn, twice };
}
