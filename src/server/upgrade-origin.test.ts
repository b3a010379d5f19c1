import { sql } from 'drizzle-orm';
import type { TouchEvent } from '@/core/counting/event';
import { appendEvents, eventsOfBlocks } from '@/data/log';
import { oldBook } from './testing/old-book';

test('a book of before ears: what was tapped stays tapped, and what is heard from now on says so', async () => {
  const { context, blockId, close } = await oldBook({ drillId: 'palm-up-bounce', stepId: 'bounce-20-s' });
  const id = (n: number) => `01ARZ3NDEKTSV4RRFFQ69G5F${n}`;
  const mark = (n: number, origin?: string): TouchEvent => ({
    id: id(70 + n),
    blockId,
    playerId: id(60),
    kind: 'touch',
    attempt: 1,
    value: null,
    ref: null,
    atMs: 1000 * n,
    monoMs: 0,
    device: 'd',
    ...(origin && { origin }),
  });
  await context.db.run(
    sql`insert into player (id, name, birth_year, sport, hand, created_at_ms) values (${id(60)}, 'Ada', 2016, 'tennis', 'right', 0)`,
  );
  await appendEvents(context.db, [mark(1), mark(2, 'ear 1')]);
  const events = await eventsOfBlocks(context.db, [blockId]);
  expect(events.map(({ origin }) => origin)).toEqual([null, 'ear 1']);
  close();
});
