import type { Explanation } from '../base/explain';
import { lapOf, type Steps } from '../movement/course';
import type { Course } from '../movement/layout';
import { moverOf, type Manner } from '../movement/pace';
import { counted } from '../base/words';
import { partsOfATenth } from './rounding';

const words: Readonly<Record<Manner, string>> = {
  run: 'run',
  jog: 'jogged',
  backwards: 'backwards',
  'side step': 'side steps',
  walk: 'walked',
};

/** What a lap takes at full effort, leg by leg; the legs add up to it. */
export function explainLap(course: Course, age: number, steps: Steps): Explanation {
  const lap = lapOf(course, age, steps);
  const { topMps, turnS, bendMps2, feetPerS } = moverOf(age);
  const has = (key: 'roundM' | 'feet') => course.legs.some((leg) => leg[key] !== undefined);
  const stops = course.legs.some(({ roundM }) => roundM === undefined);
  return {
    title: 'A lap at full effort',
    value: `${lap.seconds.toFixed(1)} s`,
    formula:
      'Sum over the legs: the speed grows as v (1 − e^(−t/τ)), then it is braked for the corner: to a stand, where turning takes a moment, or to what a bend of radius r lets, √(a r). Backwards is 0.67, sideways 0.65, a jog 0.5 and a walk 0.28 of the speed forward. Where every foot has its place, a leg takes as long as the feet do.',
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
      ...(stops
        ? [
            {
              label: 'A turn',
              value: `${turnS.toFixed(2)} s`,
              from: 'ours, in every leg that ends in a stop',
            },
          ]
        : []),
      ...(has('roundM')
        ? [{ label: 'Leaning into a bend', value: `${bendMps2.toFixed(1)} m/s²`, from: `ours, at ${age}` }]
        : []),
      ...(has('feet')
        ? [{ label: 'Feet a second', value: feetPerS.toFixed(1), from: `ours, the most at ${age}` }]
        : []),
    ],
    source:
      'Furusawa, Hill and Parkinson 1927 for speeding up; set so that the 10 × 5 m shuttle of Eurofit comes to its tables (from memory).',
  };
}
