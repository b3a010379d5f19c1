import { sql } from 'drizzle-orm';
import { appendEvents } from '@/data/log';
import { refreshAttempts } from './court/results';
import { completeRecords } from './court/complete-records';
import { evidenceOn } from '@/data/results';
import { oldBook } from './testing/old-book';

const id = (n: number) => `01ARZ3NDEKTSV4RRFFQ69G5F${n}`;
const player = id(60);

test('laps a book holds from before, too short to be run, stand for nothing until the coach confirms them', async () => {
  const lap = (n: number, blockId: string, value: number) =>
    sql`insert into touch_event (id, block_id, player_id, kind, attempt, value, at_ms, mono_ms, device)
        values (${id(70 + n)}, ${blockId}, ${player}, 'lap', ${n}, ${value}, ${1000 * n}, 0, 'd')`;
  const { context, sessionId, blockId, close } = await oldBook({
    drillId: 'triangle-run',
    stepId: 'timed-lap',
    more: ({ sessionId: session, blockId: block }) => [
      sql`insert into player (id, name, birth_year, sport, hand, created_at_ms) values (${player}, 'Ada', 2014, 'tennis', 'right', 0)`,
      sql`insert into session_player (session_id, player_id, position) values (${session}, ${player}, 0)`,
      sql`insert into block_player (block_id, player_id, stale) values (${block}, ${player}, 1)`,
      lap(1, block, 0.1),
      lap(2, block, 7.2),
    ],
  });
  await completeRecords(context.db, sessionId);
  await refreshAttempts(context.db);
  const rows = () =>
    context.db.all(
      sql`select number, result, doubtful from attempt where block_id = ${blockId} order by number`,
    );
  expect(await rows()).toEqual([
    { number: 1, result: null, doubtful: 1 },
    { number: 2, result: 7.2, doubtful: 0 },
  ]);
  const best = async () => {
    const asked = { drillId: 'triangle-run', stepId: 'timed-lap', gate: 6.5, lowerIsBetter: true };
    const step = { key: 'k', playerId: player, ...asked, habit: false, homeCounts: false };
    const day = { id: sessionId, day: '2026-11-24' };
    return (await evidenceOn(context.db, [step], day, '2026-01-01'))[0]!.best;
  };
  expect(await best()).toBe(7.2);
  // What the coach says is the last word, also that it was as short as that.
  const word = { blockId, playerId: player, kind: 'fix', attempt: 1, value: 0.1, ref: id(71) } as const;
  await appendEvents(context.db, [{ ...word, id: id(80), atMs: 9000, monoMs: 0, device: 'd' }]);
  await context.db.run(sql`update block_player set stale = 1`);
  await refreshAttempts(context.db);
  expect(await rows()).toEqual([
    { number: 1, result: 0.1, doubtful: 0 },
    { number: 2, result: 7.2, doubtful: 0 },
  ]);
  expect(await best()).toBe(0.1);
  close();
});
