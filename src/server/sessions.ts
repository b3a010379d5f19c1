import { done, refused, type Outcome } from '@/core/outcome';
import type { Executor } from '@/data/client';
import {
  blocksByIds,
  blocksOfSessions,
  getSession,
  insertSession,
  loggedPairs,
  playersOfSessions,
  putBlockPlayers,
  putBlocks,
  setSessionPlayers,
  updateSession,
  type SessionRow,
} from '@/data/session';
import { getPlayers, placesOf } from '@/data/squad';
import { write } from '@/data/write';
import type { Context } from './context';
import { refreshAttempts } from './results';
import { check } from './schemas/check';
import { planBlock } from './views/session-plan';
import { planSchema, sessionSchema, type PlanForm } from './schemas/session';

const unknownSession = refused(
  'session',
  'This session is not on record (any more): go back to the sessions.',
);

/** Books a session with the players who are coming; its plan is empty at first. */
export async function createSession(context: Context, input: unknown): Promise<Outcome<{ id: string }>> {
  const checked = check(sessionSchema, input);
  if (!checked.ok) return checked;
  const { playerIds, ...fields } = checked.value;
  return write(context.db, async (tx) => {
    const missing = await missingPlayers(tx, playerIds);
    if (missing) return missing;
    const id = context.newId();
    await insertSession(tx, id, fields, context.nowMs);
    await setSessionPlayers(tx, id, playerIds);
    return done({ id });
  });
}

/**
 * Saves a whole plan, if it was made from the newest revision. Nothing that has counts can be taken out of it.
 */
export async function savePlan(
  context: Context,
  id: string,
  input: unknown,
): Promise<Outcome<{ revision: number }>> {
  const checked = check(planSchema, input);
  if (!checked.ok) return checked;
  const { playerIds, blocks, revision, ...fields } = checked.value;
  return write(context.db, async (tx) => {
    const session = await getSession(tx, id);
    if (!session) return unknownSession;
    const problem =
      stale(session, revision) ??
      (await missingPlayers(tx, playerIds)) ??
      (await countsAtRisk(tx, id, checked.value));
    if (problem) return problem;
    await updateSession(tx, id, { ...fields, revision: revision + 1 });
    await setSessionPlayers(tx, id, playerIds);
    await putBlocks(
      tx,
      id,
      blocks.map((block, position) => ({
        ...block,
        sessionId: id,
        position,
        dose: JSON.stringify(block.dose),
      })),
    );
    await putTargets(tx, playerIds, blocks);
    return done({ revision: revision + 1 });
  });
}

/** A plan as it stands on record, in the form it is saved in. */
export async function loadPlan({ db }: Context, id: string): Promise<Outcome<PlanForm>> {
  const session = await getSession(db, id);
  if (!session) return unknownSession;
  const [players, rows] = await Promise.all([playersOfSessions(db, [id]), blocksOfSessions(db, [id])]);
  const { title, day, startTime, bookedMin, coach, placeName, revision } = session;
  const blocks = rows.map(planBlock);
  return done({
    title,
    day,
    startTime,
    bookedMin,
    coach,
    placeName,
    revision,
    playerIds: players.get(id) ?? [],
    blocks,
  });
}

/** Each player's own target in each block: what was decided the last time they were judged on that step. */
async function putTargets(
  tx: Executor,
  playerIds: readonly string[],
  blocks: PlanForm['blocks'],
): Promise<void> {
  const places = await placesOf(tx, playerIds);
  for (const block of blocks) {
    const targetOf = (playerId: string) =>
      places.find(
        (place) =>
          place.playerId === playerId && place.drillId === block.drillId && place.stepId === block.stepId,
      )?.target ?? null;
    await putBlockPlayers(
      tx,
      block.id,
      playerIds.map((playerId) => ({ playerId, target: targetOf(playerId) })),
    );
  }
}

async function missingPlayers(tx: Executor, ids: readonly string[]): Promise<Outcome<never> | null> {
  const known = new Set((await getPlayers(tx, ids)).map((player) => player.id));
  return ids.every((id) => known.has(id))
    ? null
    : refused(
        'playerIds',
        'Players: somebody on the list is not on record (any more); reload the page and tick again.',
      );
}

function stale(session: SessionRow, revision: number): Outcome<never> | null {
  return session.revision === revision
    ? null
    : refused(
        'revision',
        'This plan was changed in another window. Yours is still on this screen: keep yours, or take the other one.',
      );
}

/** Refuses a plan that would take away blocks or players with counts, or lay hands on another session's blocks. */
async function countsAtRisk(tx: Executor, id: string, plan: PlanForm): Promise<Outcome<never> | null> {
  const foreign = (
    await blocksByIds(
      tx,
      plan.blocks.map((block) => block.id),
    )
  ).some((block) => block.sessionId !== id);
  if (foreign) return refused('blocks', 'A block of this plan belongs to another session: reload the page.');
  const blockIds = new Set(plan.blocks.map((block) => block.id));
  for (const { blockId, playerId } of await loggedPairs(tx, id)) {
    if (!blockIds.has(blockId))
      return refused(
        'blocks',
        'A block with counts was taken out: put it back (Undo) or leave it; counts are never thrown away.',
      );
    if (playerId !== null && !plan.playerIds.includes(playerId))
      return refused(
        'playerIds',
        'A player with counts was taken out: put them back (Undo); counts are never thrown away.',
      );
  }
  return null;
}

/** Starts a session; starting a running one again changes nothing. */
export async function startSession(context: Context, id: string): Promise<Outcome<null>> {
  return write(context.db, async (tx) => {
    const session = await getSession(tx, id);
    if (!session) return unknownSession;
    if (session.state !== 'running')
      await updateSession(tx, id, {
        state: 'running',
        startedAtMs: session.startedAtMs ?? context.nowMs,
        finishedAtMs: null,
      });
    return done(null);
  });
}

/** Ends a session and brings its results up to date. */
export async function finishSession(context: Context, id: string): Promise<Outcome<null>> {
  const ended = await write(context.db, async (tx) => {
    if (!(await getSession(tx, id))) return unknownSession;
    await updateSession(tx, id, { state: 'finished', finishedAtMs: context.nowMs });
    return done(null);
  });
  if (ended.ok) await refreshAttempts(context.db);
  return ended;
}

/** Takes a session off the list, or back on it. */
export async function removeSession(context: Context, id: string, removed: boolean): Promise<Outcome<null>> {
  return write(context.db, async (tx) => {
    if (!(await getSession(tx, id))) return unknownSession;
    await updateSession(tx, id, { removedAtMs: removed ? context.nowMs : null });
    return done(null);
  });
}
