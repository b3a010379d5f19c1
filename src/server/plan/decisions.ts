import { decidedOn, writeEvidence } from '@/session/skill/evidence';
import { done, refused, type Outcome } from '@/core/base/outcome';
import { getSession } from '@/data/session';
import { getPlayers, putDecisions, putPlaces, type DecisionRow, type LadderPlaceRow } from '@/data/squad';
import { attemptsOfBlocks, blockWorks } from '@/data/log';
import type { Executor } from '@/data/database';
import { workedOut } from '../base/worked-out';
import { signatureOf } from '../base/actor';
import type { Context } from '../base/context';
import { proposalsIn } from '../readers/proposals';
import { skillUntil } from '../readers/skill';
import { refreshAttempts } from '../court/results';
import { check } from '@/schemas/check';
import { runBlocksByIds } from '../readers/blocks';
import { bookFor } from '../readers/book';
import { decisionsSchema, type DecisionForm } from '@/schemas/decision';
import { playerFacts } from '../readers/player-facts';

/**
 * Records what the coach decided about players after blocks of one session: all of it or nothing.
 * Deciding again replaces what was decided before.
 */
export async function decide(context: Context, input: unknown): Promise<Outcome<null>> {
  const checked = check(decisionsSchema, input);
  if (!checked.ok) return checked;
  const decisions = checked.value;
  await refreshAttempts(context.db);
  const blockIds = [...new Set(decisions.map((decision) => decision.blockId))];
  return workedOut(context.db, {
    basis: (db) => basisOf(db, blockIds),
    plan: (db) => rowsOf(context, db, decisions, blockIds),
    put: async (tx, rows) => {
      await putDecisions(tx, rows);
      await putPlaces(tx, placesAfter(rows));
      return done(null);
    },
  });
}

/** What decisions are made from: the blocks as they are held, and what was counted in them. */
async function basisOf(db: Executor, blockIds: readonly string[]): Promise<string> {
  const [blocks, attempts] = await Promise.all([
    runBlocksByIds(db, blockIds),
    attemptsOfBlocks(db, blockIds),
  ]);
  return JSON.stringify([blocks, attempts]);
}

/** Decisions with what they say and why. */
async function rowsOf(
  context: Context,
  tx: Executor,
  decisions: readonly DecisionForm[],
  blockIds: readonly string[],
): Promise<Outcome<DecisionRow[]>> {
  const blocks = new Map((await runBlocksByIds(tx, blockIds)).map((block) => [block.id, block]));
  const first = blocks.get(blockIds[0]!);
  const session = first && (await getSession(tx, first.sessionId));
  if (!session || blockIds.some((id) => blocks.get(id)?.sessionId !== session.id))
    return refused('blockId', 'A block is not on record in this session (any more): reload the page.');
  const book = await bookFor(tx, session.coach);
  const unknown = [...blocks.values()].find((block) => !book.step(block.drillId, block.stepId));
  if (unknown) return refused('blockId', `Drill ${unknown.drillId} is not in the catalogue (any more).`);
  const works = await blockWorks(tx, blockIds);
  if (decisions.some(({ blockId, playerId }) => !works.get(blockId)?.players.has(playerId)))
    return refused('playerId', 'A player was not in that block: reload the page.');

  const ids = [...new Set(decisions.map((decision) => decision.playerId))];
  const players = (await getPlayers(tx, ids)).map((player) => playerFacts(player, session.day));
  const attempts = await attemptsOfBlocks(tx, blockIds);
  const skill = await skillUntil(tx, session.day);
  const judging = { book, skill, session, blocks: [...blocks.values()], players, attempts };
  const proposalFor = await proposalsIn(tx, judging);
  const playerOf = new Map(players.map((player) => [player.id, player]));
  const decided = decisions.map((decision) => ({
    decision,
    proposal: proposalFor(blocks.get(decision.blockId)!, playerOf.get(decision.playerId)!)!,
  }));
  const decidedAtMs = context.nowMs;
  const nowhere = decided.find(
    ({ decision: { verdict }, proposal: { work, leads } }) =>
      verdict !== 'hold' && leads[verdict].stepId === work.step.id,
  )?.decision;
  if (nowhere)
    return refused(
      'verdict',
      nowhere.verdict === 'back'
        ? 'This is the first step of its ladder: there is none to go back to. Choose stay, or make it easier.'
        : 'This is the top step of its ladder: there is none above it. Choose stay, or another drill.',
    );
  const rows = decided.map<DecisionRow>(({ decision, proposal }) => {
    const { blockId, playerId, verdict, target } = decision;
    const { work, judged, schools, onStep, leads } = proposal;
    const { drill, step } = work;
    const { byDefault } = schools;
    const results = onStep.map((one) => one.result);
    const overridden = byDefault.verdict !== verdict || (verdict === 'hold' && byDefault.target !== target);
    const nextStepId = leads[verdict].stepId;
    const reason = overridden ? `The coach’s choice. Proposed: ${byDefault.reason}` : byDefault.reason;
    return {
      blockId,
      playerId,
      drillId: drill.id,
      stepId: step.id,
      verdict,
      nextStepId,
      target,
      reason,
      evidence: writeEvidence(decidedOn(judged, byDefault, results)),
      overridden,
      decidedAtMs,
      by: signatureOf(context),
    };
  });
  return done(rows);
}

/** Where players stand after decisions. Two blocks of one drill in a session: the later one decides. */
const placesAfter = (rows: readonly DecisionRow[]): LadderPlaceRow[] =>
  rows.map(({ playerId, drillId, nextStepId, target, reason, decidedAtMs }) => ({
    playerId,
    drillId,
    stepId: nextStepId,
    target,
    sinceMs: decidedAtMs,
    why: reason,
  }));
