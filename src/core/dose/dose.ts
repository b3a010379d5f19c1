import { doseTimeInWords } from '../base/words';

/** How much of a step is done: the kinds of dose a block can carry. All times in seconds. */
export type Dose =
  RepsDose | RowDose | TimedDose | HoldDose | ShotsDose | CourseDose | GrowingDose | RoutineDose;
export type DoseKind = Dose['kind'];

/** Repetitions in sets, on one or both sides, with a rest after each set but the last. */
export interface RepsDose {
  readonly kind: 'reps';
  readonly sets: number;
  readonly reps: number;
  readonly sides: number;
  readonly restS: number;
}

/** Keep going until `target` in a row is reached, or the time is up. */
export interface RowDose {
  readonly kind: 'row';
  readonly target: number;
  readonly capS: number;
}

/** As many as possible inside a time box, `rounds` times. */
export interface TimedDose {
  readonly kind: 'timed';
  readonly rounds: number;
  readonly workS: number;
  readonly restS: number;
}

/** Hold a position, on one or both sides. */
export interface HoldDose {
  readonly kind: 'hold';
  readonly holds: number;
  readonly holdS: number;
  readonly sides: number;
  readonly restS: number;
}

/** A number of shots with the balls at hand; when they are gone, everybody collects. */
export interface ShotsDose {
  readonly kind: 'shots';
  readonly shots: number;
  readonly ballsAtHand: number;
  readonly collectS: number;
}

/** Rounds of so many laps of a course; the second half of the rounds goes the other way. */
export interface CourseDose {
  readonly kind: 'course';
  readonly rounds: number;
  readonly laps: number;
  readonly restS: number;
}

/** A growing count, round by round: 1 on every line, then 2 on every line, up to `to`; a rest between two rounds. */
export interface GrowingDose {
  readonly kind: 'growing';
  readonly lines: number;
  readonly to: number;
  readonly restS: number;
}

/** A routine: one part after the other, each held or moved through for its own time, on one or both sides. */
export interface RoutineDose {
  readonly kind: 'routine';
  readonly rounds: number;
  readonly changeS: number;
  /** True where its touches are counted; left out where its parts are done and that is all. */
  readonly counted?: boolean;
  readonly parts: readonly RoutinePart[];
}

export interface RoutinePart {
  readonly name: string;
  readonly partS: number;
  readonly sides: number;
  /** The step it is taken from, "drill/step", where there is one. */
  readonly of?: string;
}

/** The parts of a routine in the order they are done: a part on two sides is two. */
export function routineStretches(dose: RoutineDose): RoutinePart[] {
  const once = dose.parts.flatMap((part) => Array.from({ length: part.sides }, () => part));
  return Array.from({ length: dose.rounds }, () => once).flat();
}

/** How many stretches one round of a routine has. */
export const stretchesARound = ({ parts }: RoutineDose): number =>
  parts.reduce((sum, part) => sum + part.sides, 0);

/** Repetitions in each round of a growing count: its number on every line. */
export const growingRounds = ({ lines, to }: GrowingDose): number[] =>
  Array.from({ length: to }, (_, index) => lines * (index + 1));

/** Repetitions on one line of a growing count: 1 + 2 + … + n = n(n + 1)/2. */
export function growingSum(to: number): number {
  return (to * (to + 1)) / 2;
}

/** The dose in a few words, as on the tape: "3 × 20 s, 20 s rest". */
export function doseInWords(dose: Dose): string {
  switch (dose.kind) {
    case 'reps':
      return dose.sets === 1
        ? `${dose.reps} reps${eachSide(dose)}`
        : `${dose.sets} × ${dose.reps} reps${eachSide(dose)}`;
    case 'row':
      return `${dose.target} in a row, ${doseTimeInWords(dose.capS)} at most`;
    case 'timed':
      return dose.rounds === 1
        ? doseTimeInWords(dose.workS)
        : `${dose.rounds} × ${doseTimeInWords(dose.workS)}, ${doseTimeInWords(dose.restS)} rest`;
    case 'hold':
      return `${dose.holds} × ${dose.holdS} s hold${eachSide(dose)}`;
    case 'shots':
      return `${dose.shots} shots, ${dose.ballsAtHand} balls at hand`;
    case 'course':
      return `${dose.rounds} × ${dose.laps} ${dose.laps === 1 ? 'lap' : 'laps'}${dose.rounds > 1 ? ', direction changes' : ''}`;
    case 'growing':
      return `1 to ${dose.to} on ${dose.lines} ${dose.lines === 1 ? 'line' : 'lines'}`;
    case 'routine':
      return `${dose.parts.length} ${dose.parts.length === 1 ? 'part' : 'parts'}${dose.rounds > 1 ? `, ${dose.rounds} times` : ''}`;
  }
}

const eachSide = ({ sides }: { readonly sides: number }): string => (sides === 2 ? ' each side' : '');
