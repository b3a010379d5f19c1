/** Energies of so many seconds before and after a moment are compared. Ours: shorter than any contact rings. */
const shortS = 0.0005;
/** What was there before weighs so many times as much as what comes. Ours. */
const beforeWeighs = 3;

/**
 * Where a sound begins: the steepest rise of the energy of its own changes, to the sample (hum and voices change slowly).
 * @param first the first sample it may begin at
 * @param end the sample it must begin before
 * @param rate samples a second
 */
export function onsetIn(samples: Float32Array, first: number, end: number, rate: number): number {
  const short = Math.max(1, Math.round(shortS * rate));
  const change = (n: number): number => {
    const by = n > 0 && n < samples.length ? samples[n]! - samples[n - 1]! : 0;
    return by * by;
  };
  let [behind, ahead] = [0, 0];
  for (let n = 0; n < short; n++) {
    behind += change(first - short + n);
    ahead += change(first + n);
  }
  let [best, at] = [-Infinity, first];
  for (let n = first; n < end; n++) {
    const rise = ahead - beforeWeighs * behind;
    if (rise > best) [best, at] = [rise, n];
    behind += change(n) - change(n - short);
    ahead += change(n + short) - change(n);
  }
  return at;
}
