import { routineStretches, type Dose } from '../dose/dose';
import { roundsOf } from '../dose/facts';
import { sharesOf } from '../dose/time';

export type PhaseKind = 'countIn' | 'work' | 'rest';

/** One stretch of a block's clock. */
export interface Phase {
  readonly kind: PhaseKind;
  readonly seconds: number;
  /** The round, set or side it belongs to, from 1: the `attempt` of touches made in it. */
  readonly round: number;
  /** The turn it belongs to, from 1, where stations hold fewer than the group. */
  readonly turn: number;
}

/** Seconds counted in aloud before work starts: 3, 2, 1. */
export const countInS = 3;

/**
 * A dose as the stretches of time a block is run in: count-in, then work and rest in turn.
 * @param dose a sound dose (see doseProblems)
 * @param workS seconds of work expected for doses without a fixed time (reps, shots), > 0
 */
export function phasesOf(dose: Dose, workS: number): Phase[] {
  const phases: Phase[] = [{ kind: 'countIn', seconds: countInS, round: 1, turn: 1 }];
  const each = worksOf(dose, workS);
  const restS = restOf(dose);
  for (const [index, seconds] of each.entries()) {
    phases.push({ kind: 'work', seconds, round: index + 1, turn: 1 });
    if (index < each.length - 1 && restS > 0)
      phases.push({ kind: 'rest', seconds: restS, round: index + 1, turn: 1 });
  }
  return phases;
}

/** Seconds of rest after each round but the last. */
export const restOf = (dose: Dose): number =>
  dose.kind === 'routine' ? dose.changeS : 'restS' in dose ? dose.restS : 0;

/**
 * The phases of a block in which so many turns share the stations: while one rests the next one works, as the plan
 * reckons (see planning/turns). Rounds number on from turn to turn, and whoever follows another is counted in.
 * @param phases of one turn alone
 */
export function inTurns(phases: readonly Phase[], turns: number): Phase[] {
  if (turns <= 1) return [...phases];
  const works = phases.filter((phase) => phase.kind === 'work');
  const all: Phase[] = [];
  for (const [index, work] of works.entries()) {
    for (let turn = 1; turn <= turns; turn++) {
      const round = work.round + (turn - 1) * works.length;
      if (all.at(-1)?.kind !== 'rest') all.push({ kind: 'countIn', seconds: countInS, round, turn });
      all.push({ ...work, round, turn });
    }
    // The others' work was rest for the first of them: what is left of it is rest for everybody.
    const rest = phases[phases.indexOf(work) + 1];
    const left = rest?.kind === 'rest' ? rest.seconds - (turns - 1) * work.seconds : 0;
    if (index < works.length - 1 && left > 0)
      all.push({ kind: 'rest', seconds: left, round: work.round, turn: 1 });
  }
  return all;
}

/** A block's stretches as those of one turn have them: what others are counted in for and do is their rest. */
export const ownStretches = (phases: readonly Phase[], turn: number): readonly Phase[] =>
  phases.some((phase) => phase.turn > 1)
    ? phases.map((phase) => (phase.turn === turn ? phase : { ...phase, kind: 'rest' }))
    : phases;

/** Seconds of work of every round, set, side or part. */
function worksOf(dose: Dose, workS: number): number[] {
  if (dose.kind === 'routine') return routineStretches(dose).map((part) => part.partS);
  const shares = sharesOf(dose);
  if (shares) return shares.map((share) => workS * share);
  const rounds = roundsOf(dose);
  return Array.from({ length: rounds }, () => roundS(dose, workS, rounds));
}

function roundS(dose: Exclude<Dose, { kind: 'routine' }>, workS: number, rounds: number): number {
  switch (dose.kind) {
    case 'timed':
      return dose.workS;
    case 'hold':
      return dose.holdS;
    case 'row':
      return dose.capS;
    default:
      return workS / rounds;
  }
}

/** Where a block stands after so many running seconds. */
export interface Position {
  readonly phase: Phase;
  /** Seconds left in this phase, > 0 unless done. */
  readonly leftS: number;
  readonly done: boolean;
  /** The number of the phase, from 0. */
  readonly index: number;
}

/**
 * The place in the phases after `elapsedS` seconds of running time.
 * After the end the last phase stays, done, with nothing left.
 * @throws RangeError when there are no phases
 */
export function positionAt(phases: readonly Phase[], elapsedS: number): Position {
  const last = phases.at(-1);
  if (!last) throw new RangeError('A block has at least one phase.');
  let endS = 0;
  for (const [index, phase] of phases.entries()) {
    endS += phase.seconds;
    if (elapsedS < endS) return { phase, leftS: endS - elapsedS, done: false, index };
  }
  return { phase: last, leftS: 0, done: true, index: phases.length - 1 };
}

/** A sound or sign of the clock, at a number of running seconds from the block's start. */
export interface Signal {
  readonly atS: number;
  readonly kind: 'tick' | 'go' | 'ten' | 'stop' | 'end';
}

/** A stretch of work at least this long has its last ten seconds called, seconds. Ours. */
export const tenCalledFromS = 20;

/**
 * The signals of a block: 3-2-1 before every stretch of work, go, the last ten seconds, stop, and the end.
 * Ticks that would fall before the stretch begins are left out (a rest shorter than three seconds).
 */
export function signalsOf(phases: readonly Phase[]): Signal[] {
  const signals: Signal[] = [];
  let startS = 0;
  for (const [index, phase] of phases.entries()) {
    const endS = startS + phase.seconds;
    const next = phases[index + 1];
    if (phase.kind === 'work') signals.push({ atS: startS, kind: 'go' });
    if (phase.kind === 'work' && phase.seconds >= tenCalledFromS)
      signals.push({ atS: endS - 10, kind: 'ten' });
    if (phase.kind !== 'work' && next?.kind === 'work') {
      for (let tick = countInS; tick >= 1; tick--) {
        if (endS - tick >= startS) signals.push({ atS: endS - tick, kind: 'tick' });
      }
    }
    if (phase.kind === 'work') signals.push({ atS: endS, kind: next ? 'stop' : 'end' });
    startS = endS;
  }
  return signals;
}
