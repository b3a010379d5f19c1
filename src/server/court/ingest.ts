import { begunOf, isRecord, readBegun, underOf, type Begun } from '@/session/court/begun';
import { ruleOf, type TouchEvent } from '@/core/counting/event';
import { groupBy } from '@/core/base/group-by';
import { done, type Outcome } from '@/core/base/outcome';
import { hasLimits, strangeCounts } from '@/session/court/rebuild';
import type { Executor } from '@/data/database';
import {
  appendEvents,
  eventsOfBlocks,
  recordEvents,
  blockWorks,
  markStale,
  storedAs,
  type BlockWork,
} from '@/data/log';
import { moveSessionTo, startSessionsOf } from '@/data/session';
import { erasedIds } from '@/data/squad';
import { write } from '@/data/write';
import { checkBatch, refusedEvents, type Batch, type RefusedEvent } from '@/schemas/touches';
import { signatureOf } from '../base/actor';
import { latestMs, type Context } from '../base/context';
import { refreshSoon } from './results';

/** What became of a batch: all of it is stored, or nothing, with the events that stand in the way by their place in it. */
export type Ingested = Outcome<{ readonly stored: number }> & { readonly refused?: readonly RefusedEvent[] };

/**
 * Stores a batch of events: all of it or nothing. A batch that came before is no fault, it is stored once.
 * @param sessionId only blocks of this session are taken; without it those of any
 * @returns how many were new, or every event that is refused, and why
 */
export async function ingestTouches(
  context: Pick<Context, 'db' | 'nowMs' | 'actor'>,
  input: unknown,
  sessionId?: string,
): Promise<Ingested> {
  const checked = checkBatch(input, latestMs(context));
  if (!checked.ok) return checked;
  // Who sends a mark made it, unless it says whose it is.
  const by = signatureOf(context);
  const events = checked.value.events.map((event) => (event.by ? event : { ...event, by }));
  return storeBatch(context, { events }, sessionId);
}

/** Stores a batch whose events are sound. */
export async function storeBatch(
  context: Pick<Context, 'db' | 'nowMs'>,
  { events }: Batch,
  sessionId?: string,
): Promise<Ingested> {
  const outcome = await write(context.db, (tx) => storeIn(tx, context.nowMs, events, sessionId));
  if (outcome.ok && outcome.value.stored > 0) refreshSoon(context.db);
  return outcome;
}

/** Stores sound events in a transaction that may do more besides; results are for the caller to bring up to date. */
export async function storeIn(
  tx: Executor,
  nowMs: number,
  events: readonly TouchEvent[],
  sessionId?: string,
): Promise<Ingested> {
  const blockIds = [...new Set(events.map((event) => event.blockId))];
  const refused = await refusals(tx, events, blockIds, sessionId);
  if (refused.length > 0) return refusedEvents(refused, events.length);
  const stored = await appendEvents(tx, events);
  if (stored > 0) await markStale(tx, blockIds);
  // A block that was started without the server starts its session when the news arrives.
  const started = events.flatMap((event) => (event.kind === 'start' ? [event.blockId] : []));
  await heldAnotherDay(tx, events);
  if (started.length > 0) await startSessionsOf(tx, started, nowMs);
  return done({ stored });
}

/** A session that is run on another day than the one it was booked for is held on the day it is run. */
async function heldAnotherDay(tx: Executor, events: readonly TouchEvent[]): Promise<void> {
  for (const { kind, blockId, text } of events) {
    const day = kind === 'begun' ? readBegun(text)?.held?.day : undefined;
    if (day) await moveSessionTo(tx, blockId, day);
  }
}

/** Every event of a batch that cannot be stored, with a sentence that says why. */
async function refusals(
  tx: Executor,
  events: readonly TouchEvent[],
  blockIds: readonly string[],
  sessionId: string | undefined,
): Promise<RefusedEvent[]> {
  const [works, records, known] = await Promise.all([
    blockWorks(tx, blockIds, sessionId),
    recordEvents(tx, blockIds),
    storedAs(
      tx,
      events.map((event) => event.id),
    ),
  ]);
  const begun = recordsByBlock(records, events);
  const strange = events.some(
    ({ blockId, playerId }) => playerId !== null && !works.get(blockId)?.players.has(playerId),
  );
  const erased = new Set(strange ? await erasedIds(tx) : []);
  const stored = new Map(known.map((event) => [event.id, contentsOf(event)]));
  const inBatch = new Map<string, string>();

  const strangers = await strangeOf(tx, events, begun, stored);

  return events.flatMap<RefusedEvent>((event, index) => {
    const work = works.get(event.blockId);
    const refuse = (why: RefusedEvent['why'], message: string) => [{ index, id: event.id, why, message }];
    if (event.playerId !== null && (work?.erased.has(event.playerId) || erased.has(event.playerId)))
      return refuse('removed', 'is about a child who was removed for good');
    if (!work || (event.playerId !== null && !work.players.has(event.playerId)))
      return refuse('gone', 'names a block or player that is not in the plan (any more)');
    const same = stored.get(event.id);
    if (same !== undefined && same !== contentsOf(event))
      return refuse('contents', 'is stored already with other contents');
    const before = inBatch.get(event.id);
    if (before !== undefined && before !== contentsOf(event))
      return refuse('contents', 'comes twice in this batch, with other contents');
    inBatch.set(event.id, contentsOf(event));
    if (event.kind === 'begun') {
      const one = readBegun(event.text);
      if (!one) return refuse('unsound', 'does not say what the block is');
      return agrees(one, begun.get(event.blockId)![0])
        ? []
        : refuse('plan', 'begins a block that was begun under another plan');
    }
    if (event.kind === 'correct' && !readBegun(event.text))
      return refuse('unsound', 'does not say what the block was');
    const why = strangers.get(event.id);
    if (why !== undefined) return refuse('unsound', why);
    const binds = ruleOf(event.kind).underPlan !== false;
    if (event.under && binds && !expected(work, begun.get(event.blockId), event).includes(event.under))
      return refuse('plan', 'was made under another plan of its block');
    return [];
  });
}

/**
 * Counts of a batch that have no place in their blocks, with why. Only blocks whose dose sets an end, or that have zones,
 * are read for it: the others cost nothing.
 */
async function strangeOf(
  tx: Executor,
  events: readonly TouchEvent[],
  begun: ReadonlyMap<string, Records>,
  stored: ReadonlyMap<string, string>,
): Promise<ReadonlyMap<string, string>> {
  const counting = new Set(
    events.filter(({ kind }) => ruleOf(kind).count !== null).map(({ blockId }) => blockId),
  );
  const limited = [...counting].filter((id) => begun.has(id) && hasLimits(begun.get(id)![1]));
  if (limited.length === 0) return new Map();
  const before = groupBy(await eventsOfBlocks(tx, limited), (event) => event.blockId);
  const coming = groupBy(events, (event) => event.blockId);
  const found = limited.flatMap((id) => [
    ...strangeCounts(begun.get(id)![1], [...(before.get(id) ?? []), ...(coming.get(id) ?? [])]),
  ]);
  return new Map(found.filter(([id]) => !stored.has(id)));
}
/**
 * All an event says, as one text: an id that comes again must say the same. Not who made it: another coach may have
 * signed in on the device before it was sent once more.
 */
const contentsOf = (e: TouchEvent): string =>
  JSON.stringify([
    e.blockId,
    e.playerId,
    e.kind,
    e.attempt,
    // The database gives numbers back to fifteen digits.
    e.value === null ? null : Number(e.value.toPrecision(12)),
    e.ref,
    e.text ?? null,
    e.atMs,
    e.monoMs,
    e.device,
  ]);

/** What a block was begun as, and what it was corrected to where it was. */
type Records = readonly [first: Begun, now: Begun];

/**
 * The records of blocks. What is begun in a batch is what its other events were made under; a record that is stored
 * stands before one that comes.
 */
function recordsByBlock(
  stored: readonly TouchEvent[],
  coming: readonly TouchEvent[],
): ReadonlyMap<string, Records> {
  const records = groupBy([...stored, ...coming.filter(isRecord)], (event) => event.blockId);
  const before = groupBy(stored, (event) => event.blockId);
  const begun = ({ kind }: TouchEvent) => kind === 'begun';
  return new Map(
    [...records].flatMap(([blockId, all]) => {
      const first = begunOf((before.get(blockId) ?? []).filter(begun)) ?? begunOf(all.filter(begun));
      return first ? [[blockId, [first, begunOf(all) ?? first]] as const] : [];
    }),
  );
}

/** What a player does in a block: as it was begun or corrected or, before that, as it is planned. */
function expected(work: BlockWork, records: Records | undefined, event: TouchEvent): string[] {
  if (records) return records.map((record) => underOf({ ...record, own: record.players }, event.playerId));
  const own = [...work.players].flatMap(([playerId, stepId]) =>
    stepId === null ? [] : [{ playerId, stepId, amount: null, out: false }],
  );
  return [underOf({ ...work, own }, event.playerId)];
}

/** Do two records of one block mean the same for everybody's counts? */
function agrees(one: Begun, first: Begun): boolean {
  const ids = [...one.players, ...first.players].map((player) => player.playerId);
  const under = (begun: Begun, id: string | null) => underOf({ ...begun, own: begun.players }, id);
  return [null, ...ids].every((id) => under(one, id) === under(first, id));
}
