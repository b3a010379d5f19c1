import { expectedBest, hitRate, shareOfAtLeast } from './results';
import { RallyPlayer, simulateRallies, type Rallies, type RallySetting } from './simulate';
import type { Candidate, Fit } from './fit';

/** What a player would do at another set-up. */
export interface Forecast {
  /** Under the scatter that explains the rows best. */
  readonly rallies: Rallies;
  readonly rate: number;
  readonly best: Estimate;
  readonly reach: Estimate;
  readonly tries: number;
  readonly aim: number;
}

/** A number with the ends it has under every scatter that explains the rows nearly as well. */
export interface Estimate {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** Rallies for the shape, and for each of the other candidates. */
const many = 10_000;
const some = 600;

export const forecastSteps = (fit: Pick<Fit, 'possible'>): number => many + some * fit.possible.length;

/**
 * Plays ten thousand rallies at a set-up with the scatter that fits best, and some with each of the others possible.
 * @param aim good hits in a row that are wanted; @param tries how many tries the best is taken of
 * @param progress told how many rallies are done; see {@link forecastSteps}
 * @throws RangeError when there is no rally at all in this set-up
 */
export function forecast(
  fit: Fit,
  setting: RallySetting,
  { tries, aim, most, seed }: { tries: number; aim: number; most: number; seed: number },
  progress?: (done: number) => void,
): Forecast {
  const player = new RallyPlayer(setting);
  const rallies = simulateRallies(player, fit.best.spread, {
    rallies: many,
    most,
    seed,
    ...(progress && { progress }),
  });
  let done = many;
  const others = fit.possible.map((candidate: Candidate) => {
    const played = simulateRallies(player, candidate.spread, { rallies: some, most, seed });
    progress?.((done += some));
    return { best: expectedBest(played, tries), reach: shareOfAtLeast(played, aim) };
  });
  const estimate = (value: number, of: (one: { best: number; reach: number }) => number): Estimate => ({
    value,
    low: Math.min(value, ...others.map(of)),
    high: Math.max(value, ...others.map(of)),
  });
  return {
    rallies,
    rate: hitRate(rallies),
    best: estimate(expectedBest(rallies, tries), (one) => one.best),
    reach: estimate(shareOfAtLeast(rallies, aim), (one) => one.reach),
    tries,
    aim,
  };
}
