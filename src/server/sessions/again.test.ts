import { planAgain } from './again';
import { loadPlan } from './sessions';
import { removePlayer } from '../squad/squad';
import { placePlayer } from '../squad/standing';
import { oneBlockSession, scratch, value } from '../testing/scratch';

let box: Awaited<ReturnType<typeof scratch>>;
beforeEach(async () => (box = await scratch()));
afterEach(() => box.close());

test('the same session on three days: hour, group and blocks, each day with blocks of its own', async () => {
  const { sessionId, playerIds, block } = await oneBlockSession(box.context);
  const days = ['2026-12-03', '2026-12-10', '2026-12-24'];
  const { ids, leftOut } = value(await planAgain(box.context, sessionId, { days }));
  expect([ids.length, leftOut]).toEqual([3, 0]);
  const before = value(await loadPlan(box.context, sessionId));
  const made = await Promise.all(ids.map(async (id) => value(await loadPlan(box.context, id))));
  expect(made.map((one) => one.day)).toEqual(days);
  const { title, startTime, bookedMin, coach } = before;
  for (const one of made) {
    expect(one).toMatchObject({ title, startTime, bookedMin, coach, playerIds, airC: null, revision: 1 });
    expect(one.blocks).toMatchObject([{ drillId: block.drillId, stepId: block.stepId, dose: block.dose }]);
  }
  expect(new Set([before, ...made].flatMap((one) => one.blocks.map(({ id }) => id))).size).toBe(4);
});

test('who has moved up is on the new step, who left the squad does not come', async () => {
  const { sessionId, playerIds, block } = await oneBlockSession(box.context);
  const [first, ...others] = playerIds;
  for (const playerId of [first!])
    value(await placePlayer(box.context, { playerId, drillId: block.drillId, stepId: 'row-50' }));
  for (const id of others) value(await removePlayer(box.context, id, true));
  const { ids } = value(await planAgain(box.context, sessionId, { days: ['2026-12-03'] }));
  expect(value(await loadPlan(box.context, ids[0]!))).toMatchObject({
    playerIds: [first],
    blocks: [{ drillId: block.drillId, stepId: 'row-50' }],
  });
});

test('nothing is planned where a day is wrong, a day is named twice, or nobody is left', async () => {
  const { sessionId, playerIds } = await oneBlockSession(box.context);
  for (const [days, message] of [
    [[], 'Days is empty: choose at least one.'],
    [['2026-12-03', '2026-12-03'], 'Days: a day is named twice.'],
    [['2026-02-30'], 'Day is not in the calendar: choose a day that exists.'],
  ] as const)
    expect(await planAgain(box.context, sessionId, { days })).toMatchObject({
      ok: false,
      problems: [{ message }],
    });
  for (const id of playerIds) value(await removePlayer(box.context, id, true));
  expect(await planAgain(box.context, sessionId, { days: ['2026-12-03'] })).toMatchObject({ ok: false });
  expect(await planAgain(box.context, 'nobody', { days: ['2026-12-03'] })).toMatchObject({ ok: false });
});

test('each day built anew: inside the booking and past the rules, with a rest for what the day before had', async () => {
  const { sessionId } = await oneBlockSession(box.context);
  const days = ['2026-12-03', '2026-12-10', '2026-12-17'];
  const { ids, leftOut } = value(await planAgain(box.context, sessionId, { days, build: true }));
  expect(leftOut).toBe(0);
  const made = await Promise.all(ids.map(async (id) => value(await loadPlan(box.context, id))));
  expect(made.map((one) => one.day)).toEqual(days);
  const drills = made.map(({ blocks }) => blocks.map(({ drillId }) => drillId));
  for (const [n, own] of drills.entries()) {
    expect(own.length).toBeGreaterThan(2);
    // Everybody who comes works in every block, on a step of its drill.
    for (const block of made[n]!.blocks)
      expect(block.own.filter(({ out }) => !out).map(({ playerId }) => playerId)).toEqual(made[n]!.playerIds);
    if (n > 0) expect(own.filter((id) => drills[n - 1]!.includes(id))).toEqual([]);
  }
  const all = made.flatMap(({ blocks }) => blocks.map(({ id }) => id));
  expect(new Set(all).size).toBe(all.length);
  for (const { playerIds } of made) expect(playerIds).toEqual(made[0]!.playerIds);
});

test('where nothing can be built no day is planned, and it is said', async () => {
  const { sessionId, playerIds } = await oneBlockSession(box.context);
  expect(await planAgain(box.context, sessionId, { days: ['2026-12-03'], build: 'often' })).toMatchObject({
    ok: false,
    problems: [{ field: 'build' }],
  });
  for (const playerId of playerIds) value(await removePlayer(box.context, playerId, true));
  expect(
    await planAgain(box.context, sessionId, { days: ['2026-12-03', '2026-12-10'], build: true }),
  ).toMatchObject({
    ok: false,
    problems: [{ message: expect.stringMatching(/^Nobody of that session/) as string }],
  });
});
