import { writeBegun } from '@/session/court/begun';
import type { Book } from '@/drills';
import { sameShape } from '@/session/base/plan';
import type { WholeRecord } from '@/session/court/rebuild';
import type { TouchEvent } from '@/core/counting/event';
import { done, refused, type Outcome } from '@/core/base/outcome';
import type { Executor } from '@/data/database';
import { appendEvents, loggedBlocks, markStale, recordEvents } from '@/data/log';
import { getSession, playersOfSessions, updateSession } from '@/data/session';
import { write } from '@/data/write';
import { blockCorrectionSchema, dayCorrectionSchema } from '@/schemas/correction';
import { check } from '@/schemas/check';
import { signatureOf } from '../base/actor';
import type { Context } from '../base/context';
import { completeRecords } from '../court/complete-records';
import { refreshAttempts } from '../court/results';
import { bookFor } from '../readers/book';
import { wholeRecords } from '../readers/held-records';
import { unknownSession } from './sessions';

/** The events of a correction: what undoes it names them. */
export interface Corrected {
  readonly eventIds: readonly string[];
}

/**
 * Says what was really done in a block that was held. It is another line of the log: results follow it, decisions that
 * were made stay as they are, with the evidence they were made on.
 */
export async function correctBlock(
  context: Context,
  sessionId: string,
  input: unknown,
): Promise<Outcome<Corrected>> {
  const checked = check(blockCorrectionSchema, input);
  if (!checked.ok) return checked;
  const { blockId, changes, steps } = checked.value;
  return corrected(context, sessionId, async (tx) => {
    if (!(await loggedBlocks(tx, sessionId)).includes(blockId))
      return refused('blockId', 'This block was not held in this session: change it in the plan.');
    const record = (await wholeRecords(tx, [blockId])).get(blockId);
    if (!record) return refused('blockId', 'The drill of this block is not in the catalogue (any more).');
    const book = await bookFor(tx, record.held.coach);
    const coming = (await playersOfSessions(tx, [sessionId])).get(sessionId) ?? [];
    const off = steps.find(
      ({ playerId, stepId }) => !coming.includes(playerId) || !canBe(book, record, playerId, stepId),
    );
    if (off)
      return refused(
        'steps',
        `Step ${off.stepId} is counted in another way than this block, or its player was not there: choose another.`,
      );
    return done([{ blockId, record: { ...record, changes, players: withSteps(record, steps) } }]);
  });
}

/** Says on which day a session was really held. */
export async function correctDay(
  context: Context,
  sessionId: string,
  input: unknown,
): Promise<Outcome<Corrected>> {
  const checked = check(dayCorrectionSchema, input);
  if (!checked.ok) return checked;
  const { day } = checked.value;
  if (day > context.today) return refused('day', 'Day is still to come: a session was held today or before.');
  return corrected(context, sessionId, async (tx) => {
    const records = await wholeRecords(tx, await loggedBlocks(tx, sessionId));
    return done(
      [...records].map(([blockId, record]) => ({
        blockId,
        record: { ...record, held: { ...record.held, day } },
      })),
    );
  });
}

/** Takes a correction back. */
export async function undoCorrection(
  context: Context,
  sessionId: string,
  eventIds: readonly string[],
): Promise<Outcome<null>> {
  const outcome = await write(context.db, async (tx) => {
    const blockIds = await loggedBlocks(tx, sessionId);
    const asked = (await recordEvents(tx, blockIds)).filter(
      ({ id, kind }) => kind === 'correct' && eventIds.includes(id),
    );
    if (asked.length === 0 || asked.length !== eventIds.length)
      return refused('eventIds', 'This correction is not on record: reload the page.');
    await appendEvents(
      tx,
      asked.map(({ blockId, id }) => eventOf(context, blockId, { kind: 'undo', ref: id, text: null })),
    );
    await settled(tx, sessionId, [...new Set(asked.map((event) => event.blockId))]);
    return done(null);
  });
  if (outcome.ok) await refreshAttempts(context.db);
  return outcome;
}

interface Correction {
  readonly blockId: string;
  readonly record: WholeRecord;
}

async function corrected(
  context: Context,
  sessionId: string,
  make: (tx: Executor) => Promise<Outcome<readonly Correction[]>>,
): Promise<Outcome<Corrected>> {
  const outcome = await write(context.db, async (tx): Promise<Outcome<Corrected>> => {
    if (!(await getSession(tx, sessionId))) return unknownSession;
    // What was never written down is written down first: a correction that is undone must find it again.
    await completeRecords(tx, sessionId);
    const made = await make(tx);
    if (!made.ok) return made;
    const events = made.value.map(({ blockId, record }) =>
      eventOf(context, blockId, { kind: 'correct', ref: null, text: writeBegun(record) }),
    );
    await appendEvents(tx, events);
    await settled(
      tx,
      sessionId,
      made.value.map((one) => one.blockId),
    );
    return done({ eventIds: events.map((event) => event.id) });
  });
  if (outcome.ok) await refreshAttempts(context.db);
  return outcome;
}

/** What hangs on the records follows them: results, and the session's own day. */
async function settled(tx: Executor, sessionId: string, blockIds: readonly string[]): Promise<void> {
  await markStale(tx, blockIds);
  const [record] = (await wholeRecords(tx, blockIds)).values();
  if (record) await updateSession(tx, sessionId, { day: record.held.day });
}

/** An event of the server's own, made by the coach at the desk. */
const eventOf = (
  context: Context,
  blockId: string,
  fresh: Pick<TouchEvent, 'kind' | 'ref' | 'text'>,
): TouchEvent => ({
  id: context.newId(),
  blockId,
  playerId: null,
  attempt: 1,
  value: null,
  by: signatureOf(context),
  atMs: context.nowMs,
  monoMs: 0,
  device: 'server',
  ...fresh,
});

/** Everybody's part in a block with other steps; who came to it later gets a part in it, at the block's dose. */
function withSteps(
  { players }: WholeRecord,
  steps: readonly { readonly playerId: string; readonly stepId: string }[],
): WholeRecord['players'] {
  const said = new Map(steps.map(({ playerId, stepId }) => [playerId, stepId]));
  const later = steps.filter(({ playerId }) => !players.some((one) => one.playerId === playerId));
  return [
    ...players.map((player) => ({ ...player, stepId: said.get(player.playerId) ?? player.stepId })),
    ...later.map((one) => ({ ...one, amount: null, out: false, target: null, ball: null })),
  ];
}

/** Could a player have worked on a step in a block: is it on the ladder, counted and dosed in the same way? */
function canBe(
  book: Book,
  { drillId, stepId: shared }: WholeRecord,
  playerId: string,
  stepId: string,
): boolean {
  const [step, blocks] = [book.step(drillId, stepId, playerId), book.step(drillId, shared, playerId)];
  return step !== undefined && blocks !== undefined && sameShape(step, blocks);
}
