import { ulid } from 'ulid';
import { writeBegun } from '@/session/court/begun';
import type { TouchEvent } from '@/core/counting/event';
import type { Database, Executor } from '@/data/database';
import { factOf, giveFact } from '@/data/facts';
import { appendEvents, unrecordedBlocks } from '@/data/log';
import { write } from '@/data/write';
import { wholeRecords } from '../readers/held-records';

/** Who writes a record down that no device wrote. */
const device = 'server';

/**
 * Writes down what held blocks were, where no device did: in books of an earlier version, and where a helper counted in
 * a block that nobody began. From then on the plan and the drills can change without changing what was done.
 * @param sessionId only blocks of this session; without it all of them
 * @returns how many records were written
 */
export async function completeRecords(tx: Executor, sessionId?: string): Promise<number> {
  const lacking = await unrecordedBlocks(tx, sessionId);
  const records = await wholeRecords(
    tx,
    lacking.map((one) => one.blockId),
  );
  const events = lacking.flatMap<TouchEvent>(({ blockId, firstMs }) => {
    const record = records.get(blockId);
    if (!record) return [];
    const nothing = { playerId: null, value: null, ref: null, by: null, monoMs: 0, device };
    const text = writeBegun(record);
    return [{ ...nothing, id: ulid(firstMs), blockId, kind: 'begun', attempt: 1, text, atMs: firstMs }];
  });
  if (events.length > 0) await appendEvents(tx, events);
  return events.length;
}

/** Books of an earlier version are completed once. */
export async function upgradeRecords(db: Database): Promise<void> {
  if ((await factOf(db, 'records')) !== null) return;
  await write(db, async (tx) => {
    await completeRecords(tx);
    await giveFact(tx, 'records', 'whole');
  });
}
