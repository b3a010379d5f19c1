import { distance } from '../geometry/points';
import type { Course } from './layout';
import { moverOf, straightS, type Manner } from './pace';

/** A leg with what it takes. */
export interface TimedLeg {
  readonly lengthM: number;
  readonly manner: Manner;
  readonly steps: number;
  readonly seconds: number;
}

/** How somebody steps, metres. */
export interface Steps {
  /** A walking step; running steps are longer. */
  readonly strideM: number;
  readonly sideStepM: number;
}

/** Running steps of a short way are about half as long again as walking ones: ours. */
const runs = 1.5;
/** Steps backwards are short and quick: ours. */
const back = 0.8;

const stepOf = ({ strideM, sideStepM }: Steps, manner: Manner): number => {
  if (manner === 'side step') return sideStepM;
  if (manner === 'backwards') return back * strideM;
  return manner === 'run' ? runs * strideM : strideM;
};

/** Legs of a course with their lengths, steps and times at full effort; every corner is stopped at and turned in. */
export function timedLegs({ from, legs }: Course, age: number, steps: Steps): TimedLeg[] {
  const mover = moverOf(age);
  return legs.map(({ to, manner }, at) => {
    const lengthM = distance(at === 0 ? from : legs[at - 1]!.to, to);
    return {
      ...{ lengthM, manner },
      steps: Math.max(1, Math.ceil(lengthM / stepOf(steps, manner) - 1e-9)),
      seconds: straightS(mover, lengthM, manner) + mover.turnS,
    };
  });
}

/** A course as a whole: metres, steps and seconds of one lap at full effort. */
export function lapOf(course: Course, age: number, steps: Steps) {
  const legs = timedLegs(course, age, steps);
  const sum = (of: (leg: TimedLeg) => number) => legs.reduce((all, leg) => all + of(leg), 0);
  return {
    legs,
    lengthM: sum(({ lengthM }) => lengthM),
    steps: sum((leg) => leg.steps),
    seconds: sum(({ seconds }) => seconds),
  };
}

/**
 * Laps in a time box, the last one counted in parts that were finished.
 * @param parts of a lap that are counted: thirds, quarters, halves
 */
export const lapsIn = (boxS: number, lapS: number, parts: number): number =>
  lapS > 0 ? Math.floor((boxS / lapS) * parts + 1e-9) / parts : 0;
