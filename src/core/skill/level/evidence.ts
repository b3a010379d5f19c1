import { logistic, type Gauss } from './scale';
import { assumptions, kinds, type Kind } from './assumptions';
import type { Measure } from '../../counting/measure';

/** What one day's attempts of one player on one step come to. */
export interface Evidence {
  readonly kind: Kind;
  /**
   * `chance`: touches that held; `rate`: how many; `time`: the sum of the logs; `share`: points over the most one shot
   * can bring, added up; `spread`: the sum of squares.
   */
  readonly sum: number;
  /** `chance`, `share`: all tries; `rate`: seconds; `time`: how many results; `spread`: degrees of freedom. */
  readonly of: number;
}

/** What attempts of one day on one step add up to. */
export interface DaySums {
  /** Attempts that have a result. */
  readonly results: number;
  readonly touches: number;
  readonly drops: number;
  /** Sums of the results, of their logs, and of their squares, each of those times its touches less one. */
  readonly sum: number;
  readonly logSum: number;
  readonly squares: number;
  /** Attempts with a drop in them. */
  readonly dropped: number;
  /** Touches of those that have a result, less one each: degrees of freedom of a spread. */
  readonly free: number;
  /** Seconds of the box an attempt was counted in; 1 where there is none. */
  readonly boxS: number;
  /** The most one shot or repetition can bring; 1 where nothing is scored. */
  readonly mostEach: number;
}

/** What attempts of one day on one step say of the level; null where they say nothing. */
export function evidenceOf(measure: Measure, day: DaySums): Evidence | null {
  const kind = kinds[measure];
  const [sum, of] = sums(kind, measure === 'hold', day);
  return of > 0 ? { kind, sum, of } : null;
}

function sums(kind: Kind, held: boolean, day: DaySums): readonly [sum: number, of: number] {
  switch (kind) {
    case 'chance':
      return held ? [day.sum, day.sum + day.dropped] : [day.touches, day.touches + day.drops];
    case 'rate':
      return [day.sum, day.results * day.boxS];
    case 'share':
      return [day.sum / day.mostEach, day.touches + day.drops];
    case 'time':
      return [day.logSum, day.results];
    case 'spread':
      return [day.squares, day.free];
  }
}

/** Slope and curvature (its negative) of the log likelihood of evidence at a level. */
export function slopesAt({ kind, sum, of }: Evidence, level: number): { slope: number; bend: number } {
  const { noise } = assumptions[kind];
  switch (kind) {
    case 'chance': {
      const p = logistic(level);
      return { slope: sum - of * p, bend: of * p * (1 - p) };
    }
    case 'share': {
      const p = logistic(level);
      return { slope: (sum - of * p) / noise, bend: (of * p * (1 - p)) / noise };
    }
    case 'rate': {
      const expected = of * Math.exp(level);
      return { slope: (sum - expected) / noise, bend: expected / noise };
    }
    case 'time': {
      const precision = of / noise ** 2;
      return { slope: (sum / of - level) * precision, bend: precision };
    }
    case 'spread': {
      // Squares of normal draws over their variance: chi-squared.
      const squares = sum * Math.exp(-2 * level);
      return { slope: squares - of, bend: 2 * squares };
    }
  }
}

/** Log likelihood of evidence at a level, up to what does not hang on the level. */
export function logLikelihood({ kind, sum, of }: Evidence, level: number): number {
  const { noise } = assumptions[kind];
  switch (kind) {
    case 'chance':
      return of * logNot(level) + sum * level;
    case 'share':
      return (of * logNot(level) + sum * level) / noise;
    case 'rate':
      return (sum * level - of * Math.exp(level)) / noise;
    case 'time':
      return (-0.5 * of * (sum / of - level) ** 2) / noise ** 2;
    case 'spread':
      return -of * level - 0.5 * sum * Math.exp(-2 * level);
  }
}

/** Kinds whose noise is assumed; of touches that hold or drop, and of spreads, it is known. */
const assumedNoise: ReadonlySet<Kind> = new Set(['rate', 'time', 'share']);

/** Evidence of counts that scatter more or less than most: it weighs the less. @param scatter a share of the variance */
export const scattered = (evidence: Evidence, scatter: number): Evidence =>
  scatter === 1 || !assumedNoise.has(evidence.kind)
    ? evidence
    : { ...evidence, sum: evidence.sum / scatter, of: evidence.of / scatter };

/**
 * What {@link logLikelihood} leaves out of evidence at a scatter, against that of most: with it the same counts can be
 * compared between scatters (the deviance, with the width of a normal curve).
 */
export function scaleOf(evidence: Evidence, scatter: number): number {
  if (scatter === 1 || !assumedNoise.has(evidence.kind)) return 0;
  const { mean } = alone(evidence);
  return (1 / scatter - 1) * logLikelihood(evidence, mean) + Math.log(scatter) / 2;
}

/** log(1 - p) at log odds, without overflow. */
const logNot = (level: number): number => (level > 30 ? -level : -Math.log1p(Math.exp(level)));

/**
 * The level of the day where nothing but this evidence is known, as a normal distribution: what is drawn as a mark with
 * its range, and what changes are sought in. Half a success and half a miss are added, so that a clean day has a level.
 */
export function alone({ kind, sum, of }: Evidence): Gauss {
  const { noise } = assumptions[kind];
  switch (kind) {
    case 'chance':
    case 'share': {
      const scale = kind === 'share' ? noise : 1;
      const [hits, misses] = [sum + 0.5, of - sum + 0.5];
      return { mean: Math.log(hits / misses), variance: scale * (1 / hits + 1 / misses) };
    }
    case 'rate':
      return { mean: Math.log((sum + 0.5) / of), variance: noise / (sum + 0.5) };
    case 'time':
      return { mean: sum / of, variance: noise ** 2 / of };
    case 'spread':
      return { mean: Math.log(sum / of) / 2, variance: 1 / (2 * of) };
  }
}
