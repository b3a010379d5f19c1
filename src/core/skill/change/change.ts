/** One day's level by its own evidence, on the scale of its measure; `variance` with the form of a day in it. */
export interface Point {
  readonly day: number;
  readonly mean: number;
  readonly variance: number;
}

export type Change =
  | { readonly kind: 'plateau' | 'slide'; readonly fromDay: number; readonly evidence: number }
  | { readonly kind: 'jump'; readonly fromDay: number; readonly by: number; readonly evidence: number };

/** A change is named when it explains the log so much better, in Bayes' information criterion. "Strong" from 6 on
 * (Kass and Raftery 1995, from memory). */
const enough = 6;
/** Before and after a change there must be so many days with counts. Ours. */
const [least, leastAfter] = [4, 4];
/** A plateau or a slide lasts at least so many days. Ours. */
const leastDays = 14;

interface Fit {
  readonly squares: number;
  readonly values: readonly number[];
}

/** Weighted least squares by the normal equations; null where the columns do not tell apart. */
function fit(columns: readonly (readonly number[])[], points: readonly Point[], squeeze: number): Fit | null {
  const size = columns.length;
  const rows = Array.from({ length: size }, (_, i) =>
    Array.from({ length: size + 1 }, (__, j) =>
      points.reduce(
        (sum, { mean, variance }, k) =>
          sum + (columns[i]![k]! * (j < size ? columns[j]![k]! : mean)) / variance,
        0,
      ),
    ),
  );
  for (let i = 0; i < size; i++) {
    let pivot = i;
    for (let r = i + 1; r < size; r++) if (Math.abs(rows[r]![i]!) > Math.abs(rows[pivot]![i]!)) pivot = r;
    [rows[i], rows[pivot]] = [rows[pivot]!, rows[i]!];
    if (Math.abs(rows[i]![i]!) < 1e-9) return null;
    for (let r = 0; r < size; r++) {
      if (r === i) continue;
      const times = rows[r]![i]! / rows[i]![i]!;
      for (let c = i; c <= size; c++) rows[r]![c]! -= times * rows[i]![c]!;
    }
  }
  const values = rows.map((row, i) => row[size]! / row[i]!);
  const squares = points.reduce((sum, { mean, variance }, k) => {
    const expected = values.reduce((all, value, i) => all + value * columns[i]![k]!, 0);
    return sum + (mean - expected) ** 2 / variance;
  }, 0);
  return { squares: squares / squeeze, values };
}

/**
 * Whether a ladder's course is a steady one, or has a plateau, a jump or a slide in it, by comparing curves with and
 * without the change. Steady is a line, or a course of falling returns.
 * @param points days with counts, in order, one a day
 * @param better 1 where more is better, -1 for times and spreads
 * @returns the change that the evidence carries best; null where it carries none
 */
export function changeIn(points: readonly Point[], better: 1 | -1 = 1): Change | null {
  const n = points.length;
  if (n < least + leastAfter) return null;
  const days = points.map(({ day }) => (day - points[0]!.day) / 7);
  const ones = days.map(() => 1);
  const fading = days.map((day) => Math.log1p(day));
  // Where days scatter more than thought, no change is read out of the scatter.
  const free = fit([ones, days, days.map((day) => day ** 2)], points, 1);
  const squeeze = Math.max(1, (free?.squares ?? 0) / Math.max(1, n - 3));
  const cost = Math.log(n);
  const line = fit([ones, days], points, squeeze);
  const curve = fit([ones, fading], points, squeeze);
  const flat = fit([ones], points, squeeze);
  const steady = Math.min(
    (flat?.squares ?? Infinity) + cost,
    (line?.squares ?? Infinity) + 2 * cost,
    (curve?.squares ?? Infinity) + 2 * cost,
  );
  let best: Change | null = null;
  const offer = (change: Change) => {
    if (change.evidence >= enough && (!best || change.evidence > best.evidence)) best = change;
  };
  for (let at = least; at <= n - leastAfter; at++) {
    const turn = days[at]!;
    const fromDay = points[at]!.day;
    const lasts = points.at(-1)!.day - fromDay >= leastDays;
    const until = days.map((day) => Math.min(day, turn));
    const since = days.map((day) => Math.max(0, day - turn));
    const after = days.map((_, i) => (i >= at ? 1 : 0));
    // A change counts as two numbers more: its size, and where it is; both are sought for.
    const held = fit([ones, until], points, squeeze);
    if (held && lasts && held.values[1]! * better > 0)
      offer({ kind: 'plateau', fromDay, evidence: steady - held.squares - 3 * cost });
    const bent = fit([ones, days, since], points, squeeze);
    if (bent && lasts && (bent.values[1]! + bent.values[2]!) * better < 0)
      offer({ kind: 'slide', fromDay, evidence: steady - bent.squares - 4 * cost });
    // A jump from one level to another, or in a course that goes on as before.
    for (const [columns, fee] of [
      [[ones, after], 3],
      [[ones, days, after], 4],
    ] as const) {
      const jumped = fit(columns, points, squeeze);
      const by = jumped?.values.at(-1) ?? 0;
      if (jumped && by * better > 0)
        offer({ kind: 'jump', fromDay, by, evidence: steady - jumped.squares - fee * cost });
    }
  }
  return best;
}
