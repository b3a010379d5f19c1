import { sql } from 'drizzle-orm';
import { plainBook } from '@/drills';
import { planAgain } from './again';
import { loadPlan, savePlan } from './sessions';
import { removePlayer } from '../players/squad';
import { placePlayer } from '../players/standing';
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

test('planned in December for January: doses are those of the age everybody has then', async () => {
  const { sessionId, block, playerIds } = await oneBlockSession(box.context);
  const step = plainBook.step('marker-taps', 'crossing')!;
  const bornIn = (year: number) => box.context.db.run(sql`update player set birth_year = ${year}`);
  await bornIn(2014);
  const own = playerIds.map((playerId) => ({ playerId, stepId: step.id, amount: 40, out: false }));
  const plan = value(await loadPlan(box.context, sessionId));
  const taps = { ...block, drillId: 'marker-taps', stepId: step.id, dose: step.doses['10-12'], own };
  value(await savePlan(box.context, sessionId, { ...plan, blocks: [taps] }));
  const planOn = async (day: string, build = false) => {
    const { ids } = value(await planAgain(box.context, sessionId, { days: [day], build }));
    return value(await loadPlan(box.context, ids[0]!)).blocks.map(({ id: _, ...one }) => one);
  };
  const [december] = await planOn('2026-12-29');
  const [january] = await planOn('2027-01-05');
  expect(december!.own.map(({ amount }) => amount)).toEqual([40, 40]);
  expect(january!.own.map(({ amount }) => amount)).toEqual([50, 50]);
  expect([december!.dose, january!.dose]).toEqual([step.doses['10-12'], step.doses['13-16']]);
  // Built anew for January, it is what is built for children who are as old now.
  const [then, before] = [await planOn('2027-01-05', true), await planOn('2026-12-29', true)];
  expect(then).not.toEqual(before);
  await bornIn(2013);
  expect(await planOn('2026-12-29', true)).toEqual(then);
});
