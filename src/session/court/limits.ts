import type { Conditions } from '@/core/counting/conditions';
import { limitsOfDose, noLimits, type AttemptLimits } from '@/core/counting/limits';
import type { Measure } from '@/core/counting/measure';
import { withAmount } from '@/core/dose/amount';
import type { Dose } from '@/core/dose/dose';
import { leastLapS } from '@/core/counting/doubtful';
import { ageBandOf } from '@/drills/base/age-band';
import { changedDose } from '@/drills/base/changes';
import type { Step, Zone } from '@/drills/base/types';
import type { Begun } from './begun';
import { ladderFor, type HeldStep } from '../base/held';
import { leastLapOf, mostOf } from '../base/goals';
import type { Work } from '../base/plan';

/** What an attempt can be under what has been adjusted on court. */
export type LimitsUnder = (conditions: Conditions) => AttemptLimits;

interface Planned {
  readonly stepId: string;
  readonly measure: Measure;
  /** As it was planned: what is shortened on court takes nothing away from what was counted before. */
  readonly dose: Dose;
  readonly zonesOf: (stepId: string) => readonly Zone[] | null | undefined;
  readonly leastS: number;
  /** At home more than the dose may be done, and of old in one attempt. */
  readonly home: boolean;
}

/**
 * Limits from what was planned. On another step, or under changes put on or taken off on court, the dose is another one, which a
 * log does not say: only the zones and the least lap hold there.
 */
function limitsFrom({ stepId, measure, dose, zonesOf, leastS, home }: Planned): LimitsUnder {
  return (conditions) => {
    const at = conditions.stepId ?? stepId;
    const points = zonesOf(at)?.map((zone) => zone.points) ?? null;
    const changed = conditions.on.length > 0 || conditions.off.length > 0;
    if (at !== stepId || changed || home) return { ...noLimits, points, leastS };
    return limitsOfDose(dose, measure, points, leastS);
  };
}

/** What a player’s attempts can be in a block on court. @param work as it was planned, before anything was adjusted */
export const limitsOnCourt = ({ drill, step, dose }: Work, age: number): LimitsUnder =>
  limitsFrom({
    stepId: step.id,
    measure: step.measure,
    dose,
    home: false,
    zonesOf: (id) => (id === step.id ? step : drill.steps.find((one) => one.id === id))?.zones,
    leastS: leastLapOf(drill.steps, age),
  });

/** The same from a block’s record alone. @param step the one the player worked on when it was begun */
export function limitsOfRecord(record: Begun, playerId: string, step: HeldStep): LimitsUnder {
  const own = record.players.find((one) => one.playerId === playerId);
  const amount = own && own.stepId === step.id ? own.amount : null;
  return limitsFrom({
    stepId: step.id,
    measure: step.measure,
    dose: changedDose(withAmount(record.dose, amount), record.changes),
    zonesOf: (id) => record.scoring.zones[id],
    leastS: record.held ? leastLapS(marksOfLaps(record.held, playerId)) : 0,
    home: record.held?.home === true,
  });
}

/** The marks of a ladder’s laps at a player’s age; those of all ages there were, where it is not known. */
const marksOfLaps = (held: NonNullable<Begun['held']>, playerId: string): number[] =>
  ladderFor(held, playerId).flatMap(({ measure, marks }) => {
    if (measure !== 'lap') return [];
    const age = held.ages[playerId];
    const own = age === undefined ? undefined : marks[ageBandOf(age)];
    return (own ? [own] : Object.values(marks)).map(({ result }) => result);
  });

/** The highest result that can be typed for one attempt: what the dose allows, and what fits into its time. */
export function mostTyped(step: Step, dose: Dose): number {
  if (dose.kind === 'row')
    return Math.max(dose.target, mostOf(step, { kind: 'timed', rounds: 1, workS: dose.capS, restS: 0 }));
  const { measure } = step;
  return measure === 'lap' || measure === 'steadiness' ? Infinity : mostOf(step, dose);
}
