/*
 * Levels are kept on the scale on which steps of the same size mean the same: log odds for chances and shares, logs for
 * rates, times and spreads.
 */

/** Log odds of a chance strictly between 0 and 1. */
export const logit = (p: number): number => Math.log(p / (1 - p));

/** The chance that has these log odds, 0 to 1. */
export const logistic = (x: number): number => 1 / (1 + Math.exp(-x));

/** A level with its uncertainty: the normal distribution, on the scale of its measure. */
export interface Gauss {
  readonly mean: number;
  readonly variance: number;
}

/**
 * Nodes and weights of Gauss-Hermite quadrature for a standard normal variable: the mean of f is the sum of
 * `weight * f(node)`, exact for polynomials up to degree 17.
 * Source: Abramowitz and Stegun, Handbook of Mathematical Functions, table 25.10 (n = 9), nodes times the root of 2 and
 * weights over the root of pi.
 */
export const normalNodes: readonly (readonly [node: number, weight: number])[] = [
  [-4.512745863399783, 2.2345844007746565e-5],
  [-3.20542900285647, 0.002789141321231768],
  [-2.07684797867783, 0.04991640676521788],
  [-1.023255663789133, 0.2440975028949395],
  [0, 0.40634920634920635],
  [1.023255663789133, 0.2440975028949395],
  [2.07684797867783, 0.04991640676521788],
  [3.20542900285647, 0.002789141321231768],
  [4.512745863399783, 2.2345844007746565e-5],
];

/** The mean of a function of a normal variable. */
export function meanOf({ mean, variance }: Gauss, f: (x: number) => number): number {
  const spread = Math.sqrt(variance);
  let sum = 0;
  for (const [node, weight] of normalNodes) sum += weight * f(mean + node * spread);
  return sum;
}

/** Half the width of an equal-tailed range, in standard deviations. */
export const halfWidth = { 0.8: 1.2815515655446004, 0.95: 1.959963984540054 } as const;
