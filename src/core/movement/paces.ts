/** Paces a grown-up can take over ten metres: from long strides to a shoe's length. Ours. */
export const paceLimits = { min: 8, max: 45 } as const;

/** What is wrong with a number of paces counted over ten metres; null where nothing is. */
export function paceProblem(paces: number): string | null {
  const { min, max } = paceLimits;
  if (Number.isFinite(paces) && paces >= min && paces <= max) return null;
  return `Ten metres take between ${min} long paces and ${max} shoe lengths: walk them once more and count.`;
}

/** A length in paces, to the half, for a coach who takes so many over ten metres. */
export const inPaces = (metres: number, pacesOverTen: number): number =>
  Math.round((2 * metres * pacesOverTen) / 10) / 2;
