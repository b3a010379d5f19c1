/** How much of a step is done: the kinds of dose a block can carry. All times in seconds. */
export type Dose = RepsDose | RowDose | TimedDose | HoldDose | ShotsDose;
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

/** The dose in a few words, as on the tape: "3 × 20 s, 20 s rest". */
export function doseInWords(dose: Dose): string {
  switch (dose.kind) {
    case 'reps': {
      const sides = dose.sides === 2 ? ' each side' : '';
      return dose.sets === 1 ? `${dose.reps} reps${sides}` : `${dose.sets} × ${dose.reps} reps${sides}`;
    }
    case 'row':
      return `${dose.target} in a row, ${dose.capS} s at most`;
    case 'timed':
      return dose.rounds === 1 ? `${dose.workS} s` : `${dose.rounds} × ${dose.workS} s, ${dose.restS} s rest`;
    case 'hold': {
      const sides = dose.sides === 2 ? ' each side' : '';
      return `${dose.holds} × ${dose.holdS} s hold${sides}`;
    }
    case 'shots':
      return `${dose.shots} shots, ${dose.ballsAtHand} balls at hand`;
  }
}
