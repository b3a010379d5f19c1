import type { Dose } from '@/core/dose/dose';
import { sharesOf } from '@/core/dose/time';
import type { CircuitPart } from '@/core/plan/circuit/circuit';
import { roundsOf as circuitRounds, visitsOf } from '@/core/plan/circuit/rotation';
import { roundsOf } from '@/core/dose/facts';
import { countInS, inTurns, phasesOf, restOf, type Phase } from '@/core/court/phases';
import { visitS } from './on-court';

/** However short a block is cut, so much work is left of a turn, seconds. Ours. */
const leastWorkS = 1;

interface TurnTimes {
  /** Seconds the stations are in use for one turn: work, rest and collecting, as the plan reckons. */
  readonly turnS: number;
  readonly turns: number;
}

/**
 * A block's clock on court, from its dose and the plan's time for it. Rests are the dose's own and come once; what is
 * left of the time is work. A row is run to its cap, however soon the plan expects it to be there.
 * @param share how much of the work is left when the block was shortened
 */
export function courtPhases(dose: Dose, times: TurnTimes, share = 1): Phase[] {
  return inTurns(phasesOf(dose, Math.max(leastWorkS, workOfTurnS(dose, times) * share)), times.turns);
}

/** Seconds of work of one turn: the plan's time for the stations, solved for it (see planning/turns). */
function workOfTurnS(dose: Dose, { turnS, turns }: TurnTimes): number {
  const [rounds, restS, activeS] = [roundsOf(dose), restOf(dose), turnS * turns];
  const shares = sharesOf(dose) ?? Array.from({ length: rounds }, () => 1 / rounds);
  // In a round the others' work covers the rest, or it does not and some rest is left. With less work, more of them are
  // of the second kind: from as much work as could be it is followed down until all agree.
  let workS = turnS;
  for (const _ of shares) {
    let [slope, left] = [0, activeS];
    for (const [round, share] of shares.entries()) {
      const covered = round === rounds - 1 || (turns - 1) * share * workS >= restS;
      slope += covered ? turns * share : share;
      left -= covered ? 0 : restS;
    }
    workS = left / slope;
  }
  return workS;
}

/**
 * A circuit's clock, the same at every station: counted in once, then a visit and a walk in turn.
 * @param share how much of each visit is left when the circuit was shortened
 */
export function circuitPhases(part: CircuitPart, share = 1): Phase[] {
  const rounds = circuitRounds(part).length;
  const phases: Phase[] = [{ kind: 'countIn', seconds: countInS, round: 1, turn: 1 }];
  for (let round = 1; round <= rounds; round++) {
    phases.push({ kind: 'work', seconds: visitS(part, share), round, turn: 1 });
    if (round < rounds) phases.push({ kind: 'rest', seconds: part.changeS, round, turn: 1 });
  }
  return phases;
}

/**
 * A station's clock as one group has it: their visit cut as the dose cuts it, and rest while they are elsewhere or walk.
 * What a dose with times of its own leaves of the visit is rest; what it has too much the signal cuts off. Over several
 * visits the rounds number on.
 * @param clock the circuit's, with what was added to it on court
 * @param group by its number; -1 for nobody's
 * @param turns how many the group takes in a visit, >= 1
 */
export function stationPhases(
  clock: readonly Phase[],
  part: CircuitPart,
  group: number,
  dose: Dose,
  turns: number,
): Phase[] {
  const visits = visitsOf(circuitRounds(part), part.at, group).map((round) => round + 1);
  return clock.flatMap((phase) => {
    const visit = visits.indexOf(phase.round);
    if (phase.kind !== 'work' || visit < 0)
      return [{ ...phase, kind: phase.kind === 'countIn' ? phase.kind : 'rest' }];
    const done = visit * roundsOf(dose) * turns;
    const [, ...own] = courtPhases(dose, { turnS: phase.seconds / turns, turns });
    return within(own, phase).map((one) => ({ ...one, round: one.round + done }));
  });
}

/** Phases of one visit, cut off at its end or filled up with rest. */
function within(own: readonly Phase[], { seconds }: Phase): Phase[] {
  const cut: Phase[] = [];
  let leftS = seconds;
  for (const phase of own) {
    if (leftS <= 0) break;
    const takesS = Math.min(phase.seconds, leftS);
    cut.push({ ...phase, seconds: takesS });
    leftS -= takesS;
  }
  const last = cut.at(-1);
  return leftS > 1e-9 ? [...cut, { ...(last ?? noPhase), kind: 'rest', seconds: leftS }] : cut;
}

const noPhase: Phase = { kind: 'rest', seconds: 0, round: 1, turn: 1 };

/** A dose as often as a player comes to its station: what its sets and boxes are numbered by. */
export function overVisits(dose: Dose, { times }: Pick<CircuitPart, 'times'>): Dose {
  if (times === 1) return dose;
  if (dose.kind === 'reps') return { ...dose, sets: dose.sets * times };
  if (dose.kind === 'course') return { ...dose, rounds: dose.rounds * times };
  return dose;
}
