import { distance } from '../geometry/points';
import type { Course, Leg } from './layout';
import { moverOf, reachedMps, straightS, topOf, type Manner, type Mover } from './pace';

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
  return manner === 'run' || manner === 'jog' ? runs * strideM : strideM;
};

/** Speeds at the corners of a course, the start first: as fast as each is run round, and as the legs before and after let. */
function cornerSpeeds(legs: readonly (Leg & { readonly lengthM: number })[], mover: Mover): number[] {
  const into = legs.at(-1)!.roundM !== undefined;
  const speeds = [0, ...legs.keys()].map((_, corner) => {
    const [before, after] = [legs.at(corner - 1)!, legs[corner % legs.length]!];
    // A start is a stand, but for laps that follow each other.
    if (before.roundM === undefined || (corner === 0 && !into)) return 0;
    return Math.min(
      Math.sqrt(mover.bendMps2 * before.roundM),
      topOf(mover, before.manner),
      topOf(mover, after.manner),
    );
  });
  // Twice round, so that what the start lets is known at the end of the lap as well.
  for (let round = 0; round < 2; round++) {
    speeds[0] = Math.min(speeds[0]!, speeds.at(-1)!);
    for (const [n, { lengthM, manner }] of legs.entries())
      speeds[n + 1] = Math.min(speeds[n + 1]!, reachedMps(mover, lengthM, manner, speeds[n]!));
    if (into) speeds[0] = speeds.at(-1)!;
    for (const [n, { lengthM }] of [...legs.entries()].reverse())
      speeds[n] = Math.min(speeds[n]!, Math.sqrt(speeds[n + 1]! ** 2 + 2 * mover.brakeMps2 * lengthM));
  }
  return speeds;
}

/**
 * Legs of a course with their lengths, steps and times at full effort. Corners with a bend are run round, the others stopped
 * at and turned in; where every foot has its place, no faster than feet can be put down.
 */
export function timedLegs({ from, legs }: Course, age: number, steps: Steps): TimedLeg[] {
  const mover = moverOf(age);
  const long = legs.map((leg, at) => ({
    ...leg,
    lengthM: distance(at === 0 ? from : legs[at - 1]!.to, leg.to),
  }));
  const speeds = cornerSpeeds(long, mover);
  return long.map(({ lengthM, manner, roundM, feet }, at) => {
    const ends = { fromMps: speeds[at]!, toMps: speeds[at + 1]! };
    const movedS = straightS(mover, lengthM, manner, ends);
    return {
      lengthM,
      manner,
      steps: feet ?? Math.max(1, Math.ceil(lengthM / stepOf(steps, manner) - 1e-9)),
      seconds: Math.max(movedS, (feet ?? 0) / mover.feetPerS) + (roundM === undefined ? mover.turnS : 0),
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
