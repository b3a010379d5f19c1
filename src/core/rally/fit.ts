import { RallyPlayer, simulateRallies, type RallySetting, type Rallies } from './simulate';
import { mixes, spreadOf, type Mix, type Spread } from './spread';

/** Rows of one player at one known set-up: good hits in a row, and whether a miss ended it. */
export interface LoggedRows {
  readonly setting: RallySetting;
  readonly rows: readonly { readonly hits: number; readonly missed: boolean }[];
}

/** One scatter a player may have, and how well it explains the rows. */
export interface Candidate {
  readonly mix: Mix;
  readonly scale: number;
  readonly spread: Spread;
  readonly logLikelihood: number;
}

export interface Fit {
  readonly best: Candidate;
  /** All that explain the rows nearly as well: within the 95 % region of the likelihood ratio (2 Δ log L ≤ 3.84). */
  readonly possible: readonly Candidate[];
  /** The ends of each spread among them. */
  readonly low: Spread;
  readonly high: Spread;
  readonly rows: number;
  readonly misses: number;
  /** Too few misses to say much. */
  readonly littleData: boolean;
  /** True when the rows lie at an end of what is looked at: the interval is open there. */
  readonly atEdge: boolean;
}

/** Fewer misses than this is little data: ours; the rate is then known to about a fifth of itself either way. */
export const fewMisses = 25;

/** Scales looked at: from a quarter to four times the unit. */
const scales = 21;
const [smallest, largest] = [0.25, 4];
const scaleAt = (k: number): number => smallest * (largest / smallest) ** (k / (scales - 1));
const stepOf = (scale: number): number =>
  Math.round(((scales - 1) * Math.log(scale / smallest)) / Math.log(largest / smallest));
/** Candidates next to one so far below the best, in log likelihood, are looked at too. */
const worthALook = 8;

/** Rallies played for each candidate and set-up, and where they are stopped. */
const playedRallies = 500;
const playedMost = 50;
/** 95 % point of chi squared with one degree of freedom, any table; half of it in log likelihood. */
const withinLog = 3.841 / 2;

/** About how often progress is told. */
export const fitSteps = (settings: number): number => settings * mixes.length * ((scales + 1) / 2 + 4);

/**
 * Fits a player's scatter to their rows by likelihood: each candidate is played at the set-ups the rows were made at, and
 * its chance to miss the first hit, the second, and any later one gives the likelihood of every row.
 * @param progress told after each set-up of each candidate; see {@link fitSteps}
 * @throws RangeError without a single row, or when a set-up has no rally
 */
export function fitSpread(logged: readonly LoggedRows[], seed: number, progress?: () => void): Fit {
  const rows = logged.reduce((sum, one) => sum + one.rows.length, 0);
  if (rows === 0) throw new RangeError('There are no rows to fit.');
  const players = logged.map((one) => ({ player: new RallyPlayer(one.setting), rows: one.rows }));
  const candidates: Candidate[] = [];
  const look = (mix: Mix, k: number) => {
    const scale = scaleAt(k);
    const spread = spreadOf(mix, scale);
    let logLikelihood = 0;
    for (const one of players) {
      // The same chance for every candidate: what differs is the scatter alone.
      const played = simulateRallies(one.player, spread, { rallies: playedRallies, most: playedMost, seed });
      logLikelihood += likelihood(missChances(played), one.rows);
      progress?.();
    }
    candidates.push({ mix, scale, spread, logLikelihood });
  };
  // Every other scale first; those between only where they may matter.
  for (const mix of mixes) for (let k = 0; k < scales; k += 2) look(mix, k);
  const highest = Math.max(...candidates.map((one) => one.logLikelihood));
  for (const { mix, scale, logLikelihood } of [...candidates]) {
    if (highest - logLikelihood > worthALook) continue;
    for (const k of [-1, 1].map((side) => stepOf(scale) + side))
      if (k >= 0 && k < scales && !candidates.some((one) => one.mix === mix && stepOf(one.scale) === k))
        look(mix, k);
  }
  const best = candidates.reduce((so, one) => (one.logLikelihood > so.logLikelihood ? one : so));
  const possible = candidates.filter((one) => best.logLikelihood - one.logLikelihood <= withinLog);
  const misses = logged.reduce((sum, one) => sum + one.rows.filter((row) => row.missed).length, 0);
  const { low, high } = widened(possible);
  return {
    best,
    possible,
    low,
    high,
    rows,
    misses,
    littleData: misses < fewMisses,
    atEdge: possible.some((one) => one.scale <= smallest * 1.01 || one.scale >= largest * 0.99),
  };
}

/** The ends of each spread, half a step of the scale further: between two candidates nothing was looked at. */
function widened(possible: readonly Candidate[]): { low: Spread; high: Spread } {
  const half = (largest / smallest) ** (0.5 / (scales - 1));
  const ends = (key: keyof Spread) => {
    const all = possible.map((one) => one.spread[key]);
    return { low: Math.min(...all) / half, high: Math.max(...all) * half };
  };
  const [speed, height, side] = [ends('speed'), ends('height'), ends('side')];
  return {
    low: { speed: speed.low, height: height.low, side: side.low },
    high: { speed: speed.high, height: height.high, side: side.high },
  };
}

/** Chance to miss by the place of the hit in the row: the first two have their own, later ones share one. */
function missChances({ lengths, unended }: Rallies): readonly [number, number, number] {
  const after = (from: number) => lengths.slice(from).reduce((sum, count) => sum + count, 0);
  const started = after(0);
  const laterHits = lengths.reduce((sum, count, n) => sum + Math.max(0, n - 1) * count, 0);
  const laterMisses = after(2) - unended;
  // Half a miss and half a hit are added: what was never seen in so many rallies is still possible.
  const chance = (missed: number, of: number) => (missed + 0.5) / (of + 1);
  return [chance(lengths[0]!, started), chance(lengths[1]!, after(1)), chance(laterMisses, laterHits)];
}

function likelihood(
  [first, second, later]: readonly [number, number, number],
  rows: LoggedRows['rows'],
): number {
  let sum = 0;
  for (const { hits, missed } of rows) {
    if (hits >= 1) sum += Math.log(1 - first);
    if (hits >= 2) sum += Math.log(1 - second) + (hits - 2) * Math.log(1 - later);
    if (missed) sum += Math.log(hits === 0 ? first : hits === 1 ? second : later);
  }
  return sum;
}
