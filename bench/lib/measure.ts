/** The middle value; of an even number, the mean of the middle two. */
export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const half = Math.floor(sorted.length / 2);
  return sorted.length % 2 === 1 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2;
}

/** One result, as one JSON object on a line. */
export function report(
  bench: string,
  value: number,
  unit: string,
  reference: number,
  ratio = value / reference,
): void {
  const round = (n: number) => Number(n.toPrecision(4));
  console.log(
    JSON.stringify({ bench, value: round(value), unit, reference: round(reference), ratio: round(ratio) }),
  );
}

/** Milliseconds something takes. */
export async function timed(work: () => Promise<unknown>): Promise<number> {
  const from = performance.now();
  await work();
  return performance.now() - from;
}
