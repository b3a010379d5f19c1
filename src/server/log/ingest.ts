import { begunOf, readBegun, underOf, type Begun } from '@/session/begun';
import { isMadeUnder, type TouchEvent } from '@/core/counting/event';
import { done, type Outcome } from '@/core/outcome';
import type { Executor } from '@/data/database';
import { appendEvents, begunRecords, blockWorks, markStale, storedAs, type BlockWork } from '@/data/log';
import { startSessionsOf } from '@/data/session';
import { write } from '@/data/write';
import { checkBatch, refusedEvents, type Batch, type RefusedEvent } from '@/schemas/touches';
import { latestMs, type Context } from '../context';
import { refreshSoon } from './results';

/** What became of a batch: all of it is stored, or nothing, with the events that stand in the way by their place in it. */
export type Ingested = Outcome<{ readonly stored: number }> & { readonly refused?: readonly RefusedEvent[] };

/**
 * Stores a batch of events: all of it or nothing. A batch that came before is no fault, it is stored once.
 * @param sessionId only blocks of this session are taken; without it those of any
 * @returns how many were new, or every event that is refused, and why
 */
export async function ingestTouches(
  context: Pick<Context, 'db' | 'nowMs'>,
  input: unknown,
  sessionId?: string,
): Promise<Ingested> {
  const checked = checkBatch(input, latestMs(context));
  return checked.ok ? storeBatch(context, checked.value, sessionId) : checked;
}

/** Stores a batch whose events are sound. */
export async function storeBatch(
  context: Pick<Context, 'db' | 'nowMs'>,
  { events }: Batch,
  sessionId?: string,
): Promise<Ingested> {
  const blockIds = [...new Set(events.map((event) => event.blockId))];
  const outcome = await write(context.db, async (tx): Promise<Ingested> => {
    const refused = await refusals(tx, events, blockIds, sessionId);
    if (refused.length > 0) return refusedEvents(refused, events.length);
    const stored = await appendEvents(tx, events);
    if (stored > 0) await markStale(tx, blockIds);
    // A block that was started without the server starts its session when the news arrives.
    const started = events.flatMap((event) => (event.kind === 'start' ? [event.blockId] : []));
    if (started.length > 0) await startSessionsOf(tx, started, context.nowMs);
    return done({ stored });
  });
  if (outcome.ok && outcome.value.stored > 0) refreshSoon(context.db);
  return outcome;
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
    begunRecords(tx, blockIds),
    storedAs(
      tx,
      events.map((event) => event.id),
    ),
  ]);
  const begun = new Map<string, Begun>();
  const learn = (blockId: string, one: Begun | null) => {
    if (one && !begun.has(blockId)) begun.set(blockId, one);
  };
  for (const { blockId, text } of records) learn(blockId, readBegun(text));
  // What is begun in this batch is what its other events were made under.
  const fresh = events.filter((event) => event.kind === 'begun').sort((a, b) => (a.id < b.id ? -1 : 1));
  for (const event of fresh) learn(event.blockId, begunOf([event]));
  const stored = new Map(known.map((event) => [event.id, contentsOf(event)]));

  return events.flatMap<RefusedEvent>((event, index) => {
    const work = works.get(event.blockId);
    const refuse = (why: RefusedEvent['why'], message: string) => [{ index, id: event.id, why, message }];
    if (!work || (event.playerId !== null && !work.players.has(event.playerId)))
      return refuse('gone', 'names a block or player that is not in the plan (any more)');
    const same = stored.get(event.id);
    if (same !== undefined && same !== contentsOf(event))
      return refuse('contents', 'is stored already with other contents');
    if (event.kind === 'begun') {
      const one = readBegun(event.text);
      if (!one) return refuse('unsound', 'does not say what the block is');
      return agrees(one, begun.get(event.blockId)!)
        ? []
        : refuse('plan', 'begins a block that was begun under another plan');
    }
    const binds = isMadeUnder(event.kind) || event.kind === 'undo';
    if (event.under && binds && event.under !== expected(work, begun, event))
      return refuse('plan', 'was made under another plan of its block');
    return [];
  });
}

/** All an event says, as one text: an id that comes again must say the same. */
const contentsOf = (e: TouchEvent): string =>
  JSON.stringify([
    e.blockId,
    e.playerId,
    e.kind,
    e.attempt,
    e.value,
    e.ref,
    e.text ?? null,
    e.by ?? null,
    e.atMs,
    e.monoMs,
    e.device,
  ]);

/** What a player does in a block, as it was begun or, before that, as it is planned. */
function expected(work: BlockWork, begun: ReadonlyMap<string, Begun>, event: TouchEvent): string {
  const record = begun.get(event.blockId);
  if (record) return underOf({ ...record, own: record.players }, event.playerId);
  const own = [...work.players].flatMap(([playerId, stepId]) =>
    stepId === null ? [] : [{ playerId, stepId, amount: null, out: false }],
  );
  return underOf({ ...work, own }, event.playerId);
}

/** Do two records of one block mean the same for everybody's counts? */
function agrees(one: Begun, first: Begun): boolean {
  const ids = [...one.players, ...first.players].map((player) => player.playerId);
  const under = (begun: Begun, id: string | null) => underOf({ ...begun, own: begun.players }, id);
  return [null, ...ids].every((id) => under(one, id) === under(first, id));
}
