import { findDrill, findStep, neighbourStep } from '@/catalogue';
import { gateFor, judgedOn } from '@/catalogue/gate';
import type { PlanBlock } from '@/catalogue/plan';
import type { Drill, Step } from '@/catalogue/types';
import type { Verdict } from '@/core/skill/next-target';
import { nextTargets } from '@/core/skill/next-target';
import { measures } from '@/core/counting/measure';
import { done, refused, type Outcome } from '@/core/outcome';
import { evidenceOn, type JudgedStep } from '@/data/results';
import { blocksByIds, getSession } from '@/data/session';
import { putDecisions, putPlaces, type DecisionRow, type LadderPlaceRow } from '@/data/squad';
import { knownPairs } from '@/data/log';
import { write } from '@/data/write';
import type { Context } from './context';
import { recentSince } from './days';
import { refreshAttempts } from './results';
import { check } from './schemas/check';
import { planBlock } from './views/session-plan';
import { decisionsSchema } from './schemas/decision';

/** The steps of blocks, as they are judged under their doses; blocks no longer in the catalogue are left out. */
export function judgedSteps(blocks: readonly PlanBlock[]): JudgedStep[] {
  return blocks.flatMap(({ id, drillId, stepId, dose }) => {
    const step = findStep(drillId, stepId);
    if (!step) return [];
    const { lowerIsBetter } = measures[step.measure];
    return [{ key: id, drillId, stepId, gate: gateFor(step, dose).result, lowerIsBetter }];
  });
}

/** The step a verdict leads to. */
export function stepAfter(drill: Drill, stepId: string, verdict: Verdict): Step {
  const step = drill.steps.find((s) => s.id === stepId)!;
  return verdict === 'hold' ? step : neighbourStep(drill, stepId, verdict === 'up' ? 1 : -1);
}

/**
 * Records what the coach decided about players after blocks of one session: all of it or nothing.
 * Deciding again replaces what was decided before.
 */
export async function decide(context: Context, input: unknown): Promise<Outcome<null>> {
  const checked = check(decisionsSchema, input);
  if (!checked.ok) return checked;
  const decisions = checked.value;
  await refreshAttempts(context.db);
  return write(context.db, async (tx) => {
    const blockIds = [...new Set(decisions.map((decision) => decision.blockId))];
    const blocks = new Map((await blocksByIds(tx, blockIds)).map((block) => [block.id, block]));
    const first = blocks.get(blockIds[0]!);
    const session = first && (await getSession(tx, first.sessionId));
    if (!session || blockIds.some((id) => blocks.get(id)?.sessionId !== session.id))
      return refused('blockId', 'A block is not on record in this session (any more): reload the page.');
    const unknown = [...blocks.values()].find((block) => !findStep(block.drillId, block.stepId));
    if (unknown) return refused('blockId', `Drill ${unknown.drillId} is not in the catalogue (any more).`);
    const pairs = await knownPairs(tx, blockIds);
    if (decisions.some(({ blockId, playerId }) => !pairs.has(`${blockId} ${playerId}`)))
      return refused('playerId', 'A player was not in that block: reload the page.');

    const players = [...new Set(decisions.map((decision) => decision.playerId))];
    const planned = new Map([...blocks.values()].map((block) => [block.id, planBlock(block)]));
    const evidence = await evidenceOn(
      tx,
      players,
      judgedSteps([...planned.values()]),
      session,
      recentSince(session.day),
    );
    const decidedAtMs = context.nowMs;
    const rows = decisions.map<DecisionRow>(({ blockId, playerId, verdict, target }) => {
      const { drillId, stepId, dose } = planned.get(blockId)!;
      const drill = findDrill(drillId)!;
      const step = findStep(drillId, stepId)!;
      const shown = evidence.find((one) => one.key === blockId && one.playerId === playerId);
      const { byDefault } = nextTargets(judgedOn(drill, step, dose, shown));
      const overridden = byDefault.verdict !== verdict || (verdict === 'hold' && byDefault.target !== target);
      const nextStepId = stepAfter(drill, stepId, verdict).id;
      const reason = overridden ? `The coach’s choice. Proposed: ${byDefault.reason}` : byDefault.reason;
      return {
        blockId,
        playerId,
        drillId,
        stepId,
        verdict,
        nextStepId,
        target,
        reason,
        overridden,
        decidedAtMs,
      };
    });
    await putDecisions(tx, rows);
    // Two blocks of one drill in a session: the later one decides where the player stands.
    const places = rows.map<LadderPlaceRow>(({ playerId, drillId, nextStepId, target, reason }) => ({
      playerId,
      drillId,
      stepId: nextStepId,
      target,
      sinceMs: decidedAtMs,
      why: reason,
    }));
    await putPlaces(tx, places);
    return done(null);
  });
}
