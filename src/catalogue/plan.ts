import type { Dose } from '@/core/dose/dose';
import { planTime, type PlannedBlock, type PlanTime } from '@/core/planning/plan-time';
import type { TouchRecord } from '@/core/skill/success-rate';
import { findDrill, findStep } from '.';
import { paceOn } from './pace';

/** A block of a plan: so much of one step of a drill. */
export interface PlanBlock {
  readonly id: string;
  readonly drillId: string;
  readonly stepId: string;
  readonly dose: Dose;
}

/** Touches and drops of players by drill and step, as one flat list: it travels to the screen as it is. */
export type Records = readonly (readonly [
  playerId: string,
  drillId: string,
  stepId: string,
  touches: number,
  drops: number,
])[];

/** One player's record on one step. */
export function recordOf(
  records: Records,
  playerId: string,
  drillId: string,
  stepId: string,
): TouchRecord | undefined {
  const found = records.find((r) => r[0] === playerId && r[1] === drillId && r[2] === stepId);
  return found && { touches: found[3], drops: found[4] };
}

/** A plan of catalogue steps as time and touches; blocks of drills no longer in the catalogue are left out. */
export function timePlan(
  blocks: readonly PlanBlock[],
  playerIds: readonly string[],
  records: Records,
  bookedMin: number,
): PlanTime {
  const planned = blocks.flatMap<PlannedBlock>((block) => {
    const drill = findDrill(block.drillId);
    const step = findStep(block.drillId, block.stepId);
    if (!drill || !step || playerIds.length === 0) return [];
    const players = playerIds.map((playerId) => ({
      playerId,
      pace: paceOn(drill, step, recordOf(records, playerId, drill.id, step.id)),
    }));
    return [{ id: block.id, dose: block.dose, players }];
  });
  return planTime(planned, bookedMin * 60);
}
