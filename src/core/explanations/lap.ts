import type { Explanation } from '../explain';
import { lapOf, type Steps } from '../movement/course';
import type { Course } from '../movement/layout';
import { moverOf, type Manner } from '../movement/pace';
import { counted } from '../words';
import { partsOfATenth } from './rounding';

const words: Readonly<Record<Manner, string>> = {
  run: 'run',
  backwards: 'backwards',
  'side step': 'side steps',
  walk: 'walked',
};

/** What a lap takes at full effort, leg by leg; the legs add up to it. */
export function explainLap(course: Course, age: number, steps: Steps): Explanation {
  const lap = lapOf(course, age, steps);
  const { topMps, turnS } = moverOf(age);
  return {
    title: 'A lap at full effort',
    value: `${lap.seconds.toFixed(1)} s`,
    formula:
      'Sum over the legs: from a stand the speed grows as v (1 − e^(−t/τ)), then it is braked to a stand at the corner, where turning takes a moment. Backwards is 0.67 and sideways 0.65 of the speed forward.',
    inputs: [
      ...lap.legs.map(({ lengthM, manner, seconds, steps: count }, n) => ({
        label: `Leg ${n + 1}, ${words[manner]}`,
        value: `${seconds.toFixed(1)} s`,
        from: `${lengthM.toFixed(2)} m, ${counted(count, 'step')}`,
      })),
      ...partsOfATenth(
        lap.seconds,
        lap.legs.map(({ seconds }) => seconds),
      ),
      { label: 'Fastest run', value: `${topMps.toFixed(1)} m/s`, from: `usual at ${age} (from memory)` },
      { label: 'A turn', value: `${turnS.toFixed(2)} s`, from: 'ours, in every leg' },
    ],
    source:
      'Furusawa, Hill and Parkinson 1927 for speeding up; set so that the 10 × 5 m shuttle of Eurofit comes to its tables (from memory).',
  };
}
