import { fitSpread, fitSteps, settingsIn, type Fit, type LoggedRows } from './fit';
import { forecast, forecastSteps, type Forecast } from './forecast';
import { sameChanceAtLeast, sameChanceBest } from './results';
import type { RallySetting } from './simulate';

/** What is asked: what would this player, who made these rows, do at that set-up? */
export interface RallyJob {
  readonly logged: readonly LoggedRows[];
  readonly next: RallySetting;
  readonly tries: number;
  readonly aim: number;
  readonly seed: number;
}

export interface RallyAnswer {
  readonly fit: Fit;
  readonly forecast: Forecast;
  /** The plain model: the chance of the next hit as in all rows, at any set-up. */
  readonly plain: { readonly rate: number; readonly best: number; readonly reach: number };
}

/** Rallies are stopped at so many good hits. */
export const longestRally = 50;

/**
 * Fits and forecasts.
 * @param progress told now and then the share that is done, 0 to 1
 * @throws RangeError without rows, or when a set-up has no rally
 */
export function answerRally(job: RallyJob, progress: (share: number) => void = () => undefined): RallyAnswer {
  let done = 0;
  const steps = fitSteps(settingsIn(job.logged));
  const fit = fitSpread(job.logged, job.seed, () => progress(Math.min(0.7, (0.7 * ++done) / steps)));
  const all = forecastSteps(fit);
  const told = forecast(
    fit,
    job.next,
    { tries: job.tries, aim: job.aim, most: longestRally, seed: job.seed + 1 },
    (played) => progress(0.7 + (0.3 * played) / all),
  );
  const rate = plainRate(job.logged);
  return {
    fit,
    forecast: told,
    plain: {
      rate,
      best: sameChanceBest(rate, job.tries, longestRally),
      reach: sameChanceAtLeast(rate, job.aim),
    },
  };
}

/** Good hits over all hits; a touch of three hits that was trapped is three good ones. */
function plainRate(logged: readonly LoggedRows[]): number {
  let good = 0;
  let missed = 0;
  for (const { rows, each } of logged)
    for (const row of rows) {
      good += row.hits * (each ?? 1);
      missed += row.missed ? 1 : 0;
    }
  return good + missed === 0 ? 0 : good / (good + missed);
}
