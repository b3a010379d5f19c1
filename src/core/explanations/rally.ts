import { degrees } from '../ballistics/motion';
import type { Explanation } from '../base/explain';
import type { Estimate } from '../calculators/rally/forecast';
import { candidateCount, playedRallies } from '../calculators/rally/fit';
import type { RallyAnswer } from '../calculators/rally/job';
import { counted, percent } from '../base/words';

const whole = (value: number): string => value.toFixed(0);

/** A number with its range, without a range that says nothing. */
export function estimateInWords({ value, low, high }: Estimate, say: (n: number) => string): string {
  return say(low) === say(high) ? say(value) : `${say(value)} (${say(low)} to ${say(high)})`;
}

/** What the next step would do, in one sentence. */
export function rallySentence(name: string, { forecast }: RallyAnswer): string {
  const { best, reach, tries, aim } = forecast;
  return `${name}’s best of ${counted(tries, 'try', 'tries')} would be about ${estimateInWords(best, whole)} in a row; ${aim} or more in ${estimateInWords(reach, percent)} of tries.`;
}

/** How sure that is. */
export function sureness({ fit }: RallyAnswer): string {
  const from = `From ${counted(fit.rows, 'row')} with ${counted(fit.misses, 'miss', 'misses')} in twelve weeks.`;
  if (fit.littleData) return `${from} Little data: the range is wide.`;
  return fit.atEdge ? `${from} The rows lie at the end of what is looked at: the range is open there.` : from;
}

const law = `The scatter of speed, height and side that makes the logged rows most likely is looked for among ${candidateCount} candidates, every other one first and then all near the best: each is played ${playedRallies} times where the rows were made. Then ten thousand rallies are played at the next set-up. Every hit is meant to bring the ball back to its place, scatters, and is met where a step reaches; the next hit is made from there.`;
const source =
  'Flight and bounce as on the wall calculator; fit by likelihood, range by the likelihood ratio (95 %, 2 Δ log L ≤ 3.84). The shares of scatter and the reach are our own choices.';
export const rallyLaw = { formula: law, source } as const;

export function explainSpread({ fit }: RallyAnswer): Explanation {
  const deg = (angle: number) => `${degrees(angle).toFixed(1)}°`;
  const line = (label: string, value: string, low: string, high: string) => ({
    label,
    value,
    from: `${low} to ${high} explain the rows nearly as well`,
  });
  const { spread } = fit.best;
  return {
    title: 'Scatter of a hit',
    value: `± ${percent(spread.speed)} of the speed`,
    formula: `${law} Counts in a row tell how much a player scatters and little of which way: the ranges hold every way.`,
    inputs: [
      line('Speed', `± ${percent(spread.speed)}`, percent(fit.low.speed), percent(fit.high.speed)),
      line('Height', `± ${deg(spread.height)}`, deg(fit.low.height), deg(fit.high.height)),
      line('Side', `± ${deg(spread.side)}`, deg(fit.low.side), deg(fit.high.side)),
    ],
    source,
  };
}

export function explainBest(answer: RallyAnswer): Explanation {
  const { forecast, plain } = answer;
  return {
    title: `Best of ${forecast.tries}`,
    value: estimateInWords(forecast.best, (n) => n.toFixed(1)),
    formula: `The sum over n of 1 − (1 − share of rallies with n or more)^tries. ${law}`,
    inputs: [
      { label: 'Good hits of all', value: percent(forecast.rate), from: 'in the rallies played' },
      {
        label: 'Same chance each touch',
        value: plain.best.toFixed(1),
        from: `the plain model: ${percent(plain.rate)} as in the logged rows, wherever it is played`,
      },
    ],
    source,
  };
}
