import { logLikelihood, slopesAt, type Evidence } from './evidence';
import { normalNodes, type Gauss } from './scale';

export interface Updated extends Gauss {
  /** Log of how likely the evidence was beforehand, up to what does not hang on the level. */
  readonly logChance: number;
}

/**
 * A level after evidence: mean and variance of the product of what was believed (normal) and the likelihood, matched by
 * quadrature about its highest point. For times, whose likelihood is normal, this is Kalman's update.
 * @param before what is believed of the day's level; variance > 0
 * Source: moment matching as in assumed-density filtering (Minka 2001, from memory).
 */
export function updated(before: Gauss, evidence: Evidence): Updated {
  const { mean, variance } = before;
  let top = mean;
  let bend = 1 / variance;
  // The log of the product is concave: Newton's way to its top, with steps no wider than the scale bears.
  for (let turn = 0; turn < 30; turn++) {
    const { slope, bend: own } = slopesAt(evidence, top);
    bend = own + 1 / variance;
    const step = (slope - (top - mean) / variance) / bend;
    top += Math.max(-2, Math.min(2, step));
    if (Math.abs(step) < 1e-7) break;
  }
  const spread = 1 / Math.sqrt(bend);
  const height = (x: number) => logLikelihood(evidence, x) - (x - mean) ** 2 / (2 * variance);
  const highest = height(top);
  let [all, first, second] = [0, 0, 0];
  for (const [node, weight] of normalNodes) {
    const share = weight * Math.exp(height(top + node * spread) - highest + node ** 2 / 2);
    all += share;
    first += share * node;
    second += share * node ** 2;
  }
  const at = first / all;
  return {
    mean: top + at * spread,
    variance: Math.max(1e-12, spread ** 2 * (second / all - at ** 2)),
    logChance: highest + Math.log((all * spread) / Math.sqrt(variance)),
  };
}
