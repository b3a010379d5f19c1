import { loopOf, slowShare, type TempoWay } from './loop';

/** Minutes a workout takes. */
export const workoutMinutes = [10, 20, 30] as const;
export type WorkoutMinutes = (typeof workoutMinutes)[number];

/** From which age a workout of so many minutes is offered without a word: ours, for growing legs and backs. */
export const workoutFromAge: Readonly<Record<WorkoutMinutes, number>> = { 10: 10, 20: 12, 30: 14 };

/** Seconds of work in one round (common practice: 30 to 60) and of rest after it, by age. Ours. */
export function roundOf(age: number): { workS: number; restS: number } {
  if (age < 10) return { workS: 30, restS: 30 };
  if (age < 13) return { workS: 40, restS: 30 };
  return { workS: 60, restS: 30 };
}

/** One sequence that goes into a workout. */
export interface WorkoutPart {
  /** Strokes of one pass. */
  readonly shots: number;
  /** The fastest tempo this player can play it at. */
  readonly fastestPerMin: number;
}

export interface WorkoutRound {
  /** Which part, from 0. */
  readonly part: number;
  readonly perMin: number;
  readonly strokes: number;
}

export interface Workout {
  readonly rounds: readonly WorkoutRound[];
  readonly workS: number;
  readonly restS: number;
  readonly way: TempoWay;
  /** All of it, rest after the last round left out, seconds: never more than was asked for. */
  readonly totalS: number;
  readonly strokes: number;
  /** A word of care where this player is young for it; null where not. */
  readonly care: string | null;
}

/** The tempo of the first third of a workout, of the middle, and of the last, as shares of the fastest. Ours. */
const shares = [slowShare + 0.1, 0.8, 0.9] as const;

/**
 * Sequences joined into a workout: by turns, each round slow and then fast, the whole from easy to quick.
 * @param parts at least one
 */
export function workoutOf(parts: readonly WorkoutPart[], minutes: WorkoutMinutes, age: number): Workout {
  const { workS, restS } = roundOf(age);
  const count = Math.max(1, Math.floor((minutes * 60 + restS) / (workS + restS)));
  const way: TempoWay = 'slow, then fast';
  const rounds = Array.from({ length: count }, (_, n): WorkoutRound => {
    const part = n % parts.length;
    const share = shares[Math.min(2, Math.floor((3 * n) / count))]!;
    const perMin = Math.max(1, Math.floor(parts[part]!.fastestPerMin * share));
    return { part, perMin, strokes: loopOf(parts[part]!.shots, perMin, workS, way).length };
  });
  const from = workoutFromAge[minutes];
  return {
    rounds,
    workS,
    restS,
    way,
    totalS: count * (workS + restS) - restS,
    strokes: rounds.reduce((sum, { strokes }) => sum + strokes, 0),
    care:
      age < from
        ? `Workouts of ${minutes} minutes belong to players from ${from} on: take a shorter one, and stop while the strokes are whole.`
        : null,
  };
}
