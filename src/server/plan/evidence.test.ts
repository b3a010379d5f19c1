import { sql } from 'drizzle-orm';
import {
  allRecordsSince,
  evidenceOn,
  lastDays,
  recentWork,
  recordsSince,
  totalsOfPlayer,
  triesSince,
  type JudgedStep,
} from '@/data/results';
import { createSession, savePlan } from './sessions';
import { booking, oneBlockSession, scratch, value } from '../testing/scratch';

let box: Awaited<ReturnType<typeof scratch>>;
beforeEach(async () => (box = await scratch()));
afterEach(() => box.close());

const step: Omit<JudgedStep, 'playerId'> = {
  key: 'k',
  drillId: 'palm-up-bounce',
  stepId: 'row-20',
  gate: 20,
  lowerIsBetter: false,
  habit: false,
  homeCounts: false,
};

/** Attempts put straight into the cache: day, result. */
async function attempts(
  blockId: string,
  playerId: string,
  rows: [day: string, result: number | null][],
  { from = 1, eased = false } = {},
) {
  for (const [n, [day, result]] of rows.entries())
    await box.context.db.run(sql`insert into attempt
      (block_id, player_id, number, drill_id, step_id, day, result, touches, drops, started_ms, touching_ms, eased)
      values (${blockId}, ${playerId}, ${n + from}, 'palm-up-bounce', 'row-20', ${day}, ${result}, ${result ?? 0}, 1, 0, 0, ${eased ? 1 : 0})`);
}

async function twoSessions() {
  const first = await oneBlockSession(box.context);
  const { context } = box;
  const id = value(await createSession(context, { ...booking, playerIds: first.playerIds })).id;
  const block = { ...first.block, id: context.newId() };
  value(
    await savePlan(context, id, { ...booking, playerIds: first.playerIds, revision: 1, blocks: [block] }),
  );
  const session = { id: first.sessionId, day: booking.day };
  return { player: first.playerIds[0]!, blockId: first.block.id, otherBlockId: block.id, session };
}

test('best ever, best of all other sessions, and recent days at the gate', async () => {
  const { player, blockId, otherBlockId, session } = await twoSessions();
  await attempts(blockId, player, [
    ['2026-11-24', 21],
    ['2026-11-24', 25],
    ['2026-11-24', null],
  ]);
  await attempts(otherBlockId, player, [
    ['2026-11-24', 23],
    ['2026-11-20', 20],
    ['2026-11-19', 19],
    ['2025-01-01', 40],
    ['2026-11-25', 99],
  ]);
  const evidence = await evidenceOn(box.context.db, [{ ...step, playerId: player }], session, '2026-09-01');
  // The day after does not count; the old 40 is a best but no recent day at the gate.
  expect(evidence).toEqual([
    { key: 'k', playerId: player, best: 40, bestBefore: 40, reachedDays: 2, reps: 0 },
  ]);
  const recent = await evidenceOn(
    box.context.db,
    [{ ...step, playerId: player }],
    { ...session, day: '2024-01-01' },
    '2023-01-01',
  );
  expect(recent).toMatchObject([{ best: null, bestBefore: null, reachedDays: 0 }]);
});

test('where a habit is made, every repetition until that day counts', async () => {
  const { player, blockId, otherBlockId, session } = await twoSessions();
  await attempts(blockId, player, [['2026-11-24', 6]]);
  await attempts(otherBlockId, player, [
    ['2025-01-01', 30],
    ['2026-11-25', 99],
  ]);
  const asked = [{ ...step, habit: true, playerId: player }];
  expect(await evidenceOn(box.context.db, asked, session, '2026-09-01')).toMatchObject([{ reps: 36 }]);
});

test('another session of the same day counts as before', async () => {
  const { player, blockId, otherBlockId, session } = await twoSessions();
  await attempts(blockId, player, [['2026-11-24', 25]]);
  await attempts(otherBlockId, player, [['2026-11-24', 23]]);
  expect(
    await evidenceOn(box.context.db, [{ ...step, playerId: player }], session, '2026-09-01'),
  ).toMatchObject([{ best: 25, bestBefore: 23, reachedDays: 1 }]);
});

test('where less is better, the lowest is best and the gate is passed from above', async () => {
  const { player, blockId, session } = await twoSessions();
  await attempts(blockId, player, [
    ['2026-11-20', 12.5],
    ['2026-11-21', 11],
    ['2026-11-24', 11.4],
  ]);
  const lap = { ...step, gate: 11.5, lowerIsBetter: true };
  expect(
    await evidenceOn(box.context.db, [{ ...lap, playerId: player }], session, '2026-09-01'),
  ).toMatchObject([{ best: 11, reachedDays: 2 }]);
});

test('records are summed by player and step, since a day', async () => {
  const { player, blockId } = await twoSessions();
  await attempts(blockId, player, [
    ['2026-11-20', 10],
    ['2026-11-21', 5],
    ['2026-01-01', 100],
  ]);
  const { db } = box.context;
  expect(await recordsSince(db, [player, 'nobody'], [step, step], '2026-09-01')).toEqual([
    [player, 'palm-up-bounce', 'row-20', 15, 2],
  ]);
  // Every step that was touched, found without being asked for: the same sums.
  expect(await allRecordsSince(db, [player, 'nobody'], '2026-09-01')).toEqual([
    [player, 'palm-up-bounce', 'row-20', 15, 2],
  ]);
  expect(await totalsOfPlayer(db, player)).toMatchObject([
    { highest: 100, lowest: 5, attempts: 3, touches: 115, drops: 3, lastDay: '2026-11-21' },
  ]);
  expect(await recentWork(db, '2026-11-21')).toEqual([
    { playerId: player, days: 1, touches: 5, lastDay: '2026-11-21' },
  ]);
});

test('what was made under an easing is touched, and stands for no best and no gate', async () => {
  const { player, blockId, session } = await twoSessions();
  await attempts(blockId, player, [['2026-11-24', 40]], { eased: true });
  await attempts(blockId, player, [['2026-11-24', 12]], { from: 2 });
  const { db } = box.context;
  expect(await evidenceOn(db, [{ ...step, playerId: player }], session, '2026-09-01')).toMatchObject([
    { best: 12, reachedDays: 0 },
  ]);
  expect(await totalsOfPlayer(db, player)).toMatchObject([{ highest: 12, touches: 52, attempts: 2 }]);
});

test('tries of a span of days, and the last day until one, both without the session that is looked at', async () => {
  const { player, blockId, otherBlockId, session } = await twoSessions();
  await attempts(blockId, player, [
    ['2026-11-18', 10],
    ['2026-11-20', 5],
    ['2026-11-24', 3],
  ]);
  await attempts(otherBlockId, player, [['2026-11-24', 8]]);
  const about = { playerId: player, drillId: 'palm-up-bounce', stepId: 'row-20' };
  const { db } = box.context;
  const before = { day: '2026-11-23', id: null };
  expect(await triesSince(db, [player], '2026-11-19', before)).toEqual([
    { ...about, day: '2026-11-20', tries: 6 },
  ]);
  expect(await lastDays(db, [player, 'nobody'], [step], before)).toEqual([{ ...about, day: '2026-11-20' }]);
  // Seen from one session, the other of the same day is something that was done besides.
  expect(await triesSince(db, [player], '2026-11-23', session)).toEqual([
    { ...about, day: '2026-11-24', tries: 9 },
  ]);
  expect(await lastDays(db, [player], [step], session)).toEqual([{ ...about, day: '2026-11-24' }]);
  expect(await triesSince(db, ['nobody'], '2026-11-01', session)).toEqual([]);
});
