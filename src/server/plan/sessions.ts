import { makeBook } from '@/drills';
import { settled } from '@/session/plan/settled';
import { asBegun } from '@/session/court/begun';
import type { PlanBlock } from '@/session/base/plan';
import { done, refused, type Outcome } from '@/core/base/outcome';
import type { Executor } from '@/data/database';
import {
  blocksByIds,
  countedAreHere,
  getSession,
  insertSession,
  loggedPairs,
  playersOfSessions,
  setSessionPlayers,
  updateSession,
  type SessionFields,
  type SessionRow,
} from '@/data/session';
import { getPattern } from '@/data/patterns';
import { getPlace } from '@/data/places';
import { getPlayers } from '@/data/squad';
import { write } from '@/data/write';
import type { Context } from '../base/context';
import { completeRecords } from '../court/complete-records';
import { refreshAttempts } from '../court/results';
import { check } from '@/schemas/check';
import { asPlanForm, begunBlocks, plannedBlocks, runBlocks } from '../readers/blocks';
import { bookContents } from '../readers/book';
import { patternBlocks, unknownPattern } from '../readers/patterns';
import { playerFacts } from '../readers/player-facts';
import { changesHistory, keptAsHeld } from './held-plan';
import { placeAgain } from './place-again';
import { putPlan } from './put-plan';
import { sessionSchema } from '@/schemas/booking';
import { planSchema, type PlanForm } from '@/schemas/session';

export const unknownSession = refused(
  'session',
  'This session is not on record (any more): go back to the sessions.',
);

/** Books a session with the players who are coming; its plan is a pattern's, or empty at first. */
export async function createSession(context: Context, input: unknown): Promise<Outcome<{ id: string }>> {
  const checked = check(sessionSchema, input);
  if (!checked.ok) return checked;
  const { playerIds, patternId, ...fields } = checked.value;
  const contents = await bookContents(context.db);
  return write(context.db, async (tx) => {
    const missing = await missingPlayers(tx, playerIds);
    if (missing) return missing;
    const id = context.newId();
    const unknown = await missingPlace(tx, fields.placeId);
    if (unknown) return unknown;
    const pattern = patternId === null ? undefined : await getPattern(tx, patternId);
    if (patternId !== null && !pattern) return unknownPattern;
    await insertSession(tx, id, await withPlaceName(tx, fields), context.nowMs);
    await setSessionPlayers(tx, id, playerIds);
    if (pattern) {
      const players = (await getPlayers(tx, playerIds)).map((one) => playerFacts(one, fields.day));
      await placeAgain(tx, context, makeBook(contents, fields.coach), id, players, patternBlocks(pattern));
    }
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
  const contents = await bookContents(context.db);
  const checked = check(planSchema(makeBook(contents)), input);
  if (!checked.ok) return checked;
  const { playerIds, blocks: sent, revision, saveId = null, unanswered, ...fields } = checked.value;
  const book = makeBook(contents, fields.coach);
  return write(context.db, async (tx) => {
    const session = await getSession(tx, id);
    if (!session) return unknownSession;
    // The answer to this very save was lost on its way: it is done, and is not done again.
    if (saveId !== null && session.savedAs === saveId) return done({ revision: session.revision });
    // The last save on record is one of this screen's own, whose answer was lost: it goes on from there.
    const goesOn = session.savedAs !== null && unanswered.includes(session.savedAs);
    const from = goesOn ? session.revision : revision;
    const stored = await plannedBlocks(tx, [id]);
    const begun = await begunBlocks(
      tx,
      stored.map((block) => block.id),
    );
    const blocks = settled(sent as readonly PlanBlock[], playerIds).map((block) =>
      keptAsHeld(block, begun.get(block.id)),
    );
    const problem =
      stale(session, from) ??
      (await missingPlace(tx, fields.placeId)) ??
      (await missingPlayers(tx, playerIds)) ??
      changesHistory(
        { ...fields, blocks: settled(sent as readonly PlanBlock[], playerIds) },
        session,
        stored,
        begun,
      ) ??
      (await countsAtRisk(
        tx,
        id,
        { ...checked.value, blocks },
        // A block may have been begun under an earlier plan than the one on record.
        stored.map((block) => asBegun(block, begun.get(block.id) ?? null)),
      ));
    if (problem) return problem;
    await updateSession(tx, id, {
      ...(await withPlaceName(tx, fields)),
      revision: from + 1,
      savedAs: saveId,
    });
    await setSessionPlayers(tx, id, playerIds);
    await putPlan(tx, book, id, playerIds, blocks);
    return done({ revision: from + 1 });
  });
}

/** A plan as it stands on record, in the form it is saved in: what was held, as it was. */
export async function loadPlan({ db }: Context, id: string): Promise<Outcome<PlanForm>> {
  const session = await getSession(db, id);
  if (!session) return unknownSession;
  const [players, blocks] = await Promise.all([playersOfSessions(db, [id]), runBlocks(db, [id])]);
  const { title, day, startTime, bookedMin, coach, placeName, placeId, airC, revision } = session;
  return done({
    title,
    day,
    startTime,
    bookedMin,
    coach,
    placeName,
    placeId,
    airC,
    revision,
    playerIds: players.get(id) ?? [],
    blocks: blocks.map(asPlanForm),
  });
}

/** A session held at a place of the list is called by that place's name. */
async function withPlaceName<T extends SessionFields>(tx: Executor, fields: T): Promise<T> {
  const place = fields.placeId === null ? undefined : await getPlace(tx, fields.placeId);
  return place ? { ...fields, placeName: place.name } : fields;
}

async function missingPlace(tx: Executor, placeId: string | null): Promise<Outcome<never> | null> {
  if (placeId === null || (await getPlace(tx, placeId))) return null;
  return refused('placeId', 'Place is not on the list (any more): choose another one.');
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
async function countsAtRisk(
  tx: Executor,
  id: string,
  plan: PlanForm,
  now: readonly PlanBlock[],
): Promise<Outcome<never> | null> {
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
    if (
      playerId !== null &&
      !sameWork(
        now.find((block) => block.id === blockId),
        plan,
        blockId,
        playerId,
      )
    )
      return refused(
        'blocks',
        'A player’s step in a block with counts was changed, or they sit it out now: put it back (Undo); counts stay with the step they were made on.',
      );
  }
  return null;
}

/** Does a player with counts keep the step they were counted on? */
function sameWork(before: PlanBlock | undefined, plan: PlanForm, blockId: string, playerId: string): boolean {
  const after = plan.blocks.find((block) => block.id === blockId)!;
  const stepIn = (block: Pick<PlanBlock, 'stepId' | 'own'>) =>
    block.own.find((one) => one.playerId === playerId)?.stepId ?? block.stepId;
  const out = after.own?.find((one) => one.playerId === playerId)?.out ?? false;
  return (
    !before || (before.drillId === after.drillId && stepIn(before) === stepIn(after as PlanBlock) && !out)
  );
}

/** Ends a session and brings its results up to date. */
export async function finishSession(context: Context, id: string): Promise<Outcome<null>> {
  const ended = await write(context.db, async (tx) => {
    if (!(await getSession(tx, id))) return unknownSession;
    await updateSession(tx, id, { state: 'finished', finishedAtMs: context.nowMs });
    // What a helper counted in a block nobody began is written down as it is planned now.
    await completeRecords(tx, id);
    await countedAreHere(tx, id, context.nowMs);
    return done(null);
  });
  if (ended.ok) await refreshAttempts(context.db);
  return ended;
}

/** Moves a session that is planned for another day to today; one that was begun stays where it is. */
export async function runToday(context: Context, id: string): Promise<Outcome<null>> {
  return write(context.db, async (tx) => {
    const session = await getSession(tx, id);
    if (!session) return unknownSession;
    if (session.state === 'planned' && session.day !== context.today)
      await updateSession(tx, id, { day: context.today, revision: session.revision + 1 });
    return done(null);
  });
}

/** Takes a session off the list, or back on it. */
export async function removeSession(context: Context, id: string, removed: boolean): Promise<Outcome<null>> {
  return write(context.db, async (tx) => {
    if (!(await getSession(tx, id))) return unknownSession;
    await updateSession(tx, id, { removedAtMs: removed ? context.nowMs : null });
    return done(null);
  });
}
