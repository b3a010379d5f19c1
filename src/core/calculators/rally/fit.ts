import { RallyPlayer, simulateRallies, type RallySetting, type Rallies } from './simulate';
import { mixes, spreadOf, type Mix, type Spread } from './spread';

/** Rows of one player at one known set-up: good touches in a row, and whether a miss ended it. */
export interface LoggedRows {
  readonly setting: RallySetting;
  /** Hits to a counted touch, where the ball is then trapped and restarted; null where the rally goes on. */
  readonly each: number | null;
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
/** Scatters looked at: every scale of every mix. */
export const candidateCount = scales * mixes.length;
const [smallest, largest] = [0.25, 4];
const scaleAt = (k: number): number => smallest * (largest / smallest) ** (k / (scales - 1));
const stepOf = (scale: number): number =>
  Math.round(((scales - 1) * Math.log(scale / smallest)) / Math.log(largest / smallest));
/** Candidates next to one so far below the best, in log likelihood, are looked at too. */
const worthALook = 8;

/** Rallies played for each candidate and set-up, and where they are stopped. */
export const playedRallies = 500;
const playedMost = 50;
/** 95 % point of chi squared with one degree of freedom, any table; half of it in log likelihood. */
const withinLog = 3.841 / 2;

/** A set-up that rows were made at: it is played once, however many steps share it. */
interface RowsPlace {
  readonly player: RallyPlayer;
  readonly made: { readonly each: number | null; readonly sorted: readonly Hits[] }[];
}

function placesOf(logged: readonly LoggedRows[]): RowsPlace[] {
  const places = new Map<string, RowsPlace>();
  for (const one of logged) {
    const key = JSON.stringify(one.setting);
    const place = places.get(key) ?? { player: new RallyPlayer(one.setting), made: [] };
    place.made.push({ each: one.each, sorted: sortedRows(one) });
    places.set(key, place);
  }
  return [...places.values()];
}

/** How many set-ups rows were made at. */
export const settingsIn = (logged: readonly LoggedRows[]): number =>
  new Set(logged.map((one) => JSON.stringify(one.setting))).size;

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
  const places = placesOf(logged);
  const candidates: Candidate[] = [];
  const look = (mix: Mix, k: number) => {
    const scale = scaleAt(k);
    const spread = spreadOf(mix, scale);
    let logLikelihood = 0;
    for (const { player, made } of places) {
      // The same chance for every candidate: what differs is the scatter alone.
      const played = simulateRallies(player, spread, { rallies: playedRallies, most: playedMost, seed });
      for (const { each, sorted } of made) logLikelihood += likelihood(sortedPlayed(played, each), sorted);
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

/** Hits of one sort: so many made, so many of them missed. */
interface Hits {
  readonly made: number;
  readonly missed: number;
}

/**
 * Hits by their place in the row: the first, the second, and all later ones, which share one chance. Touches that are
 * trapped and restarted are all of one sort.
 */
function sortedRows({ rows, each }: Pick<LoggedRows, 'rows' | 'each'>): Hits[] {
  const sorts = each === null ? [first, second, later] : [whole];
  return sorts.map((sort) =>
    rows.reduce((sum, row) => ({ made: sum.made + sort(row).made, missed: sum.missed + sort(row).missed }), {
      made: 0,
      missed: 0,
    }),
  );
}

type Row = LoggedRows['rows'][number];
const first = ({ hits, missed }: Row): Hits =>
  hits > 0 ? { made: 1, missed: 0 } : { made: missed ? 1 : 0, missed: missed ? 1 : 0 };
const second = ({ hits, missed }: Row): Hits => (hits < 1 ? none : first({ hits: hits - 1, missed }));
const later = ({ hits, missed }: Row): Hits =>
  hits < 2 ? none : { made: hits - 2 + (missed ? 1 : 0), missed: missed ? 1 : 0 };
const whole = ({ hits, missed }: Row): Hits => ({ made: hits + (missed ? 1 : 0), missed: missed ? 1 : 0 });
const none: Hits = { made: 0, missed: 0 };

/** The same sorts, in the rallies a candidate played. */
function sortedPlayed({ lengths, unended, rallies }: Rallies, each: number | null): Hits[] {
  const from = (n: number) => lengths.slice(n).reduce((sum, count) => sum + count, 0);
  if (each !== null) return [{ made: rallies, missed: rallies - from(each) }];
  const laterHits = lengths.reduce((sum, count, n) => sum + Math.max(0, n - 1) * count, 0);
  return [
    { made: rallies, missed: lengths[0]! },
    { made: from(1), missed: lengths[1]! },
    // Stopped rallies have one hit less than they have places: the miss that never came.
    { made: laterHits - unended, missed: from(2) - unended },
  ];
}

/**
 * How likely the logged hits are when so many played ones went so: chances are known only as well as the play shows
 * them (beta-binomial, Jeffreys' prior), so that a candidate is not thrown out for the luck of its own play.
 */
function likelihood(played: readonly Hits[], logged: readonly Hits[]): number {
  return logged.reduce((sum, { made, missed }, sort) => {
    const seen = played[sort]!;
    const [a, b] = [seen.missed + 0.5, seen.made - seen.missed + 0.5];
    return sum + logBeta(a + missed, b + made - missed) - logBeta(a, b);
  }, 0);
}

const logBeta = (a: number, b: number): number => logGamma(a) + logGamma(b) - logGamma(a + b);

/** ln Γ(x) for x > 0: Stirling's series after stepping up to 8 and more; to about 1e-10 (any handbook of functions). */
function logGamma(x: number): number {
  let shift = 0;
  let at = x;
  while (at < 8) shift += Math.log(at++);
  const over = 1 / (at * at);
  const series = (1 / 12 - over * (1 / 360 - over * (1 / 1260 - over / 1680))) / at;
  return (at - 0.5) * Math.log(at) - at + 0.5 * Math.log(2 * Math.PI) + series - shift;
}
