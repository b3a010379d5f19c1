import fc from 'fast-check';
import { sql } from 'drizzle-orm';
import type { TouchEvent } from '@/core/counting/event';
import { tally } from '@/core/counting/tally';
import { attemptsOfBlocks, eventsOfBlocks } from '@/data/log';
import { ingestTouches } from './ingest';
import { refreshAttempts } from './results';
import { eventsOf, ids, oneBlockSession, scratch, value } from '../testing/scratch';

let box: Awaited<ReturnType<typeof scratch>>;
beforeEach(async () => (box = await scratch()));
afterEach(() => box.close());

test('however a log is cut into batches, mixed and sent again, the attempts are those of the log', async () => {
  const { context } = box;
  const { block, playerIds } = await oneBlockSession(context);
  const player = playerIds[0]!;
  let seed = 0;
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.constantFrom('x', 'x', 'x', '-', 'u'), { minLength: 1, maxLength: 30 }),
      fc.array(fc.nat(29), { maxLength: 12 }),
      fc.integer({ min: 1, max: 9 }),
      async (marks, again, size) => {
        await context.db.run(sql`delete from attempt`);
        await context.db.run(sql`delete from touch_event`);
        // An undo needs something before it.
        const events = eventsOf(`x${marks.join('')}`, block.id, player, ids(++seed));
        const sent = [...events, ...again.flatMap((n) => events[n] ?? [])].reverse();
        for (let from = 0; from < sent.length; from += size) {
          value(await ingestTouches(context, { events: sent.slice(from, from + size) }));
          if (from % 2 === 0) await refreshAttempts(context.db);
        }
        await refreshAttempts(context.db);
        const kept = (await attemptsOfBlocks(context.db, [block.id])).map(({ result, touches, drops }) => ({
          result,
          touches,
          drops,
        }));
        const wanted = tally(events, 'row').attempts.map(({ result, touches, drops }) => ({
          result,
          touches,
          drops,
        }));
        expect(kept).toEqual(wanted);
      },
    ),
    { numRuns: 40 },
  );
});

test('eight devices at once: every touch is there once', async () => {
  const { context } = box;
  const { block, playerIds } = await oneBlockSession(context);
  const devices = Array.from({ length: 8 }, (_, n) =>
    eventsOf('x'.repeat(40), block.id, playerIds[n % 2]!, ids(100 + n), 1000 * (n + 1)).map<TouchEvent>(
      (event) => ({ ...event, device: `d${n}` }),
    ),
  );
  const batches = devices.flatMap((events) => [
    events.slice(0, 15),
    events.slice(15, 30),
    events.slice(10, 40),
  ]);
  const stored = await Promise.all(
    batches.map(async (events) => value(await ingestTouches(context, { events })).stored),
  );
  expect(stored.reduce((sum, n) => sum + n, 0)).toBe(320);
  const log = await eventsOfBlocks(context.db, [block.id]);
  expect(new Set(log.map((event) => event.id)).size).toBe(320);
  expect(log.map((event) => event.id)).toEqual(log.map((event) => event.id).sort());
});

test('an event comes back as it was sent', async () => {
  const { context } = box;
  const { block, playerIds } = await oneBlockSession(context);
  const [touch] = eventsOf('x', block.id, playerIds[0]!, ids(), 1_795_000_000_123);
  const zone: TouchEvent = {
    ...touch!,
    id: ids(2)(5),
    kind: 'zone',
    value: 2.5,
    attempt: 3,
    origin: 'ear 1',
  };
  const clock: TouchEvent = { ...touch!, id: ids(3)(6), kind: 'start', playerId: null };
  const undo: TouchEvent = { ...touch!, id: ids(4)(7), kind: 'undo', ref: zone.id };
  value(await ingestTouches(context, { events: [touch, zone, clock, undo] }));
  const byId = (a: TouchEvent, b: TouchEvent) => (a.id < b.id ? -1 : 1);
  expect(await eventsOfBlocks(context.db, [block.id])).toEqual(
    [touch!, zone, clock, undo].sort(byId).map((event) => ({ text: null, by: null, origin: null, ...event })),
  );
});
