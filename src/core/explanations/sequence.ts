import type { Explanation, ExplainedInput } from '../base/explain';
import type { Demands, Gap } from '../movement/sequence/feasible';
import { wordsOfShot } from '../movement/sequence/line';
import type { Shot, ShadowSport } from '../movement/sequence/shots';
import { counted } from '../base/words';
import { partsOfATenth } from './rounding';

const source =
  'Ways by the start-stop-turn model that the 10 × 5 m shuttle checks; two or three side steps, more is crossed over (common practice); times of swings are ours.';

/** "2 side steps", "crossover, 5 steps, 2.1 m" of one way between two strokes. */
const wayInWords = ({ stretches }: Gap): string =>
  stretches
    .map(({ pattern, steps, lengthM }) =>
      pattern === 'on the spot' ? pattern : `${pattern}, ${counted(steps, 'step')}, ${lengthM.toFixed(1)} m`,
    )
    .join('; then ');

const asShown = (seconds: number): number => Math.round(100 * seconds) / 100;

/** What one stroke needs after the one before it. */
export function explainGap(gap: Gap, shots: readonly Shot[], sport: ShadowSport): Explanation {
  const { finishS, setS, needsS, to } = gap;
  // Rounded so that the parts add up to what is shown.
  const wayS = asShown(needsS) - asShown(finishS) - asShown(setS);
  return {
    title: `Stroke ${to + 1}: ${wordsOfShot(shots[to]!, sport)}`,
    value: `${needsS.toFixed(2)} s`,
    formula: 'End of the swing before it + the way of the feet + this swing up to its contact.',
    inputs: [
      { label: 'End of the swing before', value: `${finishS.toFixed(2)} s`, from: 'by age, ours' },
      { label: 'Way of the feet', value: `${wayS.toFixed(2)} s`, from: wayInWords(gap) },
      { label: 'Swing up to contact', value: `${setS.toFixed(2)} s`, from: 'by age, ours' },
    ],
    source,
  };
}

/** The fastest tempo, by the stroke that takes the longest. */
export function explainTempo(demands: Demands, shots: readonly Shot[], sport: ShadowSport): Explanation {
  const { tightest, fastestPerMin } = demands;
  return {
    title: 'Fastest tempo',
    value: `${fastestPerMin} strokes a minute`,
    formula: '60 s divided by what the slowest of its strokes needs, rounded down.',
    inputs: explainGap(tightest, shots, sport).inputs.concat({
      label: `Stroke ${tightest.to + 1}, ${wordsOfShot(shots[tightest.to]!, sport)}`,
      value: `${tightest.needsS.toFixed(2)} s`,
      from: 'the slowest of them',
    }),
    source,
  };
}

/** The way of one pass, stroke by stroke; the parts add up to it. */
export function explainWay(
  { gaps, lengthM, steps }: Demands,
  shots: readonly Shot[],
  sport: ShadowSport,
): Explanation {
  const lengths = gaps.map(({ stretches }) => stretches.reduce((sum, one) => sum + one.lengthM, 0));
  const inputs: ExplainedInput[] = gaps.map((gap, n) => ({
    label: `To stroke ${gap.to + 1}, ${wordsOfShot(shots[gap.to]!, sport)}`,
    value: `${lengths[n]!.toFixed(1)} m`,
    from: wayInWords(gap),
  }));
  return {
    title: 'Way of one pass',
    value: `${lengthM.toFixed(1)} m, ${counted(steps, 'step')}`,
    formula: 'Sum of the straight ways from place to place, the last one back to the first.',
    inputs: [...inputs, ...partsOfATenth(lengthM, lengths, 'm')],
    source: 'Places to scale; side steps and the distance to the ball from the fit.',
  };
}
