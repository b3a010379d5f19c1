import { growingRounds, stretchesARound, type Dose, type GrowingDose, type RoutineDose } from '../dose/dose';
import { lateTapS } from './late-tap';
import { roundsOf, triesARound } from '../dose/facts';
import { positionAt, type Phase, type Position } from './phases';

/**
 * Which stretch of a routine is being done, from 1 within its round, and which round that is.
 * @param round the stretch of the clock, from 1
 */
export function routineAt(dose: RoutineDose, round: number): { readonly part: number; readonly go: number } {
  const parts = stretchesARound(dose);
  // Rounds number on from turn to turn: every turn begins the routine anew.
  const within = (round - 1) % (parts * dose.rounds);
  return { part: (within % parts) + 1, go: Math.floor(within / parts) + 1 };
}

/**
 * The attempt a mark belongs to, from 1: the set or round of a course (by how many tries are done), the box for a
 * timed count and the round of a counted routine (by the clock), else 1: a growing count is one attempt in rounds. Null
 * when what goes by the clock is not running, or has not begun: such a tap counts nothing.
 * @param passedS running seconds of the block
 * @param tries touches and drops of the player in this block so far
 */
export function roundNow(
  dose: Dose,
  phases: readonly Phase[],
  passedS: number,
  tries: number,
): number | null {
  switch (dose.kind) {
    case 'reps':
    case 'course':
      return Math.min(roundsOf(dose), Math.floor(tries / triesARound(dose)!) + 1);
    case 'timed':
      return boxNow(phases, passedS);
    case 'hold': {
      // One that was held to the end is told a moment later, in the rest: none is before the first go.
      const { index, phase } = positionAt(phases, passedS);
      return phases.slice(0, index + 1).some(({ kind }) => kind === 'work') ? phase.round : null;
    }
    case 'row':
    case 'shots':
    case 'growing':
      return 1;
    case 'routine': {
      if (!dose.counted) return 1;
      const stretch = boxNow(phases, passedS);
      return stretch === null ? null : routineAt(dose, stretch).go;
    }
  }
}

/** The round of a growing count in which the next try is, from 1. */
export function growingRoundAt(dose: GrowingDose, tries: number): number {
  let left = tries;
  const round = growingRounds(dose).findIndex((inIt) => (left -= inIt) < 0);
  return round < 0 ? dose.to : round + 1;
}

const boxNow = (phases: readonly Phase[], passedS: number): number | null =>
  boxAt(positionAt(phases, passedS)) ?? boxAt(positionAt(phases, Math.max(0, passedS - lateTapS)));

const boxAt = ({ phase, done }: Position): number | null =>
  phase.kind === 'work' && !done ? phase.round : null;

/**
 * Is a lap pressed where none is run: in a rest or a count-in, when the laps of the round before it are all done?
 * @param round the round of a course the next lap belongs to, from 1
 * @param rounds of one turn
 */
export function isBetweenLaps(position: Position, round: number, rounds: number): boolean {
  const { phase, done } = position;
  return !done && phase.kind !== 'work' && round > phase.round - (phase.turn - 1) * rounds;
}
